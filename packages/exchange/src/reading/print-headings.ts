import { setApart, wordsIn, type PrintWord } from './print-line';

/** What stands over the columns of a print. */
export interface PrintHeadings {
  /** Over the names; empty for nothing. */
  readonly name: string;
  readonly words: readonly PrintWord[];
}

const MONTH =
  'jan\\w*|feb\\w*|mar\\w*|apr\\w*|may|june?|july?|aug\\w*|sep\\w*|oct\\w*|nov\\w*|dec\\w*';
const DATE = '\\d{1,2}[/.-]\\d{1,2}[/.-]\\d{2,4}|\\d{4}-\\d{2}-\\d{2}';
/** Words that may end a heading over amounts: notes, currencies, years, dates, sides. */
const LAST = `notes?|\\p{Sc}(?:'?000s?)?|usd|gbp|eur|cad|aud|nzd|(?:19|20)\\d\\d|${DATE}|debits?|credits?|dr|cr|balance|amount|total|budget|actual|variance|cost|net`;
const CURRENCY = /^(?:\p{Sc}(?:'?000s?)?|usd|gbp|eur|cad|aud|nzd)$/iu;
const ENDS_HEADING = new RegExp(`^(?:${LAST})$`, 'iu');
const OVER_AMOUNTS = new RegExp(`^(?:${LAST}|${MONTH}|\\d{1,2}(?:st|nd|rd|th)?)$`, 'iu');

/** What stands over the names of accounts, perhaps with their numbers before them; common practice, no source. */
const OVER_NAMES =
  /^(?:(?:no|nr|number|code|acct|a\/c|n\/c|account (?:no|number|code))\.?\s+)?(?:accounts?|account name|name|descriptions?|particulars|details|ledger|items?)$/i;

/** A line that says for when a print is: “Balance sheet as at 31 March 2026”. */
export const isDated = (text: string): boolean =>
  new RegExp(
    `\\b(?:years?|periods?|months?|quarter|as at|as of|ended|ending|to|${MONTH})\\b.*(?<!\\d)(?:19|20)\\d\\d\\s*$`,
    'i',
  ).test(text);

const together = (words: readonly PrintWord[]): readonly PrintWord[] => {
  const [first, last] = [words[0], words.at(-1)];
  if (first === undefined || last === undefined) return [];
  return [{ text: words.map(({ text }) => text).join(' '), start: first.start, end: last.end }];
};

/** Whether a currency stands right behind a word and says of what the same column is: “Dr £”. */
const isOfCurrency = (word: PrintWord, next: PrintWord | undefined): boolean =>
  next !== undefined && next.start - word.end === 1 && CURRENCY.test(next.text);

/** The headings that words make, each up to a word that may end one; `null` where the last has no end. */
const joined = (words: readonly PrintWord[]): readonly PrintWord[] | null => {
  const ends = words.flatMap((word, at) =>
    ENDS_HEADING.test(word.text) && !isOfCurrency(word, words[at + 1]) ? [at + 1] : [],
  );
  if (ends.at(-1) !== words.length) return null;
  return ends.flatMap((end, at) => together(words.slice(ends[at - 1] ?? 0, end)));
};

/** Nothing stands over the names, and blanks between the headings: “     Unrestricted   Restricted   Total”. */
const SET_APART = /^\s{8,}\S/;
/** Over a share of turnover beside the amounts; shares are passed over. */
const OVER_SHARES = /%/;

/** Digits as amounts have them; those of a year or a date may be part of a heading: “Total 2025”. */
const isAmountLike = (word: string): boolean => /\d{3}/.test(word) && !OVER_AMOUNTS.test(word);

/**
 * The headings of a line that has nothing else: “Note  2026  2025”, “31 March 2026  31 March 2025”, “Account  Debit  Credit”,
 * or any that blanks set apart; `null` for any other line.
 */
export const headingsOn = (line: string): PrintHeadings | null => {
  const all = wordsIn(line);
  let from = all.length;
  while (from > 0 && OVER_AMOUNTS.test(all[from - 1]?.text ?? '')) from -= 1;
  const name = line.slice(0, all[from - 1]?.end ?? 0).trim();
  const known = name === '' || OVER_NAMES.test(name);
  const words = known ? joined(all.slice(from)) : null;
  // A date at the beginning of a line is part of its title.
  const stands = words !== null && (words.length > 1 || name !== '' || SET_APART.test(line));
  if (stands) return { name, words };
  const apart = SET_APART.test(line) ? setApart(line) : [];
  const headings = apart.filter(({ text }) => !OVER_SHARES.test(text));
  const isLine = headings.some(({ text }) => text.split(' ').some(isAmountLike));
  return headings.length < 2 || isLine ? null : { name: '', words: headings };
};

const PERIOD = new RegExp(
  `(?:19|20)\\d\\d|^(?:notes?|\\p{Sc}.*|usd|gbp|eur|cad|aud|nzd|${DATE})$`,
  'iu',
);

/** Whether headings name periods, currencies and notes, and nothing else. */
export const isPeriod = ({ name, words }: PrintHeadings): boolean =>
  name === '' && words.every(({ text }) => PERIOD.test(text));
