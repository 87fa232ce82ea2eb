import { firstDayOf, type CalendarDate, type Period } from '@iunctus/core';

const written = (day: CalendarDate, country: string, parts: Intl.DateTimeFormatOptions): string =>
  new Intl.DateTimeFormat(country === 'US' ? 'en-US' : 'en-GB', {
    ...parts,
    timeZone: 'UTC',
  }).format(new Date(`${day}T00:00:00Z`));

/** A day as people of a country write it: “November 26, 2026” in the United States, “26 November 2026” elsewhere. */
export const dayInWords = (day: CalendarDate, country: string): string =>
  written(day, country, { day: 'numeric', month: 'long', year: 'numeric' });

/** Months from the first to the last: “July to October 2026”, “December 2025 to March 2026”, “July 2026”. */
export const periodInWords = ({ first, last }: Period, country: string): string => {
  const [from, to] = [firstDayOf(first), firstDayOf(last)];
  const end = written(to, country, { month: 'long', year: 'numeric' });
  if (first === last) return end;
  const sameYear = first.slice(0, 4) === last.slice(0, 4);
  const begin = written(from, country, { month: 'long', ...(sameYear ? {} : { year: 'numeric' }) });
  return `${begin} to ${end}`;
};
