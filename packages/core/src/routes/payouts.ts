import { lastDayOf, type CalendarDate } from '../dates/calendar-date';
import { monthOf } from '../dates/month';
import { add, type Minor } from '../money/minor';
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
export const RECORDINGS = ['each', 'monthly'] as const;
export type Recording = (typeof RECORDINGS)[number];

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

/** What the lines of each sort come to. */
export const sumsBySort = (lines: readonly MarketLine[]): Readonly<Record<MarketSort, Minor>> => {
  const sums = { sale: 0, refund: 0, fee: 0, reserve: 0, payout: 0 };
  for (const { sort, amount } of lines) sums[sort] = add(sums[sort], amount);
  return sums;
};

/** Another id for each: ids are drawn from content, so that one with another first digit is nobody else's. */
const otherId = (id: string): string =>
  `${(Number.parseInt(id.slice(0, 1), 16) ^ 8).toString(16)}${id.slice(1)}`;

/**
 * Under which id gathered lines are posted. It follows from a line of theirs, and never is the same for two ways of
 * recording: the last line of a month may be the first behind a payout.
 */
export const idOfGathered = ({ lines }: Gathered, recording: Recording): string =>
  recording === 'each' ? (lines[0]?.id ?? '') : otherId(lines.at(-1)?.id ?? '');

/** The ids of all entries that a statement can be recorded by, in either way. */
export const entryIdsOf = (
  lines: readonly MarketLine[],
  through: CalendarDate,
): readonly string[] =>
  RECORDINGS.flatMap((way) =>
    gatherLines(lines, way, through).map((one) => idOfGathered(one, way)),
  );

/** The way in which something of a statement was recorded already; `null` while nothing was. `isPosted` knows ids of entries. */
export const recordedAs = (
  lines: readonly MarketLine[],
  through: CalendarDate,
  isPosted: (id: string) => boolean,
): Recording | null => {
  const isTaken = (way: Recording): boolean =>
    gatherLines(lines, way, through).some((one) => isPosted(idOfGathered(one, way)));
  return RECORDINGS.find(isTaken) ?? null;
};
