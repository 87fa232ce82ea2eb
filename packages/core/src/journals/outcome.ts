import type { CalendarDate } from '../dates/calendar-date';
import type { DateOrder } from '../dates/read-date';
import type { JournalEntry } from './group-entries';
import type { JournalLine, JournalRead } from './read-journal';

/** What a list of entries comes to. */
export interface JournalOutcome {
  readonly order: DateOrder;
  readonly isOrderProven: boolean;
  readonly lines: number;
  readonly entries: number;
  /** The first and the last day of the entries that can be posted; empty for none. */
  readonly first: CalendarDate | '';
  readonly last: CalendarDate | '';
  /** Texts that name no account, with how many lines have each, the most often first. */
  readonly unknown: readonly { readonly text: string; readonly lines: number }[];
  /** Lines with a cell that cannot be read. */
  readonly unread: readonly JournalLine[];
  /** Entries that can be read and not be posted. */
  readonly faulty: readonly JournalEntry[];
  /** Entries that can be posted. */
  readonly good: readonly JournalEntry[];
}

const unknownIn = (lines: readonly JournalLine[]): JournalOutcome['unknown'] => {
  const counts = new Map<string, number>();
  for (const { accountText, accountId } of lines)
    if (accountId === null && accountText !== '')
      counts.set(accountText, (counts.get(accountText) ?? 0) + 1);
  return [...counts]
    .map(([text, count]) => ({ text, lines: count }))
    .sort((a, b) => b.lines - a.lines);
};

/** Whether a cell of a line cannot be read; a text that names no account is asked about by itself. */
const isUnread = ({ problems, accountText }: JournalLine): boolean =>
  problems.some(({ rule }) => rule !== 'unknownAccount' || accountText === '');

/** Sums up what was read of a list and what entries it makes. */
export const outcomeOf = (
  { lines, order, isOrderProven }: JournalRead,
  entries: readonly JournalEntry[],
): JournalOutcome => {
  const good = entries.filter(({ hasProblems, faults }) => !hasProblems && faults.length === 0);
  const dates = good.map(({ entry }) => entry.date).sort();
  return {
    order,
    isOrderProven,
    lines: lines.length,
    entries: entries.length,
    first: dates[0] ?? '',
    last: dates.at(-1) ?? '',
    unknown: unknownIn(lines),
    unread: lines.filter(isUnread),
    faulty: entries.filter(({ hasProblems, faults }) => !hasProblems && faults.length > 0),
    good,
  };
};
