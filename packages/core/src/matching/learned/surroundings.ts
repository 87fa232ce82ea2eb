import { KIND_CODES } from '../../kinds/kinds';
import { addSays, hashOf, type Says } from './model';
import { SECTIONS } from './orders';
import { ELEMENTS_FROM, PartSum, partsOf, SECTIONS_FROM, type Parts, type Shares } from './parts';
import { softmax } from './softmax';
import { wordsOf } from '../words';
import {
  BELONGING,
  othersBy,
  rowsAt,
  rowAbove,
  rowsBeside,
  type ListKeys,
  type Voice,
} from './voices';

const K = KIND_CODES.length;
const PART_NAMES = [...KIND_CODES, ...SECTIONS.map((section) => `in ${section}`)];

/** Whom a row looks at, and whether it sees their kinds, their sections or both. */
interface View {
  readonly name: string;
  readonly from: number;
  readonly to: number;
  voice(keys: ListKeys, parts: Parts): Voice;
}

const KINDS_SEEN = { from: 0, to: SECTIONS_FROM };
const SECTIONS_SEEN = { from: SECTIONS_FROM, to: ELEMENTS_FROM };
const BOTH_SEEN = { from: 0, to: ELEMENTS_FROM };

const beside = (name: string, seen: typeof KINDS_SEEN, steps: readonly number[]): View => ({
  name,
  ...seen,
  voice: (_keys, parts) => rowsBeside(parts, steps),
});

const belonging = (name: string, seen: typeof KINDS_SEEN, by: number): View => ({
  name,
  ...seen,
  voice: ({ byKey }, parts) => othersBy(parts, byKey[by] ?? []),
});

/** More rows than this share a word that says little. */
const SHARED_BY = 20;

/** The rows that have a word of a row's name, where few have it. */
const rowsSharingWords = ({ rows }: ListKeys, parts: Parts): Voice => {
  const byWord = new Map<string, number[]>();
  const words = rows.map(({ said }) => [...new Set(wordsOf(said.name))]);
  words.forEach((own, at) => {
    for (const word of own) {
      const known = byWord.get(word);
      if (known === undefined) byWord.set(word, [at]);
      else known.push(at);
    }
  });
  return rowsAt(parts, (at) => [
    ...new Set(
      (words[at] ?? []).flatMap((word) => {
        const places = byWord.get(word) ?? [];
        return places.length > SHARED_BY ? [] : places.filter((place) => place !== at);
      }),
    ),
  ]);
};

const VIEWS: readonly View[] = [
  beside('own', KINDS_SEEN, [0]),
  beside('previous', KINDS_SEEN, [-1]),
  beside('next', KINDS_SEEN, [1]),
  beside('second previous', KINDS_SEEN, [-2]),
  beside('second next', KINDS_SEEN, [2]),
  beside('before', SECTIONS_SEEN, [-1, -2, -3]),
  beside('after', SECTIONS_SEEN, [1, 2, 3]),
  { name: 'parent', ...BOTH_SEEN, voice: ({ rows }, parts) => rowAbove(parts, rows) },
  belonging('type', BOTH_SEEN, BELONGING.type),
  belonging('numbers', BOTH_SEEN, BELONGING.firstDigit),
  belonging('siblings', BOTH_SEEN, BELONGING.parent),
  { name: 'sharing', ...BOTH_SEEN, voice: rowsSharingWords },
  belonging('first', KINDS_SEEN, BELONGING.firstWord),
  belonging('last', KINDS_SEEN, BELONGING.lastWord),
];

/** Everything that a row may see around it, in a fixed order: what each row sees itself, then what all see alike. */
export const SURROUNDINGS: readonly string[] = [
  ...VIEWS.flatMap(({ name, from, to }) =>
    PART_NAMES.slice(from, to).map((part) => `${name} ${part}`),
  ),
  'always',
  ...SECTIONS.map((section) => `list in ${section}`),
  ...KIND_CODES.map((kind) => `many ${kind}`),
];
const ALWAYS_AT = SURROUNDINGS.indexOf('always');
const LIST_FROM = ALWAYS_AT + 1;
const MANY_FROM = LIST_FROM + SECTIONS.length;

/** A share below this is not seen. */
const LEAST = 0.002;

/** How much it says that so many rows are of a kind. */
const manySays = (rows: number): number => Math.log(1 + rows) / 2;

/** What stands around the rows of a list. */
export interface Surroundings {
  /** How much there is at each place for all rows alike. */
  readonly everywhere: Float64Array;
  /** Each place at which there is something else for a row, and how much more or less than everywhere. */
  look(at: number, visit: (place: number, more: number) => void): void;
}

/** What stands around the rows of a list, by what they were thought to be last. */
export const surroundingsOf = (keys: ListKeys, shares: Shares): Surroundings => {
  const parts = partsOf(shares);
  const voices = VIEWS.map(({ voice }) => voice(keys, parts));
  const all = new PartSum();
  for (let at = 0; at < parts.count; at += 1) all.addRow(parts, at, 1);
  const sums = all.share;
  const everywhere = new Float64Array(SURROUNDINGS.length);
  everywhere[ALWAYS_AT] = 1;
  SECTIONS.forEach((_section, place) => {
    everywhere[LIST_FROM + place] = (sums[SECTIONS_FROM + place] ?? 0) / Math.max(1, shares.length);
  });
  for (let k = 0; k < K; k += 1) everywhere[MANY_FROM + k] = manySays(sums[k] ?? 0);
  const mean = new PartSum();
  return {
    everywhere,
    look: (at, visit) => {
      let before = 0;
      VIEWS.forEach(({ from, to }, index) => {
        mean.clear();
        voices[index]?.(at, mean);
        for (let place = 0; place < mean.count; place += 1) {
          const part = mean.touched[place] ?? 0;
          const share = mean.share[part] ?? 0;
          if (part >= from && part < to && share >= LEAST) visit(before + part - from, share);
        }
        before += to - from;
      });
      const own = shares[at];
      // The row itself is none of the others of its kind.
      for (let k = 0; k < K; k += 1) {
        const share = own?.[k] ?? 0;
        if (share < LEAST) continue;
        const many = sums[k] ?? 0;
        visit(MANY_FROM + k, manySays(Math.max(0, many - share)) - manySays(many));
      }
    },
  };
};

/** So little is left of what nobody thought of. */
const LEFT = 1e-6;

/** How much speaks for a kind by the share that was thought of it last. */
export const scoreOfShare = (share: number): number => Math.log(share + LEFT);

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
  const { everywhere, look } = surroundingsOf(keys, shares);
  const scores = new Float64Array(K);
  const hear = (place: number, value: number): void => {
    const one = says[place];
    if (one !== undefined) addSays(scores, one, value);
  };
  everywhere.forEach((value, place) => hear(place, value));
  const alike = scores.slice();
  return shares.map((own, at) => {
    if (settled.has(at)) return own;
    for (let k = 0; k < K; k += 1) scores[k] = (alike[k] ?? 0) + scoreOfShare(own[k] ?? 0);
    look(at, hear);
    return softmax(scores);
  });
};
