import { ELEMENTS } from '../../kinds/element';
import { elementOf, KIND_CODES, normalSideOfKind, sectionOf } from '../../kinds/kinds';
import { nameKey } from '../../text/name-key';
import { wordsOf } from '../words';
import type { RowSaid } from './row-features';

const K = KIND_CODES.length;
const ELEMENT_AT = KIND_CODES.map((kind) => ELEMENTS.indexOf(elementOf(kind)));
const SECTIONS = [...new Set(KIND_CODES.map((kind) => sectionOf(kind) ?? elementOf(kind)))];
const SECTION_AT = KIND_CODES.map((kind) => SECTIONS.indexOf(sectionOf(kind) ?? elementOf(kind)));
const DEBIT = KIND_CODES.map((kind) => normalSideOfKind(kind) === 'debit');

/** A row of a list among the others. */
export interface PlacedSaid {
  readonly said: RowSaid;
  /** The place of the row above it; `null` for none. */
  readonly parent: number | null;
}

/** What the rows of a list are thought to be: for each row a share for each kind. */
export type Shares = readonly Float64Array[];

/** Puts into `mean` what others say of a row, a share for each kind; false where nobody says anything. */
type Voice = (at: number, mean: Float64Array) => boolean;

const addTo = (sum: Float64Array, more: Float64Array | undefined, times = 1): void => {
  if (more !== undefined) for (let k = 0; k < K; k += 1) sum[k] = (sum[k] ?? 0) + times * (more[k] ?? 0);
}; // prettier-ignore

/** The rows that share a key, but for the row itself. */
const othersBy = (shares: Shares, keys: readonly (string | null)[]): Voice => {
  const groups = new Map<string, { readonly sum: Float64Array; count: number }>();
  keys.forEach((key, at) => {
    if (key === null) return;
    const group = groups.get(key) ?? { sum: new Float64Array(K), count: 0 };
    addTo(group.sum, shares[at]);
    group.count += 1;
    groups.set(key, group);
  });
  return (at, mean) => {
    const group = groups.get(keys[at] ?? '');
    if (group === undefined || group.count < 2) return false;
    const own = shares[at];
    for (let k = 0; k < K; k += 1)
      mean[k] = Math.max(0, (group.sum[k] ?? 0) - (own?.[k] ?? 0)) / (group.count - 1);
    return true;
  };
};

/** The rows at some places. */
const rowsAt = (shares: Shares, placesOf: (at: number) => readonly number[]): Voice =>
  (at, mean) => {
    const found = placesOf(at).flatMap((place) => shares[place] ?? []);
    mean.fill(0);
    for (const one of found) addTo(mean, one, 1 / found.length);
    return found.length > 0;
  }; // prettier-ignore

const numberKey = (number: string | null, kept: number): string | null => {
  const digits = /^\d+/.exec(number ?? '')?.[0] ?? '';
  return digits.length <= kept ? null : `${digits.length} ${digits.slice(0, kept)}`;
};

/** What of a list is asked again and again, worked out once. */
export interface ListKeys {
  readonly rows: readonly PlacedSaid[];
  readonly children: readonly (readonly number[])[];
  readonly byKey: readonly (readonly (string | null)[])[];
}

/** The keys by which rows belong together: type, parent, digits, first and last word. */
export const keysOfList = (rows: readonly PlacedSaid[]): ListKeys => {
  const children: number[][] = rows.map(() => []);
  rows.forEach(({ parent }, at) => parent !== null && children[parent]?.push(at));
  const words = rows.map(({ said }) => wordsOf(said.name));
  return {
    rows,
    children,
    byKey: [
      rows.map(({ said }) => (said.type === '' ? null : nameKey(said.type))),
      rows.map(({ parent }) => (parent === null ? null : String(parent))),
      rows.map(({ said }) => numberKey(said.number, 1)),
      rows.map(({ said }) => numberKey(said.number, 2)),
      words.map((own) => own[0] ?? null),
      words.map((own) => own.at(-1) ?? null),
    ],
  };
};

const NEAR: readonly (readonly number[])[] = [[-1], [1], [-2, -3], [2, 3], [-4, -5, -6, 4, 5, 6]];

/** Everybody who may say something of a row, in a fixed order. */
const voicesOf = ({ rows, children, byKey }: ListKeys, shares: Shares): readonly Voice[] => [
  ...byKey.map((keys) => othersBy(shares, keys)),
  rowsAt(shares, (at) => {
    const parent = rows[at]?.parent ?? null;
    return parent === null ? [] : [parent];
  }),
  rowsAt(shares, (at) => children[at] ?? []),
  ...NEAR.map((steps) => rowsAt(shares, (at) => steps.map((step) => at + step))),
];

const VOICES = 6 + 2 + NEAR.length;
/** What a voice says is heard three times: of the kind, of its section, of its element. */
const HEARD = 3;
/** How many things are weighed against one another. */
export const JOINT_COUNT = 2 + VOICES * HEARD + 1;

/** A share below this is doubt, not knowledge. */
const LEAST = 0.004;
const known = (share: number): number => Math.log(share + LEAST);

const sumsBy = (mean: Float64Array, places: readonly number[], sums: Float64Array): void => {
  sums.fill(0);
  for (let k = 0; k < K; k += 1) {
    const place = places[k] ?? 0;
    sums[place] = (sums[place] ?? 0) + (mean[k] ?? 0);
  }
};

/** What was thought of the rows by their own words, and last. */
export interface Thought {
  readonly first: Shares;
  readonly last: Shares;
}

/**
 * Tells for each row what is to be weighed, kind by kind: its own words, what was thought of it last, what
 * others say that have its type, parent, number or words in common or stand near, and the side of its
 * balance. `found` has a row of kinds for each of these, and is used anew for the next row.
 */
export const weigh = (
  keys: ListKeys,
  { first, last }: Thought,
  visit: (at: number, found: Float64Array) => void,
): void => {
  const voices = voicesOf(keys, last);
  const found = new Float64Array(JOINT_COUNT * K);
  const mean = new Float64Array(K);
  const elements = new Float64Array(ELEMENTS.length);
  const sections = new Float64Array(SECTIONS.length);
  const put = (place: number, of: (k: number) => number): void => {
    for (let k = 0; k < K; k += 1) found[place * K + k] = of(k);
  };
  keys.rows.forEach(({ said }, at) => {
    const [own, thought] = [first[at], last[at]];
    found.fill(0);
    put(0, (k) => Math.log((own?.[k] ?? 0) + 1e-5));
    put(1, (k) => Math.log((thought?.[k] ?? 0) + 1e-5));
    voices.forEach((voice, index) => {
      if (!voice(at, mean)) return;
      sumsBy(mean, ELEMENT_AT, elements);
      sumsBy(mean, SECTION_AT, sections);
      const place = 2 + index * HEARD;
      put(place, (k) => known(mean[k] ?? 0));
      put(place + 1, (k) => known(sections[SECTION_AT[k] ?? 0] ?? 0));
      put(place + 2, (k) => known(elements[ELEMENT_AT[k] ?? 0] ?? 0));
    });
    const { balance } = said;
    if (balance !== 0) put(JOINT_COUNT - 1, (k) => (DEBIT[k] === balance > 0 ? 1 : 0));
    visit(at, found);
  });
};

/** Scores as shares that sum to one. */
export const softmax = (scores: Float64Array): Float64Array => {
  let most = -Infinity;
  for (const score of scores) most = Math.max(most, score);
  const shares = scores.map((score) => Math.exp(score - most));
  let sum = 0;
  for (const share of shares) sum += share;
  return shares.map((share) => share / sum);
};

/** The score of each kind where everything found is weighed. */
export const scoresBy = (found: Float64Array, weights: ArrayLike<number>): Float64Array => {
  const scores = new Float64Array(K);
  for (let place = 0; place < JOINT_COUNT; place += 1) {
    const weight = weights[place] ?? 0;
    for (let k = 0; k < K; k += 1) scores[k] = (scores[k] ?? 0) + weight * (found[place * K + k] ?? 0);
  }
  return scores;
}; // prettier-ignore

/** What the rows are thought to be once everything is weighed; what is settled stays. */
export const thinkAgain = (
  keys: ListKeys,
  thought: Thought,
  { weights, settled }: { readonly weights: ArrayLike<number>; readonly settled?: ReadonlySet<number> },
): Shares => {
  const shares: Float64Array[] = [];
  weigh(keys, thought, (at, found) => {
    const own = settled?.has(at) === true ? thought.first[at] : undefined;
    shares.push(own ?? softmax(scoresBy(found, weights)));
  });
  return shares;
}; // prettier-ignore
