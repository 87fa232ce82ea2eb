import { isCalendarDate, type CalendarDate } from '../dates/calendar-date';
import { readDate, type DateOrder } from '../dates/read-date';

const COMPACT = /^(\d{4})(\d{2})(\d{2})$/;
const DIGITS = /^(\d{1,2})[./-](\d{1,2})[./-](\d{2}|\d{4})$/;
const ISO = /^\d{4}[-/.]\d{1,2}[-/.]\d{1,2}$/;
const WORDED =
  /^(\d{1,2}(st|nd|rd|th)?[\s./-]*[a-z]{3,9}|[a-z]{3,9}[\s./-]*\d{1,2})[\s,./-]*\d{2,4}$/i;

/** Without the time that programs write behind a date. */
const dayOf = (text: string): string =>
  text.trim().replace(/[T\s]+\d{1,2}:\d{2}(:\d{2}(\.\d+)?)?\s*(Z|[+-]\d{2}:?\d{2}|[ap]m)?$/i, '');

/** Whether a text is a date as lists have them: whole, with its year. */
export const isListedDate = (text: string): boolean => {
  const day = dayOf(text);
  return [COMPACT, DIGITS, ISO, WORDED].some((shape) => shape.test(day));
};

/** A date as lists have them; `null` where it is none. Digits in the order that the whole column speaks for. */
export const readListedDate = (text: string, order: DateOrder): CalendarDate | null => {
  const day = dayOf(text);
  if (!isListedDate(day)) return null;
  const compact = COMPACT.exec(day);
  if (compact !== null) {
    const date = `${compact[1]}-${compact[2]}-${compact[3]}`;
    return isCalendarDate(date) ? date : null;
  }
  // Years of two digits are of this century up to 2099: lists of entries are young.
  return readDate(day, { order, today: '2079-12-31' });
};

/**
 * The order in which a column writes day and month: what a number beyond twelve proves, else `usual`. `isProven` where
 * the column says it itself.
 */
export const dateOrderIn = (
  texts: readonly string[],
  usual: DateOrder,
): { readonly order: DateOrder; readonly isProven: boolean } => {
  const firsts = { day: 0, month: 0 };
  let digits = 0;
  for (const text of texts) {
    const match = DIGITS.exec(dayOf(text));
    if (match === null) continue;
    digits += 1;
    if (Number(match[1]) > 12) firsts.day += 1;
    if (Number(match[2]) > 12) firsts.month += 1;
  }
  if (firsts.day === firsts.month) return { order: usual, isProven: digits === 0 };
  return { order: firsts.day > firsts.month ? 'dayFirst' : 'monthFirst', isProven: true };
};
