import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { dictionaryOf, type Spelling } from '@iunctus/core';
import { spellingOf } from './spelling-of';

const require = createRequire(import.meta.url);

/** Spelling as in a country, by the dictionaries that are installed; `null` where the country's is not known. */
export const readSpelling = async (country: string): Promise<Spelling | null> => {
  const code = dictionaryOf(country);
  if (code === null) return null;
  const folder = dirname(require.resolve(`dictionary-${code}`));
  const [aff, dic] = await Promise.all([
    readFile(join(folder, 'index.aff'), 'utf8'),
    readFile(join(folder, 'index.dic'), 'utf8'),
  ]);
  return spellingOf({ aff, dic }, country);
};
