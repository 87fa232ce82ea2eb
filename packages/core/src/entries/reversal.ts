import type { Chart } from '../chart/chart';
import { standsFor } from '../chart/queries';
import { addDays, type CalendarDate } from '../dates/calendar-date';
import { negate } from '../money/minor';
import type { Books, EntryLine, NewEntry } from './entry';

const turned = (line: EntryLine, chart: Chart): EntryLine => ({
  ...line,
  accountId: standsFor(chart, line.accountId) ?? line.accountId,
  amount: negate(line.amount),
  foreign: line.foreign === null ? null : { ...line.foreign, amount: negate(line.foreign.amount) },
});

/**
 * The entry that takes another back: line for line the opposite, on the accounts that stand now for the ones it was
 * posted to. Law: both together leave every balance as it was.
 */
export const reversalOf = (
  entry: NewEntry,
  {
    chart,
    date,
    comment,
  }: { readonly chart: Chart; readonly date: CalendarDate; readonly comment: string },
): NewEntry => ({
  date,
  source: entry.source,
  comment,
  lines: entry.lines.map((line) => turned(line, chart)),
});

/** The day on which an entry is usually taken back: its own, or the first open one after the locked periods. */
export const usualReversalDay = (date: CalendarDate, { lockedThrough }: Books): CalendarDate =>
  lockedThrough === null || date > lockedThrough ? date : addDays(lockedThrough, 1);
