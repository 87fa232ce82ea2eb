import type { Dictionary } from './dictionary';
import { isMadeOfWords } from './made-of-words';
import { oneSlipFrom, type Meant } from './one-slip';

/** A word that no dictionary has, and what it may have been meant to be, the likeliest first. */
export interface Misspelled {
  readonly word: string;
  readonly meant: readonly string[];
}

/** By what names are spelled: a dictionary, the words of the trade, and words that somebody said are right. */
export interface Spelling {
  readonly dictionary: Dictionary;
  /** In small letters, as the words that are right. */
  readonly trade: ReadonlySet<string>;
  readonly own: ReadonlySet<string>;
  /** A word of another country's spelling as it is written here; others as they are. */
  here(word: string): string;
}

const WORD = /(?<![\p{L}\p{N}&'’./@-])\p{L}+(?![\p{L}\p{N}&'’/@]|\.\p{L})/gu;
/** Shorter words are abbreviations more often than slips. */
const SHORTEST = 5;
/** So many letters are hardly a slip away from another word by chance. */
const LONG = 7;
/** So many words that may have been meant are offered. */
const OFFERED = 3;

const knows =
  ({ dictionary, trade, own }: Spelling) =>
  (word: string): boolean =>
    [word, word.replace(/s$/, '')].some((one) => trade.has(one) || own.has(one)) ||
    dictionary.knows(word);

/** Where in a name a word stands. */
interface Found {
  readonly word: string;
  readonly at: number;
  readonly name: string;
}

const isCapital = (word: string): boolean => /^\p{Lu}/u.test(word);

/** Whether a word may be somebody's name: it begins with a capital where words beside it do not. */
const mayBeName = ({ word, at, name }: Found): boolean => {
  if (at === 0 || !isCapital(word)) return false;
  const others = (name.slice(0, at) + name.slice(at + word.length)).match(/\p{L}{4,}/gu) ?? [];
  return others.some((other) => !isCapital(other));
};

const cased = (meant: string, word: string): string =>
  isCapital(word) ? meant.charAt(0).toUpperCase() + meant.slice(1) : meant;

/** Short words are a letter away from many others: of them only what hands do most counts as a slip. */
const isLikely = (word: string, { slip }: Meant): boolean =>
  word.length >= LONG || slip === 'swapped' || slip === 'doubled' || slip === 'left out';

/** What is not of the trade may be a name, or a word that the dictionary lacks: it has to look like a slip. */
const isLikelyOutside = ({ word, at }: Found, { slip }: Meant): boolean =>
  at === 0 || !isCapital(word) || slip === 'swapped' || slip === 'doubled';

const meantBy = (found: Found, spelling: Spelling): readonly string[] => {
  const word = found.word.toLowerCase();
  const here = spelling.here(word);
  if (here !== word) return [here];
  const near = oneSlipFrom(word);
  const ofTrade = near.filter((one) => spelling.trade.has(one.word) && isLikely(word, one));
  if (ofTrade.length > 0) return ofTrade.map((one) => one.word);
  if (word.length < LONG || isMadeOfWords(word, knows(spelling))) return [];
  return near
    .filter((one) => isLikelyOutside(found, one) && spelling.dictionary.knows(one.word))
    .map((one) => one.word);
};

/**
 * The words of a name that are spelled as no word is and are one slip away from one that is. Words of other languages,
 * names of people and places, and abbreviations are none of them: what is near nothing is left alone.
 */
export const misspelledIn = (name: string, spelling: Spelling): readonly Misspelled[] =>
  [...name.matchAll(WORD)].flatMap(({ 0: word, index: at }) => {
    if (word.length < SHORTEST || word === word.toUpperCase() || /[^a-z]/i.test(word)) return [];
    const found = { word, at, name };
    if (knows(spelling)(word.toLowerCase()) || spelling.dictionary.knows(word)) return [];
    if (mayBeName(found)) return [];
    const meant = meantBy(found, spelling).slice(0, OFFERED);
    return meant.length === 0 ? [] : [{ word, meant: meant.map((one) => cased(one, word)) }];
  });

/** A name with a word of it spelled otherwise. */
export const respelled = (name: string, word: string, to: string): string =>
  name.replaceAll(new RegExp(`(?<!\\p{L})${word}(?!\\p{L})`, 'gu'), to);
