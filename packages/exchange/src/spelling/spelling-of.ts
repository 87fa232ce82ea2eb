import { countryOf, spelledFor, tradeVocabulary, type Spelling } from '@iunctus/core';
import nspell from 'nspell';

/** The two files of a dictionary: how words are made, and the words. */
export interface DictionaryFiles {
  readonly aff: string;
  readonly dic: string;
}

/** Spelling by a dictionary and the words of the trade in a country (ISO 3166-1 alpha-2). */
export const spellingOf = (files: DictionaryFiles, country: string): Spelling => {
  const words = nspell(files);
  const known = new Map<string, boolean>();
  return {
    dictionary: {
      knows(word) {
        const before = known.get(word) ?? words.correct(word);
        known.set(word, before);
        return before;
      },
    },
    trade: tradeVocabulary(country),
    own: new Set(),
    here: (word) => spelledFor(word, countryOf(country)),
  };
};
