import { dictionaryOf, type Spelling } from '@iunctus/core';
import { spellingOf } from '@iunctus/exchange/spelling';

const read = async (path: string): Promise<string> => {
  const response = await fetch(path);
  if (!response.ok) throw new Error(`${path}: ${response.status}`);
  return response.text();
};

/** Spelling as in a country, by the dictionaries that ship with the application; `null` where the country's is not known. */
export const readSpelling = async (country: string): Promise<Spelling | null> => {
  const code = dictionaryOf(country);
  if (code === null) return null;
  const [aff, dic] = await Promise.all([
    read(`/dictionaries/${code}/index.aff`),
    read(`/dictionaries/${code}/index.dic`),
  ]);
  return spellingOf({ aff, dic }, country);
};
