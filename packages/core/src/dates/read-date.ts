import { addDays, daysFrom, isCalendarDate, type CalendarDate } from './calendar-date';
import { addMonths, isMonth, monthOf, type Month } from './month';

/** Whether a country writes the day or the month first where both are digits. */
export type DateOrder = 'dayFirst' | 'monthFirst';

export interface ReadingDates {
  readonly order: DateOrder;
  /** Where relative and unfinished dates are seen from. */
  readonly today: CalendarDate;
}

const MONTHS = [
  'january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october', 'november',
  'december',
] as const; // prettier-ignore

const DAYS_OFF: Readonly<Record<string, number>> = { yesterday: -1, today: 0, tomorrow: 1 };

const two = (number: number): string => String(number).padStart(2, '0');

const dateOf = (year: number, month: number, day: number): CalendarDate | null => {
  const date = `${String(year).padStart(4, '0')}-${two(month)}-${two(day)}`;
  return isCalendarDate(date) ? date : null;
};

/** Which month a word such as "march", "mar" or "sept" names; `null` for any other word. */
export const namedMonth = (word: string): number | null => {
  const index = word.length < 3 ? -1 : MONTHS.findIndex((month) => month.startsWith(word));
  return index < 0 ? null : index + 1;
};

/** A year of two digits is of this century up to twenty years ahead, else of the last one. */
export const wholeYear = (digits: string, today: CalendarDate): number | null => {
  const year = Number(digits);
  if (digits.length === 4) return year;
  if (digits.length !== 2) return null;
  const thisYear = Number(today.slice(0, 4));
  const near = thisYear - (thisYear % 100) + year;
  return near > thisYear + 20 ? near - 100 : near;
};

/** Books look back: a day without a year lies in the past, or at most this many days ahead. */
const AHEAD = 90;

const latest = (
  { month, day }: { readonly month: number; readonly day: number },
  { today, ahead }: { readonly today: CalendarDate; readonly ahead: number },
): CalendarDate | null => {
  const year = Number(today.slice(0, 4));
  const dates = [year + 1, year, year - 1].map((one) => dateOf(one, month, day));
  return dates.find((date) => date !== null && daysFrom(today, date) <= ahead) ?? null;
};

const placed = (
  { day, month, year }: { day: number; month: number; year: string | undefined },
  today: CalendarDate,
): CalendarDate | null => {
  if (year === undefined) return latest({ month, day }, { today, ahead: AHEAD });
  const whole = wholeYear(year, today);
  return whole === null ? null : dateOf(whole, month, day);
};

const partsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .replace(/(\d)(st|nd|rd|th)\b/g, '$1')
    .replace(/(\d)([a-z])/g, '$1 $2')
    .replace(/([a-z])(\d)/g, '$1 $2')
    .split(/[\s,./-]+/)
    .filter((part) => part !== '');

const allDigits = (parts: readonly string[]): boolean => parts.every((part) => /^\d+$/.test(part));

const withNamedMonth = (parts: readonly string[], today: CalendarDate): CalendarDate | null => {
  const at = parts.findIndex((part) => !/^\d+$/.test(part));
  const month = namedMonth(parts[at] ?? '');
  const [first, second, ...more] = parts.filter((_, index) => index !== at);
  if (month === null || first === undefined || more.length > 0 || at > 1) return null;
  return placed({ day: Number(first), month, year: second }, today);
};

const ofDigits = (
  parts: readonly string[],
  { order, today }: ReadingDates,
): CalendarDate | null => {
  const [first = '', second, year, ...more] = parts;
  if (more.length > 0) return null;
  if (first.length === 4 && year !== undefined)
    return dateOf(Number(first), Number(second), Number(year));
  if (second === undefined)
    return dateOf(Number(today.slice(0, 4)), Number(today.slice(5, 7)), Number(first));
  const [day, month] = order === 'dayFirst' ? [first, second] : [second, first];
  return placed({ day: Number(day), month: Number(month), year }, today);
};

/**
 * A date as a bookkeeper types it: `31 oct`, `Oct 31, 2026`, `31/10/26` (or `10/31/26` where the month stands first),
 * `31` of this month, `+7` or `-1` days from today, `today`, `2026-10-31`. Without a year, the latest that is at most
 * ninety days ahead.
 * @returns the date, or `null` where none is meant.
 */
export const readDate = (text: string, reading: ReadingDates): CalendarDate | null => {
  const typed = text.trim().toLowerCase();
  if (/^[+-]\s*\d{1,4}$/.test(typed))
    return addDays(reading.today, Number(typed.replace(/\s/g, '')));
  const off = DAYS_OFF[typed];
  if (off !== undefined) return addDays(reading.today, off);
  const parts = partsOf(typed);
  if (parts.length === 0) return null;
  return allDigits(parts) ? ofDigits(parts, reading) : withNamedMonth(parts, reading.today);
};

const latestMonth = (number: number, today: CalendarDate): Month =>
  monthOf(latest({ month: number, day: 1 }, { today, ahead: 0 }) ?? today);

const monthOfYear = (number: number, year: string, today: CalendarDate): Month | null => {
  const whole = wholeYear(year, today);
  const month = `${String(whole).padStart(4, '0')}-${two(number)}`;
  return whole !== null && isMonth(month) ? month : null;
};

/** Whether two digits after a month are its year: `10/26` always, `march 25` where no day of a later year is meant. */
const isYearHere = (digits: string, typed: string, today: CalendarDate): boolean =>
  /^\d{1,2}\/\d{2}$/.test(typed) ||
  (/^[a-z]/.test(typed) &&
    /^\d{2}$/.test(digits) &&
    Number(digits) <= Number(today.slice(2, 4)) + 1);

/**
 * A month as a bookkeeper types it: `oct`, `October 2026`, `10/26`, `10`, `-1` months from this one, `2026-10`, or any
 * date in it. Without a year, the latest that has begun.
 * @returns the month, or `null` where none is meant.
 */
export const readMonth = (text: string, reading: ReadingDates): Month | null => {
  const { today } = reading;
  const typed = text.trim().toLowerCase();
  if (/^[+-]\s*\d{1,3}$/.test(typed))
    return addMonths(monthOf(today), Number(typed.replace(/\s/g, '')));
  const [first = '', second, ...more] = partsOf(typed);
  const number = /^\d{1,2}$/.test(first) ? Number(first) : namedMonth(first);
  if (more.length === 0) {
    if (/^\d{4}$/.test(first) && second !== undefined)
      return monthOfYear(namedMonth(second) ?? Number(second), first, today);
    if (number !== null && second === undefined)
      return number >= 1 && number <= 12 ? latestMonth(number, today) : null;
    if (number !== null && /^\d{4}$/.test(second ?? ''))
      return monthOfYear(number, second ?? '', today);
    if (number !== null && second !== undefined && isYearHere(second, typed, today))
      return monthOfYear(number, second, today);
  }
  const date = readDate(text, reading);
  return date === null ? null : monthOf(date);
};
