import { addMonths, fiscalYearStart, monthsBetween, type Month } from '../dates/month';
import type { Period } from '../dates/period';
import { add, type Minor } from '../money/minor';
import type { AmountsTuple } from './amounts';

/** What was posted under an id, month by month from the first on; debit positive. */
export type MonthlyTuple = readonly [id: string, ...months: Minor[]];

/** What was posted month by month, nothing being posted before the first. Splits under their own ids. */
export interface MonthlyAmounts {
  readonly first: Month;
  readonly rows: readonly MonthlyTuple[];
}

const sumOf = (row: MonthlyTuple, from: number, through: number): Minor => {
  let total = 0;
  const last = Math.min(through, row.length - 2);
  for (let at = Math.max(from, 0); at <= last; at += 1) total = add(total, row[at + 1] as Minor);
  return total;
};

/**
 * The amounts of a period, months inclusive, for a fiscal year that begins in month `startsIn` (1–12).
 * Law: the same as what the months' postings come to, one by one.
 */
export const amountsWithin = (
  { first, rows }: MonthlyAmounts,
  period: Period,
  startsIn: number,
): readonly AmountsTuple[] => {
  const at = (month: Month): number => monthsBetween(first, month) - 1;
  const [from, through] = [at(period.first), at(period.last)];
  const year = at(fiscalYearStart(period.last, startsIn));
  return rows.map((row) => [
    row[0],
    sumOf(row, 0, through),
    sumOf(row, from, through),
    sumOf(row, year, through),
  ]);
};

/** The months in which anything was posted; `null` for books that are empty. */
export const monthsOf = ({ first, rows }: MonthlyAmounts): Period | null => {
  const months = rows.reduce((most, row) => Math.max(most, row.length - 1), 0);
  return months === 0 ? null : { first, last: addMonths(first, months - 1) };
};
