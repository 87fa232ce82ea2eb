import { lastDayOf, type DateOrder, type Month, type Period, type PeriodName } from '@iunctus/core';

const MONTHS = [
  $localize`January`,
  $localize`February`,
  $localize`March`,
  $localize`April`,
  $localize`May`,
  $localize`June`,
  $localize`July`,
  $localize`August`,
  $localize`September`,
  $localize`October`,
  $localize`November`,
  $localize`December`,
] as const;

/** The twelve months by name, January first. */
export const MONTH_NAMES: readonly string[] = MONTHS;

const nameOf = (month: Month): string => MONTHS[Number(month.slice(5)) - 1] ?? '';
const dayOf = (month: Month): string => String(Number(lastDayOf(month).slice(8)));

/** "1 Jul – 31 Oct 2026". */
export const shortPeriod = ({ first, last }: Period): string => {
  const year = first.slice(0, 4) === last.slice(0, 4) ? '' : ` ${first.slice(0, 4)}`;
  return `1 ${nameOf(first).slice(0, 3)}${year} – ${dayOf(last)} ${nameOf(last).slice(0, 3)} ${last.slice(0, 4)}`;
};

/** "1 July – 31 October 2026". */
export const longPeriod = ({ first, last }: Period): string => {
  const year = first.slice(0, 4) === last.slice(0, 4) ? '' : ` ${first.slice(0, 4)}`;
  return `1 ${nameOf(first)}${year} – ${dayOf(last)} ${nameOf(last)} ${last.slice(0, 4)}`;
};

/** "October 2026". */
export const longMonth = (month: Month): string => `${nameOf(month)} ${month.slice(0, 4)}`;

/** "31 October 2026". */
export const endOfPeriod = ({ last }: Period): string =>
  `${dayOf(last)} ${nameOf(last)} ${last.slice(0, 4)}`;

/** "31 Jan 2026" from a calendar date. */
export const dateWords = (date: string): string =>
  `${Number(date.slice(8))} ${nameOf(date.slice(0, 7)).slice(0, 3)} ${date.slice(0, 4)}`;

/** A date or month in a field, in the order of the country: "Oct 31, 2026", "31 Oct 2026", "Oct 2026". */
export const writtenWhen = (when: string, order: DateOrder): string => {
  const month = nameOf(when.slice(0, 7)).slice(0, 3);
  const [year, day] = [when.slice(0, 4), when.slice(8)];
  if (day === '') return `${month} ${year}`;
  return order === 'monthFirst'
    ? `${month} ${Number(day)}, ${year}`
    : `${Number(day)} ${month} ${year}`;
};

/** What can be typed into such a field, said where something else was. */
export const unreadWhen = (unit: 'day' | 'month', order: DateOrder): string => {
  if (unit === 'month') return $localize`Type a month, such as oct, 10/2026 or -1.`;
  return order === 'monthFirst'
    ? $localize`Type a date, such as oct 31, 10/31 or -7.`
    : $localize`Type a date, such as 31 oct, 31/10 or -7.`;
};

export const PERIOD_WORDS: Readonly<Record<PeriodName, string>> = {
  yearToDate: $localize`Fiscal year to date`,
  lastYear: $localize`Last fiscal year`,
  quarter: $localize`Fiscal quarter to date`,
  month: $localize`Latest month`,
  twelveMonths: $localize`Last twelve months`,
};

/** A moment in the reader's own time: "25 Nov 2026, 14:05". */
export const momentWords = (moment: string): string =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' }).format(
    new Date(moment),
  );
