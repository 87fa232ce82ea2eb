import { KIND_CODES } from '../../kinds/kinds';
import { hashOf, type Says } from './model';
import { SECTIONS } from './orders';
import { softmax } from './softmax';
import {
  ELEMENTS_FROM,
  othersBy,
  PARTS,
  partsOf,
  rowsAt,
  SECTIONS_FROM,
  type ListKeys,
  type Shares,
  type Voice,
} from './voices';

const K = KIND_CODES.length;
const PART_NAMES = [...KIND_CODES, ...SECTIONS.map((section) => `in ${section}`)];

/** Whom a row looks at, and whether it sees their kinds, their sections or both. */
interface View {
  readonly name: string;
  readonly from: number;
  readonly to: number;
  voice(keys: ListKeys, parts: Shares): Voice;
}

const KINDS_SEEN = { from: 0, to: SECTIONS_FROM };
const SECTIONS_SEEN = { from: SECTIONS_FROM, to: ELEMENTS_FROM };
const BOTH_SEEN = { from: 0, to: ELEMENTS_FROM };

const steps = (name: string, seen: typeof KINDS_SEEN, by: readonly number[]): View => ({
  name,
  ...seen,
  voice: (_keys, parts) => rowsAt(parts, (at) => by.map((step) => at + step)),
});

const VIEWS: readonly View[] = [
  steps('own', KINDS_SEEN, [0]),
  steps('previous', KINDS_SEEN, [-1]),
  steps('next', KINDS_SEEN, [1]),
  steps('before', SECTIONS_SEEN, [-1, -2, -3]),
  steps('after', SECTIONS_SEEN, [1, 2, 3]),
  {
    name: 'parent',
    ...BOTH_SEEN,
    voice: ({ rows }, parts) =>
      rowsAt(parts, (at) => {
        const parent = rows[at]?.parent ?? null;
        return parent === null ? [] : [parent];
      }),
  },
  {
    name: 'type',
    ...SECTIONS_SEEN,
    voice: ({ byKey: [types = []] }, parts) => othersBy(parts, types),
  },
  {
    name: 'list',
    ...SECTIONS_SEEN,
    voice: ({ rows }, parts) =>
      othersBy(
        parts,
        rows.map(() => 'list'),
      ),
  },
];

/** Everything that a row may see around it, in a fixed order. */
export const SURROUNDINGS: readonly string[] = [
  'always',
  ...VIEWS.flatMap(({ name, from, to }) =>
    PART_NAMES.slice(from, to).map((part) => `${name} ${part}`),
  ),
  ...KIND_CODES.map((kind) => `many ${kind}`),
];

/** A share below this is not seen. */
const LEAST = 0.002;

/** Looks around a row: each place among the surroundings at which there is something, and how much. */
export type LookAround = (at: number, visit: (place: number, value: number) => void) => void;

/** What stands around the rows of a list, by what they were thought to be last. */
export const surroundingsOf = (keys: ListKeys, shares: Shares): LookAround => {
  const parts = shares.map(partsOf);
  const voices = VIEWS.map(({ voice }) => voice(keys, parts));
  const sums = new Float64Array(K);
  for (const own of shares)
    own.forEach((share, k) => {
      sums[k] = (sums[k] ?? 0) + share;
    });
  const mean = new Float64Array(PARTS);
  return (at, visit) => {
    visit(0, 1);
    let place = 1;
    VIEWS.forEach(({ from, to }, index) => {
      const heard = voices[index]?.(at, mean) === true;
      for (let part = from; part < to; part += 1, place += 1) {
        const share = mean[part] ?? 0;
        if (heard && share >= LEAST) visit(place, share);
      }
    });
    const own = shares[at];
    for (let k = 0; k < K; k += 1, place += 1) {
      const others = (sums[k] ?? 0) - (own?.[k] ?? 0);
      if (others >= LEAST) visit(place, Math.log(1 + others) / 2);
    }
  };
};

/** So little is left of what nobody thought of. */
const LEFT = 1e-6;

/** How much speaks for each kind of a row by what was thought of it last. */
export const scoresOfShares = (shares: Float64Array): Float64Array =>
  shares.map((share) => Math.log(share + LEFT));

/**
 * What the rows are thought to be once each has looked around: here kinds speak for other kinds, as stock in a list does
 * for the sale of goods. What is settled stays.
 */
export const lookAround = (
  keys: ListKeys,
  shares: Shares,
  {
    surroundings,
    settled,
  }: { readonly surroundings: ReadonlyMap<number, Says>; readonly settled: ReadonlySet<number> },
): Shares => {
  const says = SURROUNDINGS.map((name) => surroundings.get(hashOf(name)));
  const look = surroundingsOf(keys, shares);
  return shares.map((own, at) => {
    if (settled.has(at)) return own;
    const scores = scoresOfShares(own);
    look(at, (place, value) => {
      const one = says[place];
      if (one === undefined) return;
      for (let index = 0; index < one.kinds.length; index += 1) {
        const k = one.kinds[index] ?? 0;
        scores[k] = (scores[k] ?? 0) + value * (one.weights[index] ?? 0);
      }
    });
    return softmax(scores);
  });
};
