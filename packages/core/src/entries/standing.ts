import { addDays, lastDayOf, type CalendarDate } from '../dates/calendar-date';
import { addMonths, monthOf } from '../dates/month';

/** How often a standing entry comes. */
export const FREQUENCIES = [
  'weekly',
  'everyTwoWeeks',
  'twiceAMonth',
  'monthly',
  'quarterly',
  'yearly',
] as const;
export type Frequency = (typeof FREQUENCIES)[number];

/** When a standing entry comes: from a first day, until a last one (inclusive) or so many times, or without end. */
export interface Recurrence {
  readonly frequency: Frequency;
  readonly first: CalendarDate;
  /** `null` for no end. */
  readonly last: CalendarDate | null;
  /** `null` for any number. */
  readonly times: number | null;
}

const dayIn = (month: string, day: number): CalendarDate => {
  const last = lastDayOf(month);
  return day >= Number(last.slice(8)) ? last : `${month}-${String(day).padStart(2, '0')}`;
};

const dayOf = (date: CalendarDate): number => Number(date.slice(8));

/** Half a month lies between the two days of a month: the 1st and the 16th, the 15th and the last. */
const HALF = 15;

const halfMonths = (first: CalendarDate, index: number): CalendarDate => {
  const day = dayOf(first);
  const isLast = first === lastDayOf(monthOf(first));
  const early = day > HALF ? (isLast ? HALF : day - HALF) : day;
  const late = day > HALF ? (isLast ? 31 : day) : day === HALF ? 31 : day + HALF;
  const at = index + (day > HALF ? 1 : 0);
  return dayIn(addMonths(monthOf(first), Math.floor(at / 2)), at % 2 === 0 ? early : late);
};

const months = (first: CalendarDate, count: number): CalendarDate =>
  dayIn(addMonths(monthOf(first), count), dayOf(first));

const NTH: Readonly<Record<Frequency, (first: CalendarDate, index: number) => CalendarDate>> = {
  weekly: (first, index) => addDays(first, 7 * index),
  everyTwoWeeks: (first, index) => addDays(first, 14 * index),
  twiceAMonth: halfMonths,
  monthly: (first, index) => months(first, index),
  quarterly: (first, index) => months(first, 3 * index),
  yearly: (first, index) => months(first, 12 * index),
};

/**
 * The day on which a standing entry comes for the so-many-eth time, from 0; `null` past its end. Days are counted from
 * the first one, so that a month's end stays a month's end (31 January, 28 February, 31 March). Twice a month are the
 * first day's own date and the one half a month from it.
 */
export const dayOfTime = (recurrence: Recurrence, index: number): CalendarDate | null => {
  if (recurrence.times !== null && index >= recurrence.times) return null;
  const date = NTH[recurrence.frequency](recurrence.first, index);
  return recurrence.last !== null && date > recurrence.last ? null : date;
};

/** Most days that are looked at for one standing entry: two hundred years of weeks. */
const MOST = 10_400;

/** Every day up to `through` (inclusive), in order. */
export const daysThrough = (
  recurrence: Recurrence,
  through: CalendarDate,
): readonly CalendarDate[] => {
  const days: CalendarDate[] = [];
  for (let index = 0; index < MOST; index += 1) {
    const day = dayOfTime(recurrence, index);
    if (day === null || day > through) break;
    days.push(day);
  }
  return days;
};

/** Something that comes again, with the days that are dealt with: posted or skipped. */
export interface Standing {
  readonly recurrence: Recurrence;
  readonly days: readonly { readonly due: CalendarDate }[];
}

const doneOf = ({ days }: Standing): ReadonlySet<CalendarDate> =>
  new Set(days.map(({ due }) => due));

/** Its days up to `through` (inclusive) that are not dealt with. */
const openDays = (standing: Standing, through: CalendarDate): readonly CalendarDate[] => {
  const done = doneOf(standing);
  return daysThrough(standing.recurrence, through).filter((day) => !done.has(day));
};

/** All that is due up to a day (inclusive), the oldest first. */
export const dueEntries = <S extends Standing>(
  standings: readonly S[],
  through: CalendarDate,
): readonly { readonly standing: S; readonly due: CalendarDate }[] =>
  standings
    .flatMap((standing) => openDays(standing, through).map((due) => ({ standing, due })))
    .sort((a, b) => a.due.localeCompare(b.due));

/** The next day on which it comes; `null` when it has ended. */
export const nextDayOf = (standing: Standing): CalendarDate | null => {
  const done = doneOf(standing);
  for (let index = 0; index < MOST; index += 1) {
    const day = dayOfTime(standing.recurrence, index);
    if (day === null || !done.has(day)) return day;
  }
  return null;
};
