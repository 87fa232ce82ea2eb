import { lastDayOf } from './calendar-date';
import type { Month } from './month';
import type { Period } from './period';
import type { DateOrder } from './read-date';

const SHORT = [
  'Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec',
] as const; // prettier-ignore

const nameOf = (month: Month): string => SHORT[Number(month.slice(5)) - 1] ?? '';

/** "Jul 2026", "Jul – Oct 2026", "Jul 2025 – Jun 2026". */
export const shortMonths = ({ first, last }: Period): string => {
  const end = `${nameOf(last)} ${last.slice(0, 4)}`;
  if (first === last) return end;
  const year = first.slice(0, 4) === last.slice(0, 4) ? '' : ` ${first.slice(0, 4)}`;
  return `${nameOf(first)}${year} – ${end}`;
};

const dayOf = (month: Month, day: number, order: DateOrder): string => {
  const [name, year] = [nameOf(month), month.slice(0, 4)];
  return order === 'monthFirst' ? `${name} ${day}, ${year}` : `${day} ${name} ${year}`;
};

/** "1 Jul 2026", or "Jul 1, 2026": the day with which a period begins. */
export const startDay = ({ first }: Period, order: DateOrder = 'dayFirst'): string =>
  dayOf(first, 1, order);

/** "31 Oct 2026", or "Oct 31, 2026": the day with which a period ends. */
export const endDay = ({ last }: Period, order: DateOrder = 'dayFirst'): string =>
  dayOf(last, Number(lastDayOf(last).slice(8)), order);
