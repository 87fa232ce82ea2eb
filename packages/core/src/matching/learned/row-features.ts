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

/** The digits of a number that stands in a name are no part of any word. */
const isWord = (token: string): boolean => !/^\d+$/.test(token);

const tokenFeatures = (token: string): readonly Feature[] =>
  runsOf(token).map((run) => ({ key: `c ${run}`, value: 0.3, word: token }));

const wordFeatures = (name: string): readonly Feature[] => {
  const words = wordsOf(name);
  const found: Feature[] = [];
  const add = (key: string, word: string | null): void => void found.push({ key, value: 1, word });
  words.forEach((word, at) => {
    add(`w ${word}`, word);
    const next = words[at + 1];
    if (next !== undefined) add(`b ${word} ${next}`, word);
  });
  if (words.length > 0) {
    add(`f ${words[0] ?? ''}`, words[0] ?? null);
    add(`l ${words.at(-1) ?? ''}`, words.at(-1) ?? null);
  }
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

/** How long a number is and how it begins: “6 12”; empty where it says nothing. */
const digitsOf = (number: string | null): string => {
  const digits = /^\d+/.exec(number ?? '')?.[0] ?? '';
  return digits.length < 3 ? '' : `${Math.min(digits.length, 6)} ${digits.slice(0, 2)}`;
};

const numberFeatures = (digits: string): readonly Feature[] =>
  digits === ''
    ? []
    : [digits.slice(0, -1), digits].map((own) => ({ key: `n ${own}`, value: 0.5, word: null }));

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

const ALWAYS: readonly Feature[] = [{ key: 'always', value: 1, word: null }];
const LEADS: readonly Feature[] = [{ key: 'leads', value: 1, word: null }];

/**
 * Gives everything that holds of a row and may say something of its kind, in groups: what the same text says is the same
 * group for all rows of the list. Made anew for each list.
 */
export const featureReader = (): ((row: RowSaid) => readonly (readonly Feature[])[]) => {
  const own = remembering((name) => [...wordFeatures(name), ...guessFeatures(name)]);
  const token = remembering(tokenFeatures);
  const nearest = remembering((name) => aboveFeatures(name, 0));
  const next = remembering((name) => aboveFeatures(name, 1));
  const typed = remembering(typeFeatures);
  const numbered = remembering(numberFeatures);
  const sided = remembering((side): readonly Feature[] => [
    { key: `s ${side}`, value: 1, word: null },
  ]);
  return ({ name, above, type, number, balance, leads }) => [
    ALWAYS,
    own(name),
    ...[...new Set(tokensOf(name))].filter(isWord).map(token),
    ...above.slice(0, 2).map((one, at) => (at === 0 ? nearest(one) : next(one))),
    typed(type),
    numbered(digitsOf(number)),
    sided(sideOf(balance)),
    ...(leads ? [LEADS] : []),
  ];
};
