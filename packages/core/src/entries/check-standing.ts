import type { CalendarDate } from '../dates/calendar-date';
import type { Frequency, Recurrence } from './standing';
import { isEmptyLine, readSides, type TypedEntry } from './typed-entry';

/** How a standing entry ends: never, on a day, or after so many times. */
export type Ending = 'never' | 'on' | 'after';

/** A standing entry as it is typed. */
export interface TypedStanding {
  readonly name: string;
  readonly frequency: Frequency;
  /** Empty while none is given. */
  readonly first: CalendarDate | '';
  readonly ending: Ending;
  readonly last: CalendarDate | '';
  readonly times: string;
  readonly entry: TypedEntry;
}

/** What keeps a standing entry from being kept. */
export type StandingFault =
  | 'unnamed'
  | 'noFirstDay'
  | 'endsBefore'
  | 'noTimes'
  | 'tooFewLines'
  | 'noAccount'
  | 'unreadAmount';

const timesOf = ({ ending, times }: TypedStanding): number | null =>
  ending === 'after' && /^[1-9]\d{0,3}$/.test(times.trim()) ? Number(times) : null;

/** When a typed standing entry comes, as far as it says so. */
export const typedRecurrence = (typed: TypedStanding): Recurrence => ({
  frequency: typed.frequency,
  first: typed.first,
  last: typed.ending === 'on' && typed.last !== '' ? typed.last : null,
  times: timesOf(typed),
});

const lineFaults = ({ entry }: TypedStanding, currency: string): readonly StandingFault[] => {
  const lines = entry.lines.filter((line) => !isEmptyLine(line));
  if (lines.length < 2) return ['tooFewLines'];
  const faults: StandingFault[] = [];
  if (lines.some(({ accountId }) => accountId === null)) faults.push('noAccount');
  const isUnread = lines.some(
    (line) => readSides(line, line.currency === '' ? currency : line.currency).unread.length > 0,
  );
  return isUnread ? [...faults, 'unreadAmount'] : faults;
};

/**
 * All that keeps a standing entry from being kept; none when it can be. Amounts may stay open, to be asked for each time.
 * `currency` is the books', ISO 4217.
 */
export const checkStanding = (typed: TypedStanding, currency: string): readonly StandingFault[] => {
  const { name, first, ending, last } = typed;
  const faults: StandingFault[] = [];
  if (name.trim() === '') faults.push('unnamed');
  if (first === '') faults.push('noFirstDay');
  if (ending === 'on' && (last === '' || last < first)) faults.push('endsBefore');
  if (ending === 'after' && timesOf(typed) === null) faults.push('noTimes');
  return [...faults, ...lineFaults(typed, currency)];
};
