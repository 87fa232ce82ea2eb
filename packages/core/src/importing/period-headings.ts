/** Words that may stand beside the year in the heading of a column of amounts; common practice, no source. */
const BESIDE = new Set(
  (
    'january february march april may june july august september october november december ' +
    'jan feb mar apr jun jul aug sep sept oct nov dec ' +
    'year years period month months quarter half ended ending end as at of on to the for from until fy actual actuals ' +
    'closing opening balance balances st nd rd th usd gbp eur cad aud nzd zar chf jpy sek nok dkk inr'
  ).split(' '),
);

/** A currency alone: £, US$, EUR. */
export const CURRENCY =
  /^(?:\p{Lu}{0,2}\p{Sc}|USD|GBP|EUR|CAD|AUD|NZD|ZAR|CHF|JPY|SEK|NOK|DKK|INR)$/u;

const THIS_YEAR = /^(?:(?:this|current) (?:year|period)|year to date|ytd)$/;
/** Beside the year to date a month or a quarter is a part of it. */
const LAST_YEAR =
  /^(?:(?:last|prior|previous) (?:year|period)|(?:(?:this|current) )?(?:month|quarter))$/;

const wordsOfHeading = (heading: string): readonly string[] =>
  heading
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '');

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** The last month that a heading names, from 1; 0 for none. */
const lastMonth = (words: readonly string[]): number =>
  Math.max(0, ...words.slice(-3).map((word) => MONTHS.indexOf(word.slice(0, 3)) + 1));

/** A year of two digits behind a month: “Dec 25”. */
const shortYear = (words: readonly string[]): string | null => {
  const last = words.at(-1) ?? '';
  return lastMonth(words) > 0 && /^\d\d$/.test(last) ? `20${last}` : null;
};

/** The later year of two that follow one another, “2025/26” or “25/26”, or one of two digits that is said to be fiscal: “FY26”. */
const fiscalYear = (words: readonly string[]): string | null => {
  const [last, before] = [words.at(-1) ?? '', words.at(-2) ?? ''];
  const [, digits = ''] = /^(?:fy)?(\d\d)$/.exec(last) ?? [];
  if (digits === '') return null;
  const follows = (Number(before.slice(-2)) + 1) % 100 === Number(digits);
  const spans = follows && /^(?:fy)?(?:(?:19|20)\d\d|\d\d)$/.test(before);
  return last.startsWith('fy') || before === 'fy' || spans ? `20${digits}` : null;
};

const isYear = (word: string): boolean => /^(?:fy)?(?:19|20)\d\d$/.test(word);
const isPartOfDate = (word: string): boolean => /^(?:fy)?\d{1,2}(?:st|nd|rd|th)?$/.test(word);

/** The heading of a column of amounts that names no more than their period or currency. */
export interface PeriodHeading {
  /** The later of two periods ranks higher. */
  readonly rank: number;
  /** The last year that it names; `null` for none. */
  readonly year: number | null;
  /** The last month that it names, from 1; `null` for none. */
  readonly month: number | null;
}

const undated = (rank: number): PeriodHeading => ({ rank, year: null, month: null });

/**
 * What a heading says of the period of the amounts below it: “2025”, “31 Dec 2025”, “Year ended June 2025”, “£”;
 * `null` where it says something else.
 */
export const periodHeading = (heading: string): PeriodHeading | null => {
  const text = heading.trim();
  if (CURRENCY.test(text)) return undated(0);
  const words = wordsOfHeading(text);
  const plain = words.join(' ');
  if (THIS_YEAR.test(plain)) return undated(2);
  if (LAST_YEAR.test(plain)) return undated(1);
  const years = [...words, fiscalYear(words) ?? shortYear(words) ?? ''].filter(isYear);
  const known = words.every((word) => isYear(word) || isPartOfDate(word) || BESIDE.has(word));
  if (years.length === 0 || !known) return null;
  const year = Math.max(...years.map((word) => Number(word.replace('fy', ''))));
  const month = lastMonth(words);
  return { rank: year * MONTHS.length + month, year, month: month === 0 ? null : month };
};
