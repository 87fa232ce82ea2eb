import { findKey } from '../../text/find-key';
import { inferKinds } from '../infer-kind';
import { wordsOf } from '../words';

/** What a list says of one of its rows. */
export interface RowSaid {
  readonly name: string;
  /** The names above it, the nearest first. */
  readonly above: readonly string[];
  /** The words that the list has for its type; empty for none. */
  readonly type: string;
  readonly number: string | null;
  /** Debit positive; zero where there is none. */
  readonly balance: number;
  /** Whether it has others below it. */
  readonly leads: boolean;
}

/** Something that holds of a row, and how much. */
export interface Feature {
  readonly key: string;
  readonly value: number;
  /** The word of the name that it comes from; `null` where it comes from something else. */
  readonly word: string | null;
}

const tokensOf = (text: string): readonly string[] =>
  findKey(text)
    .split(/[^\p{L}\p{N}]+/u)
    .filter((token) => token !== '');

/** Runs of three and four letters, the ends of the word told apart. */
const runsOf = (token: string): readonly string[] => {
  const bounded = `^${token}$`;
  const runs: string[] = [];
  for (const length of [3, 4, 5])
    for (let from = 0; from + length <= bounded.length; from += 1)
      runs.push(bounded.slice(from, from + length));
  return runs;
};

const nameFeatures = (name: string): readonly Feature[] => {
  const words = wordsOf(name);
  const found: Feature[] = [];
  const add = (key: string, word: string | null, value = 1): void =>
    void found.push({ key, value, word });
  words.forEach((word, at) => {
    add(`w ${word}`, word);
    const next = words[at + 1];
    if (next !== undefined) add(`b ${word} ${next}`, word);
  });
  if (words.length > 0) {
    add(`f ${words[0] ?? ''}`, words[0] ?? null);
    add(`l ${words.at(-1) ?? ''}`, words.at(-1) ?? null);
  }
  for (const token of new Set(tokensOf(name)))
    for (const run of runsOf(token)) add(`c ${run}`, token, 0.4);
  return found;
};

/** What the name above a row says of it, the nearest at 0. */
const aboveFeatures = (name: string, at: number): readonly Feature[] => {
  const mark = at === 0 ? 'p' : 'g';
  return [
    ...wordsOf(name).map((word) => ({ key: `${mark} ${word}`, value: 0.7, word: null })),
    ...inferKinds({ name })
      .slice(0, 2)
      .map(({ kind, confidence }) => ({ key: `${mark}k ${kind}`, value: confidence, word: null })),
  ];
};

const typeFeatures = (type: string): readonly Feature[] => {
  const tokens = tokensOf(type);
  if (tokens.length === 0) return [{ key: 't none', value: 1, word: null }];
  return [
    { key: `t ${tokens.join(' ')}`, value: 1, word: null },
    ...wordsOf(type).map((word) => ({ key: `tw ${word}`, value: 0.7, word: null })),
    ...inferKinds({ name: type })
      .slice(0, 1)
      .map(({ kind, confidence }) => ({ key: `tk ${kind}`, value: confidence, word: null })),
  ];
};

const numberFeatures = (number: string | null): readonly Feature[] => {
  const digits = /^\d+/.exec(number ?? '')?.[0] ?? '';
  if (digits.length < 3) return [];
  const length = Math.min(digits.length, 6);
  return [1, 2].map((count) => ({
    key: `n ${length} ${digits.slice(0, count)}`,
    value: 0.5,
    word: null,
  }));
};

const sideOf = (balance: number): string => {
  if (balance === 0) return 'none';
  return balance > 0 ? 'debit' : 'credit';
};

const GUESSES = 3;

const guessFeatures = (name: string): readonly Feature[] =>
  inferKinds({ name })
    .slice(0, GUESSES)
    .filter(({ reason }) => reason.type === 'words')
    .map(({ kind, confidence }) => ({ key: `k ${kind}`, value: 2 * confidence, word: null }));

/** What the same text says again and again is worked out once. */
const remembering = <T>(work: (text: string) => T): ((text: string) => T) => {
  const known = new Map<string, T>();
  return (text) => {
    const found = known.get(text) ?? work(text);
    known.set(text, found);
    return found;
  };
};

/** Gives everything that holds of a row and may say something of its kind; made anew for each list. */
export const featureReader = (): ((row: RowSaid) => readonly Feature[]) => {
  const nearest = remembering((name) => aboveFeatures(name, 0));
  const next = remembering((name) => aboveFeatures(name, 1));
  const typed = remembering(typeFeatures);
  return (row) => [
    { key: 'always', value: 1, word: null },
    ...nameFeatures(row.name),
    ...guessFeatures(row.name),
    ...(row.above[0] === undefined ? [] : nearest(row.above[0])),
    ...(row.above[1] === undefined ? [] : next(row.above[1])),
    ...typed(row.type),
    ...numberFeatures(row.number),
    { key: `s ${sideOf(row.balance)}`, value: 1, word: null },
    ...(row.leads ? [{ key: 'leads', value: 1, word: null }] : []),
  ];
};
