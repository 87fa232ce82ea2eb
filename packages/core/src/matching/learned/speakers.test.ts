import fc from 'fast-check';
import { KIND_CODES, type KindCode } from '../../kinds/kinds';
import { addHeard, PARTS, partsOf, PartSum } from './parts';
import { othersSpeaking, speakerFor, type Loudness, type Speaker } from './speakers';
import { othersBy } from './voices';

const K = KIND_CODES.length;
const at = (kind: KindCode): number => KIND_CODES.indexOf(kind);

const sharesOf = (...kinds: readonly KindCode[]): Float64Array => {
  const shares = new Float64Array(K);
  for (const kind of kinds) shares[at(kind)] = 1 / kinds.length;
  return shares;
};

const heardFrom = (speak: Speaker, row: number): Float64Array => {
  const heard = new Float64Array(PARTS);
  speak(row, heard);
  return heard;
};

const scoresFrom = (speak: Speaker, row: number): Float64Array => {
  const scores = new Float64Array(K);
  addHeard(scores, heardFrom(speak, row));
  return scores;
};

const ALIKE: Loudness = [1, 1, 1];

describe('what rows are thought to be', () => {
  it('is their kinds with the sections and elements to which these lead', () => {
    const parts = partsOf([sharesOf('bank', 'inventory')]);
    const sum = new PartSum();
    sum.addRow(parts, 0, 1);
    expect(sum.share[at('bank')]).toBe(0.5);
    expect([...sum.touched.subarray(0, sum.count)].filter((part) => part >= K)).toHaveLength(2);
    expect(sum.share.reduce((so, share) => so + share, 0)).toBeCloseTo(3);
  });

  it('leaves out what is hardly thought of', () => {
    const shares = sharesOf('bank');
    shares[at('inventory')] = 1e-6;
    expect([...partsOf([shares]).part]).not.toContain(at('inventory'));
  });

  it('has room for rows of which nothing is known, however many', () => {
    const nothing = new Float64Array(K).fill(1 / K);
    const parts = partsOf(Array.from({ length: 50 }, () => nothing));
    expect(parts.from[50]).toBe(50 * PARTS);
    const sum = new PartSum();
    sum.addRow(parts, 49, 1);
    expect(sum.share[at('bank')]).toBeCloseTo(1 / K);
  });
});

describe('rows that belong together', () => {
  const drawn = fc
    .array(fc.tuple(fc.constantFrom('a', 'b', null), fc.constantFrom(...KIND_CODES), fc.constantFrom(...KIND_CODES)), { minLength: 2, maxLength: 40 })
    .map((rows) => ({
      keys: rows.map(([key]) => key),
      parts: partsOf(rows.map(([, one, other]) => sharesOf(one, other))),
    })); // prettier-ignore

  it('say of a row what all but the row itself say, though all are asked only once', () => {
    fc.assert(
      fc.property(drawn, fc.nat(39), ({ keys, parts }, row) => {
        fc.pre(row < keys.length);
        const atOnce = heardFrom(othersSpeaking(parts, keys, ALIKE), row);
        const oneByOne = heardFrom(speakerFor(othersBy(parts, keys), ALIKE), row);
        atOnce.forEach((heard, part) => expect(heard).toBeCloseTo(oneByOne[part] ?? 0, 1));
      }),
    );
  });

  it('speak for the kind that the others have, and say nothing where there are no others', () => {
    const parts = partsOf([sharesOf('bank', 'services'), sharesOf('services'), sharesOf('bank')]);
    const speak = othersSpeaking(parts, ['x', 'x', 'y'], ALIKE);
    const scores = scoresFrom(speak, 0);
    expect(Math.max(...scores)).toBe(scores[at('services')]);
    expect(scoresFrom(speak, 2).every((score) => score === 0)).toBe(true);
  });

  it('are heard of the kind, the section and the element as loud as each is weighed', () => {
    const parts = partsOf([sharesOf('inventory'), sharesOf('bank')]);
    const heard = (loudness: Loudness): Float64Array =>
      scoresFrom(othersSpeaking(parts, ['x', 'x'], loudness), 0);
    expect(heard([1, 0, 0])[at('inventory')]).toBe(0);
    expect(heard([0, 1, 0])[at('inventory')]).toBeGreaterThan(0);
    expect(heard([0, 1, 0])[at('propertyAndEquipment')]).toBe(0);
    expect(heard([0, 0, 1])[at('propertyAndEquipment')]).toBeGreaterThan(0);
  });
});
