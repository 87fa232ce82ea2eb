import { COUNTRIES, misspelledIn, tradeVocabulary } from '@iunctus/core';
import fc from 'fast-check';
import { readSpelling } from './read-dictionary';

const spellingIn = async (country: string) => {
  const spelling = await readSpelling(country);
  if (spelling === null) throw new Error(`no dictionary for ${country}`);
  return spelling;
};

describe('names spelled by the dictionary of a country', () => {
  it.each([
    ['US', 'Labour', 'Labor'],
    ['US', 'Licence fees', 'License'],
    ['GB', 'Advertizing', 'Advertising'],
    ['IE', 'Fertilizer', 'Fertiliser'],
    ['CA', 'Depreciaton', 'Depreciation'],
    ['AU', 'Current liabilites', 'liabilities'],
    ['NZ', 'Interest recieved', 'received'],
  ])('%s: “%s” is meant to be “%s”', async (country, name, meant) => {
    expect(misspelledIn(name, await spellingIn(country)).map((one) => one.meant[0])).toEqual([
      meant,
    ]);
  });

  it.each([
    ['GB', 'Labour, licences and programmes'],
    ['US', 'Labor, licenses and programs'],
    ['CA', 'Cheques and licences'],
    ['GB', 'Subbies, callouts & shopfittings'],
    ['US', 'Chairs & operatory equipment'],
  ])('%s: “%s” is right', async (country, name) => {
    expect(misspelledIn(name, await spellingIn(country))).toEqual([]);
  });

  it('there is none for a country whose spelling is not known', async () => {
    expect(await readSpelling('ZA')).toBeNull();
  });

  it.each(COUNTRIES)('every word of the starting charts is right: %s', async (country) => {
    const spelling = await spellingIn(country);
    const names = [...tradeVocabulary(country)];
    expect(names.flatMap((name) => misspelledIn(name, spelling))).toEqual([]);
  });

  it('a letter swapped, doubled or left out in a long word of the trade is found, and the word with it', async () => {
    const spelling = await spellingIn('US');
    const long = [...tradeVocabulary('US')].filter(
      (word) => word.length >= 9 && /^[a-z]+$/.test(word),
    );
    const slip = (word: string, at: number, how: number): string =>
      [
        word.slice(0, at) + (word[at + 1] ?? '') + (word[at] ?? '') + word.slice(at + 2),
        word.slice(0, at) + (word[at] ?? '') + word.slice(at),
        word.slice(0, at) + word.slice(at + 1),
      ][how] ?? word;
    fc.assert(
      fc.property(
        fc.constantFrom(...long),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 0, max: 2 }),
        (word, at, how) => {
          const slipped = slip(word, at, how);
          if (slipped === word || spelling.trade.has(slipped) || spelling.dictionary.knows(slipped))
            return;
          const [found] = misspelledIn(slipped, spelling);
          expect(found?.meant).toContain(word);
        },
      ),
    );
  });
});
