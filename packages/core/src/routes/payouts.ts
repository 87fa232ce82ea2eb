import { lastDayOf, type CalendarDate } from '../dates/calendar-date';
import { monthOf } from '../dates/month';
import { add, negate, type Minor } from '../money/minor';
import type { DatedLine } from './line-entry';
import type { Purpose } from './purpose';

/** What a line of a marketplace's statement is. A reserve is held back, or given free again. */
export const MARKET_SORTS = ['sale', 'refund', 'fee', 'reserve', 'payout'] as const;
export type MarketSort = (typeof MARKET_SORTS)[number];

/** A line of a marketplace's statement: what it adds to, or takes from, what can be paid out. */
export interface MarketLine extends DatedLine {
  readonly sort: MarketSort;
}

/** What a line of each sort is there for. A payout comes with the bank's own list, and is never posted from here. */
export const PURPOSE_OF_SORT: Readonly<Record<MarketSort, Purpose | null>> = {
  sale: 'sale',
  refund: 'saleReturn',
  fee: 'sellingFee',
  reserve: 'heldBack',
  payout: null,
};

/** How takings are recorded: at each payout, or by monthly statement. */
export type Recording = 'each' | 'monthly';

/** Lines that are posted as one entry. */
export interface Gathered {
  /** The day of the entry. */
  readonly date: CalendarDate;
  readonly lines: readonly MarketLine[];
  /** What they come to. */
  readonly amount: Minor;
}

const sum = (lines: readonly MarketLine[]): Minor =>
  lines.reduce((total, { amount }) => add(total, amount), 0);

const byPayout = (lines: readonly MarketLine[]): Gathered[] => {
  const gathered: Gathered[] = [];
  let since: MarketLine[] = [];
  for (const line of lines) {
    if (line.sort !== 'payout') since.push(line);
    else if (since.length > 0) {
      // What a payout pays out is what came to stand before it.
      gathered.push({ date: line.date, lines: since, amount: sum(since) });
      since = [];
    }
  }
  return gathered;
};

const byMonth = (lines: readonly MarketLine[], through: CalendarDate): Gathered[] => {
  const months = new Map<CalendarDate, MarketLine[]>();
  for (const line of lines) {
    const end = lastDayOf(monthOf(line.date));
    if (line.sort !== 'payout') months.set(end, [...(months.get(end) ?? []), line]);
  }
  return [...months]
    .filter(([end]) => end <= through)
    .map(([date, some]) => ({ date, lines: some, amount: sum(some) }));
};

/**
 * The lines of a marketplace's statement, oldest first, as the entries they are recorded by: one for each payout, of all
 * that came before it, or one for each month that is over on the day `through` (inclusive).
 */
export const gatherLines = (
  lines: readonly MarketLine[],
  recording: Recording,
  through: CalendarDate,
): readonly Gathered[] => (recording === 'each' ? byPayout(lines) : byMonth(lines, through));

/** What a marketplace still has of a business at the end of a day. */
export interface Held {
  /** What it will pay out next. */
  readonly toPayOut: Minor;
  /** What it holds back against returns. */
  readonly reserve: Minor;
}

/** What a marketplace holds at the end of a day, as its statement tells from the first line on. */
export const heldAt = (lines: readonly MarketLine[], day: CalendarDate): Held => {
  const there = lines.filter(({ date }) => date <= day);
  return {
    toPayOut: sum(there),
    reserve: negate(sum(there.filter(({ sort }) => sort === 'reserve'))),
  };
};
