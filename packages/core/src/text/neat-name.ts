/** A name without blanks at its ends, twice in a row, or before a comma. */
export const neatBlanks = (name: string): string =>
  name
    .replace(/\s+/g, ' ')
    .replace(/ +([,;:.)])/g, '$1')
    .replace(/\( +/g, '(')
    .trim();

const LETTERS = /\p{L}/gu;
/** So many letters in capitals may be an abbreviation. */
const ABBREVIATION = 4;

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Words that are written in capitals in any name. */
const KEPT = new Set(
  'VAT GST HST PST PAYE IT ATM POS PPE LLC LLP USD EUR GBP CAD AUD NZD IRS HMRC CRA SARS FICA FUTA SUTA HR PR TV UK US EU'.split(
    ' ',
  ),
);

/** A name in capitals throughout, as a sentence begins; one without any with its first. Others stay as they are. */
export const neatCapitals = (name: string): string => {
  const letters = name.match(LETTERS)?.join('') ?? '';
  if (letters === '') return name;
  if (letters === letters.toLowerCase() && letters !== letters.toUpperCase())
    return name.replace(/\p{L}/u, (first) => first.toUpperCase());
  const isShouted = letters === letters.toUpperCase() && letters !== letters.toLowerCase();
  const words = name.split(' ');
  if (!isShouted || letters.length <= ABBREVIATION) return name;
  return words
    .map((word, at) => {
      if (KEPT.has(word.replace(/[^\p{L}]/gu, '')) || /\d/.test(word)) return word;
      const lower = word.toLowerCase();
      return at === 0 ? capital(lower) : lower;
    })
    .join(' ');
};

/** Short forms that stand for one word alone. Common practice, no source. */
const SHORT: Readonly<Record<string, string>> = {
  accum: 'accumulated',
  acct: 'account',
  accts: 'accounts',
  adv: 'advertising',
  amort: 'amortisation',
  bldg: 'building',
  chgs: 'charges',
  depn: 'depreciation',
  depr: 'depreciation',
  equip: 'equipment',
  exp: 'expenses',
  furn: 'furniture',
  insur: 'insurance',
  inv: 'inventory',
  maint: 'maintenance',
  mgmt: 'management',
  misc: 'miscellaneous',
  mktg: 'marketing',
  prof: 'professional',
  pymts: 'payments',
  recv: 'receivable',
  repr: 'repairs',
  sal: 'salaries',
  subs: 'subscriptions',
  suppl: 'supplies',
  util: 'utilities',
  veh: 'vehicle',
};

const asWritten = (short: string, long: string): string =>
  short.charAt(0) === short.charAt(0).toUpperCase() ? capital(long) : long;

/** A name with its short forms spelled out. */
export const spelledOut = (name: string): string =>
  name.replace(
    /(?<![\p{L}&'’/])(\p{L}{3,7})(\.(?=\s|$))?(?![\p{L}&'’/])/gu,
    (whole, word: string) => {
      const long = SHORT[word.toLowerCase()];
      return long === undefined || word === word.toUpperCase() ? whole : asWritten(word, long);
    },
  );

const NOTHING =
  /^(new |old |unknown |test |temp |temporary )?(account|acct|item|category|thing|stuff|test|temp|temporary|unknown|x+|\?+|tbd|todo|other|others|general|name)( ?\d+)?$/i;

/** Whether a name says nothing of what belongs there. */
export const saysNothing = (name: string): boolean => NOTHING.test(name.trim());
