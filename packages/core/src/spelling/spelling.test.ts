import { isMadeOfWords } from './made-of-words';
import { oneSlipFrom } from './one-slip';
import { misspelledIn, respelled, type Spelling } from './spelling';

const KNOWN = new Set(
  'advertising advertise telephone the of insurance price ship hot line kiln repair repairs costs cost trade smith smiths equipment glaze glazes paint pain pant'.split(
    ' ',
  ),
);
const spelling = (own: readonly string[] = []): Spelling => ({
  dictionary: { knows: (word) => KNOWN.has(word) },
  trade: new Set(['advertising', 'insurance', 'equipment', 'costs', 'repairs']),
  own: new Set(own),
  here: (word) => word.replace('colour', 'color'),
});
const wrong = (name: string, own: readonly string[] = []) =>
  misspelledIn(name, spelling(own)).map(({ word, meant }) => `${word} → ${meant.join(', ')}`);

describe('a word that is one slip of the hand away from one of the trade', () => {
  it.each([
    ['Advertisng', 'Advertisng → Advertising'],
    ['Kiln equipmnet', 'equipmnet → equipment'],
    ['Insurrance of the kiln', 'Insurrance → Insurance'],
    ['insurence', 'insurence → insurance'],
  ])('is found: %s', (name, said) => {
    expect(wrong(name)).toEqual([said]);
  });

  it('is put right as it is written, and nothing else of the name', () => {
    expect(respelled('Telephne & telephne lines', 'telephne', 'telephone')).toBe(
      'Telephne & telephone lines',
    );
  });
});

describe('a word of another country’s spelling', () => {
  it('is told with that of the client’s', () => {
    expect(wrong('Colours & glazes')).toEqual(['Colours → Colors']);
  });
});

describe('what is no slip is left alone', () => {
  it.each([
    ['a word that is known', 'Telephone'],
    ['an abbreviation', 'Insur. of eqpt'],
    ['a short word near another', 'Custs'],
    ['capitals throughout', 'INSURENCE'],
    ['a word with digits', 'Insurence2'],
    ['somebody’s name beside words in small letters', 'Loan from Insurence'],
    ['a word made of words that are known', 'Repricer, ships and hotline'],
    ['a word near nothing', 'Glühwein und Brezel'],
  ])('%s', (_what, name) => {
    expect(wrong(name)).toEqual([]);
  });

  it('a word that somebody said is right', () => {
    expect(wrong('Insurence')).toHaveLength(1);
    expect(wrong('Insurence', ['insurence'])).toEqual([]);
  });
});

describe('the slips of a hand', () => {
  it('come with the likelier sorts first, and each word once', () => {
    const words = oneSlipFrom('paitn').map(({ word }) => word);
    expect(words.slice(0, 4)).toEqual(['apitn', 'piatn', 'patin', 'paint']);
    expect(new Set(words).size).toBe(words.length);
  });

  it('lead back to the word that was meant, whatever the slip', () => {
    for (const slipped of ['piant', 'paiint', 'pint', 'pnaint', 'paent'])
      expect(oneSlipFrom(slipped).map(({ word }) => word)).toContain('paint');
  });
});

describe('words that are made of others', () => {
  const knows = (word: string): boolean => KNOWN.has(word);
  it.each(['repricer', 'prices', 'hotline', 'ships', 'unpaint'])(
    'are known by their parts: %s',
    (word) => {
      expect(isMadeOfWords(word, knows)).toBe(true);
    },
  );
  it.each(['insurence', 'xyzzy'])('are not what only looks like one: %s', (word) => {
    expect(isMadeOfWords(word, knows)).toBe(false);
  });
});
