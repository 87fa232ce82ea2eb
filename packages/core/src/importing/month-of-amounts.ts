import { addMonths, fiscalYearStart, monthOf, type Month } from '../dates/month';
import { namedMonth, readDate, type ReadingDates } from '../dates/read-date';
import { periodHeading } from './period-headings';
import type { ColumnReading, ColumnUse } from './source';

const OF_BALANCES: ReadonlySet<ColumnUse | null> = new Set<ColumnUse>([
  'balance',
  'innerBalance',
  'debit',
  'credit',
]);

/** A date in digits: 31/12/2025. */
const DIGITS = /^\d{1,4}([/.-])\d{1,2}\1\d{2,4}$/;

const monthIs = (year: string, month: number): Month => `${year}-${String(month).padStart(2, '0')}`;

const monthIn = (
  heading: string,
  reading: ReadingDates & { readonly startsIn: number },
): Month | null => {
  const text = heading.trim();
  const date = DIGITS.test(text) ? readDate(text, reading) : null;
  if (date !== null) return monthOf(date);
  const { year, month } = periodHeading(text) ?? { year: null, month: null };
  if (year === null) return null;
  if (month !== null) return monthIs(String(year), month);
  // A year alone is the fiscal year that ends in it.
  const start = fiscalYearStart(`${year}-12`, reading.startsIn);
  const end = addMonths(start, 11);
  return end.startsWith(String(year)) ? end : addMonths(end, -12);
};

/**
 * The month at whose end the balances of a list were drawn up, by the heading over them: “31 Dec 2025”, “Year ended June
 * 2026”, “2026” for the fiscal year that ends in it. `startsIn` is the month in which fiscal years begin, 1–12.
 * @returns the month; `null` where no heading says it, or one that has not begun by `today`.
 */
export const monthOfAmounts = (
  { headings, uses }: ColumnReading,
  reading: ReadingDates & { readonly startsIn: number },
): Month | null => {
  const months = headings.flatMap((heading, column) => {
    const month = OF_BALANCES.has(uses[column] ?? null) ? monthIn(heading, reading) : null;
    return month === null ? [] : [month];
  });
  const [first] = months;
  return first === undefined || first > monthOf(reading.today) ? null : first;
};

/** A month and its year: “31 October 2026”, “June 30, 2026”, “Dec 2025”. */
const NAMED = /\b([a-z]{3,9})\.?(?:\s+\d{1,2}(?:st|nd|rd|th)?,?)?\s+((?:19|20)\d\d)\b/gi;

const monthsNamed = (title: string): readonly Month[] =>
  [...title.matchAll(NAMED)].flatMap(([, name = '', year = '']) => {
    const month = namedMonth(name.toLowerCase());
    return month === null ? [] : [monthIs(year, month)];
  });

/** A date in digits of which only one can be the day: 30/06/2026. */
const IN_DIGITS = /\b(\d{1,2})[/.-](\d{1,2})[/.-]((?:19|20)\d\d)\b/;

const monthInDigits = (title: string): readonly Month[] => {
  const [, first = '', second = '', year = ''] = IN_DIGITS.exec(title) ?? [];
  const months = [first, second].filter((part) => Number(part) <= 12);
  const [month] = months;
  return month === undefined || months.length > 1 ? [] : [monthIs(year, Number(month))];
};

/** The last month that the first title names which names one: “Income statement for the year ended 31 October 2026”. */
export const monthOfTitles = (titles: readonly string[]): Month | null =>
  titles.flatMap((title) => monthsNamed(title).at(-1) ?? monthInDigits(title))[0] ?? null;

/** The month at whose end a list was drawn up: what its titles say (`dated`), else its headings; `null` where neither does, or the month has not begun. */
export const monthOfList = (
  dated: Month | null,
  columns: ColumnReading,
  reading: ReadingDates & { readonly startsIn: number },
): Month | null =>
  dated !== null && dated <= monthOf(reading.today) ? dated : monthOfAmounts(columns, reading);
