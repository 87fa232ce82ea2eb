/** A calendar date as `YYYY-MM-DD`; it has no time and no time zone. */
export type CalendarDate = string;

const DATE = /^(\d{4})-(\d{2})-(\d{2})$/;

const daysInMonth = (year: number, month: number): number => {
  if (month === 2) return year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0) ? 29 : 28;
  return [4, 6, 9, 11].includes(month) ? 30 : 31;
};

/** Whether the text is a date of the Gregorian calendar written `YYYY-MM-DD`. */
export const isCalendarDate = (text: string): text is CalendarDate => {
  const match = DATE.exec(text);
  if (match === null) return false;
  const [year, month, day] = [Number(match[1]), Number(match[2]), Number(match[3])];
  return month >= 1 && month <= 12 && day >= 1 && day <= daysInMonth(year, month);
};

/** The last day of a month given as `YYYY-MM`. */
export const lastDayOf = (month: string): CalendarDate => {
  const [year, number] = month.split('-').map(Number) as [number, number];
  return `${month}-${String(daysInMonth(year, number)).padStart(2, '0')}`;
};

/** The first day of a month given as `YYYY-MM`. */
export const firstDayOf = (month: string): CalendarDate => `${month}-01`;

const DAYS_IN_400_YEARS = 146_097;

/**
 * Days from 1 March of the year 0 to a date, in the Gregorian calendar.
 * Years count from March, so that a leap day is the last of its year; the lengths of the months from March on repeat
 * every five months with 153 days.
 */
const dayNumber = (date: CalendarDate): number => {
  const [year, month, day] = date.split('-').map(Number) as [number, number, number];
  const fromMarch = (month + 9) % 12;
  const years = year - (month <= 2 ? 1 : 0);
  const leaps = Math.floor(years / 4) - Math.floor(years / 100) + Math.floor(years / 400);
  return years * 365 + leaps + Math.floor((153 * fromMarch + 2) / 5) + day - 1;
};

const dateOfDay = (number: number): CalendarDate => {
  const era = Math.floor(number / DAYS_IN_400_YEARS);
  const inEra = number - era * DAYS_IN_400_YEARS;
  const leaps = Math.floor(inEra / 1460) - Math.floor(inEra / 36_524) + Math.floor(inEra / 146_096);
  const yearInEra = Math.floor((inEra - leaps) / 365);
  const before = 365 * yearInEra + Math.floor(yearInEra / 4) - Math.floor(yearInEra / 100);
  const dayInYear = inEra - before;
  const fromMarch = Math.floor((5 * dayInYear + 2) / 153);
  const month = ((fromMarch + 2) % 12) + 1;
  const year = yearInEra + era * 400 + (month <= 2 ? 1 : 0);
  const day = dayInYear - Math.floor((153 * fromMarch + 2) / 5) + 1;
  const two = (part: number): string => String(part).padStart(2, '0');
  return `${String(year).padStart(4, '0')}-${two(month)}-${two(day)}`;
};

/** The date so many days later, or earlier when negative. */
export const addDays = (date: CalendarDate, days: number): CalendarDate =>
  dateOfDay(dayNumber(date) + days);

/** How many days lie from one date to another; negative when the other is earlier. */
export const daysFrom = (date: CalendarDate, other: CalendarDate): number =>
  dayNumber(other) - dayNumber(date);
