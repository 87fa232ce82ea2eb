import { KIND_CODES, type KindCode } from '../../kinds/kinds';
import { hashOf, type Says } from './model';
import { lookAround, SURROUNDINGS, surroundingsOf } from './surroundings';
import { keysOfList, type PlacedSaid } from './voices';

const K = KIND_CODES.length;
const at = (kind: KindCode): number => KIND_CODES.indexOf(kind);

const row = (name: string, more: Partial<PlacedSaid['said']> = {}): PlacedSaid => ({
  said: { name, above: [], type: '', number: null, balance: 0, leads: false, ...more },
  parent: null,
});

/** Shares of a row that is one of some kinds, as likely one as the other. */
const either = (...kinds: readonly KindCode[]): Float64Array => {
  const shares = new Float64Array(K);
  for (const kind of kinds) shares[at(kind)] = 1 / kinds.length;
  return shares;
};

/** What a row sees, by name. */
const seen = (rows: readonly PlacedSaid[], kinds: readonly KindCode[], place: number) => {
  const shares = kinds.map((kind) => either(kind));
  const { everywhere, look } = surroundingsOf(keysOfList(rows), shares);
  const found = everywhere.slice();
  look(place, (index, more) => {
    found[index] = (found[index] ?? 0) + more;
  });
  return new Map(
    SURROUNDINGS.flatMap((name, index) => (found[index] === 0 ? [] : [[name, found[index]]])),
  );
};

const speaksFor = (kind: KindCode, weight: number): Says => ({
  kinds: Uint8Array.of(at(kind)),
  weights: Float64Array.of(weight),
  mean: weight / K,
});

describe('what stands around a row', () => {
  const rows = [row('Bank'), row('Stock'), row('Creditors')];
  const kinds = ['bank', 'inventory', 'tradePayable'] as const;

  it('are the kinds of the rows before and after it, and the sections of those near', () => {
    const around = seen(rows, kinds, 1);
    expect(around.get('previous bank')).toBe(1);
    expect(around.get('next tradePayable')).toBe(1);
    expect(around.get('before in currentAssets')).toBe(1);
    expect(around.get('after in currentLiabilities')).toBe(1);
    expect(around.get('list in currentAssets')).toBeCloseTo(2 / 3);
  });

  it('are the rows that share a word with it, wherever they stand', () => {
    const jars = [row('Honey jars sold'), row('Rent'), row('Honey in stock'), row('Jars bought')];
    const around = seen(jars, ['saleOfGoods', 'operatingExpense', 'inventory', 'costOfSales'], 0);
    expect(around.get('sharing inventory')).toBe(1 / 2);
    expect(around.get('sharing costOfSales')).toBe(1 / 2);
    expect(around.get('first inventory')).toBe(1);
    expect(around.has('sharing operatingExpense')).toBe(false);
  });

  it('does not hear a word that half a long list has', () => {
    const many = Array.from({ length: 25 }, (_one, index) => row(`Boat ${index} hull`));
    const around = seen(
      many,
      many.map(() => 'propertyAndEquipment' as const),
      0,
    );
    expect([...around.keys()].filter((name) => name.startsWith('sharing'))).toEqual([]);
  });

  it('is nothing before the first row and after the last', () => {
    const names = (place: number): readonly string[] => [...seen(rows, kinds, place).keys()];
    expect(names(0).filter((name) => /^(second previous|previous|before)/.test(name))).toEqual([]);
    expect(names(2).filter((name) => /^(second next|next|after)/.test(name))).toEqual([]);
  });

  it('is the row above it in the tree, and the rows that the list gives the same type', () => {
    const tree = [
      row('Assets'),
      { ...row('Till', { type: 'BK' }), parent: 0 },
      row('Current account', { type: 'bk' }),
    ];
    const around = seen(tree, ['otherCurrentAsset', 'cashOnHand', 'bank'], 1);
    expect(around.get('parent otherCurrentAsset')).toBe(1);
    expect(around.get('parent in currentAssets')).toBe(1);
    expect(around.get('type in currentAssets')).toBe(1);
  });

  it('counts the others of each kind in the list, the row itself left out', () => {
    const around = seen([row('A'), row('B'), row('C')], ['bank', 'bank', 'inventory'], 0);
    expect(around.get('many bank')).toBeCloseTo(Math.log(2) / 2);
    expect(seen([row('A'), row('C')], ['bank', 'inventory'], 0).has('many bank')).toBe(false);
  });

  it('has a name of its own for each thing that may be seen', () => {
    expect(new Set(SURROUNDINGS).size).toBe(SURROUNDINGS.length);
    expect(new Set(SURROUNDINGS.map(hashOf)).size).toBe(SURROUNDINGS.length);
  });
});

describe('rows that look around', () => {
  const rows = [row('Trading'), row('Stock')];
  const keys = keysOfList(rows);
  const shares = [either('services', 'saleOfGoods'), either('inventory')];
  const surroundings = new Map([[hashOf('many inventory'), speaksFor('saleOfGoods', 4)]]);
  const shareOf = (found: Float64Array | undefined, kind: KindCode): number =>
    found?.[at(kind)] ?? 0;

  it('lets stock in the list speak for the sale of goods', () => {
    const [found] = lookAround(keys, shares, { surroundings, settled: new Set() });
    expect(shareOf(found, 'saleOfGoods')).toBeGreaterThan(0.7);
    expect(shareOf(found, 'services')).toBeLessThan(0.3);
  });

  it('changes nothing where nothing was learned', () => {
    const [found] = lookAround(keys, shares, { surroundings: new Map(), settled: new Set() });
    expect(shareOf(found, 'saleOfGoods')).toBeCloseTo(0.5, 4);
  });

  it('leaves what is settled as it is', () => {
    const [found] = lookAround(keys, shares, { surroundings, settled: new Set([0]) });
    expect(found).toEqual(shares[0]);
  });
});
