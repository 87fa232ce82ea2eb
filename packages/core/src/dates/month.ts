import type { CalendarDate } from './calendar-date';

/** A calendar month as `YYYY-MM`. Months compare as their texts do. */
export type Month = string;

/** Whether the text is a month written `YYYY-MM`. */
export const isMonth = (text: string): text is Month => /^\d{4}-(0[1-9]|1[0-2])$/.test(text);

/** The month that a date lies in. */
export const monthOf = (date: CalendarDate): Month => date.slice(0, 7);

const indexOf = (month: Month): number =>
  Number(month.slice(0, 4)) * 12 + Number(month.slice(5)) - 1;

const fromIndex = (index: number): Month =>
  `${String(Math.floor(index / 12)).padStart(4, '0')}-${String((index % 12) + 1).padStart(2, '0')}`;

/** The month `count` months later, or earlier when negative. */
export const addMonths = (month: Month, count: number): Month => fromIndex(indexOf(month) + count);

/** How many months lie from one to another, both counted; zero or less when they are out of order. */
export const monthsBetween = (first: Month, last: Month): number =>
  indexOf(last) - indexOf(first) + 1;

/** The first month of the fiscal year in which `month` lies, for years that begin in month `startsIn` (1–12). */
export const fiscalYearStart = (month: Month, startsIn: number): Month => {
  const back = (Number(month.slice(5)) - startsIn + 12) % 12;
  return addMonths(month, -back);
};
