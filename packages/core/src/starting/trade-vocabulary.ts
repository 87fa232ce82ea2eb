import { countryOf, legalFormsIn, type CountryCode } from '../countries/countries';
import { composeStartingChart } from './compose';
import { INDUSTRY_CODES } from './industries';
import { usualAnswers } from './questions';

/** Words of trades that dictionaries lack. Common practice, no source. */
const LACKING =
  'callout chandlery dropship influencer loadshedding operatory pilates pre-order roastery subbie subbies suckler taproom tradie tradies weanling'.split(
    ' ',
  );

const WORD = /\p{L}+/gu;

const wordsIn = (country: CountryCode): ReadonlySet<string> => {
  const [legalForm] = legalFormsIn(country);
  const words = new Set<string>(LACKING);
  if (legalForm === undefined) return words;
  for (const industry of INDUSTRY_CODES) {
    const answers = usualAnswers(industry, country);
    for (const group of composeStartingChart({ industry, legalForm, country, answers }))
      for (const { name } of [group, ...group.accounts])
        for (const word of name.toLowerCase().match(WORD) ?? []) words.add(word);
  }
  return words;
};

const known = new Map<CountryCode, ReadonlySet<string>>();

/** The words of account names in the starting charts of a country, in small letters: what a bookkeeper there writes. */
export const tradeVocabulary = (country: string): ReadonlySet<string> => {
  const code = countryOf(country);
  const words = known.get(code) ?? wordsIn(code);
  known.set(code, words);
  return words;
};
