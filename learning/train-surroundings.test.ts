import { KIND_CODES, type KindCode } from '@iunctus/core';
import { readLearned } from '../packages/core/src/matching/learned/model';
import { lookAround } from '../packages/core/src/matching/learned/surroundings';
import { keysOfList, type PlacedSaid } from '../packages/core/src/matching/learned/voices';
import { packFeatures } from './pack-features';
import type { Thinking } from './train-joint';
import { trainSurroundings } from './train-surroundings';

const at = (kind: KindCode): number => KIND_CODES.indexOf(kind);

const either = (...kinds: readonly KindCode[]): Float64Array => {
  const shares = new Float64Array(KIND_CODES.length);
  for (const kind of kinds) shares[at(kind)] = 1 / kinds.length;
  return shares;
};

const row = (name: string): PlacedSaid => ({
  said: { name, above: [], type: '', number: null, balance: 0, leads: false },
  parent: null,
});

/** A list that has something else beside a row that may be goods or services by its own words. */
const listWith = (other: KindCode): Omit<Thinking, 'kinds' | 'first'> => {
  const rows = [row('Takings'), row('Other')];
  return { rows, keys: keysOfList(rows), last: [either('services', 'saleOfGoods'), either(other)] };
};

const taught = (other: KindCode, right: KindCode): Thinking => {
  const list = listWith(other);
  return { ...list, first: list.last, kinds: [[right], [other]] };
};

const LISTS = Array.from({ length: 20 }, () => [
  taught('inventory', 'saleOfGoods'),
  taught('prepaidExpense', 'services'),
]).flat();

describe('what stands around a row, learned from lists', () => {
  it('tells goods from services by what else the list has', () => {
    const { surroundings } = readLearned({
      kinds: KIND_CODES,
      rounds: [],
      orders: [],
      features: packFeatures(new Map(), { step: 1, least: 1 }),
      surroundings: packFeatures(trainSurroundings(LISTS), { step: 1 / 16, least: 1 / 32 }),
    });
    const takingsWith = (other: KindCode): Float64Array | undefined => {
      const { keys, last } = listWith(other);
      return lookAround(keys, last, { surroundings, settled: new Set() })[0];
    };
    const goods = takingsWith('inventory');
    const services = takingsWith('prepaidExpense');
    expect(goods?.[at('saleOfGoods')]).toBeGreaterThan(goods?.[at('services')] ?? 1);
    expect(services?.[at('services')]).toBeGreaterThan(services?.[at('saleOfGoods')] ?? 1);
  });

  it('is the same to the last bit at each run', () => {
    expect([...trainSurroundings(LISTS)]).toEqual([...trainSurroundings(LISTS)]);
  });
});
