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

const DAY = 86_400_000;

const momentOf = (date: CalendarDate): number => Date.parse(`${date}T00:00:00Z`);

/** The date so many days later, or earlier when negative. */
export const addDays = (date: CalendarDate, days: number): CalendarDate =>
  new Date(momentOf(date) + days * DAY).toISOString().slice(0, 10);

/** How many days lie from one date to another; negative when the other is earlier. */
export const daysFrom = (date: CalendarDate, other: CalendarDate): number =>
  (momentOf(other) - momentOf(date)) / DAY;
