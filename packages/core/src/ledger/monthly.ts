import { fiscalYearStart, monthsBetween, type Month } from '../dates/month';
import type { Period } from '../dates/period';
import { add, subtract, type Minor } from '../money/minor';
import type { AmountsTuple } from './amounts';

/** What was posted under an id, month by month from the first on; debit positive. */
export type MonthlyTuple = readonly [id: string, ...months: Minor[]];

/** What was posted month by month, nothing being posted before the first. Splits under their own ids. */
export interface MonthlyAmounts {
  readonly first: Month;
  readonly rows: readonly MonthlyTuple[];
}

/** Sums up to each month, so that any period is one subtraction. */
export interface SummedMonths {
  readonly first: Month;
  readonly rows: readonly (readonly [id: string, upTo: readonly Minor[]])[];
}

/** What was posted up to the end of each month. */
export const summedMonths = ({ first, rows }: MonthlyAmounts): SummedMonths => ({
  first,
  rows: rows.map(([id, ...months]) => {
    let so = 0;
    return [id, months.map((amount) => (so = add(so, amount)))] as const;
  }),
});

/** The sum up to a month; what was posted after the last one that is known stays nothing. */
const upTo = (sums: readonly Minor[], at: number): Minor =>
  at < 0 ? 0 : (sums[Math.min(at, sums.length - 1)] ?? 0);

/**
 * The amounts of a period, months inclusive, for a fiscal year that begins in month `startsIn` (1–12).
 * Law: the same as what the months' postings come to, one by one.
 */
export const amountsWithin = (
  { first, rows }: SummedMonths,
  period: Period,
  startsIn: number,
): readonly AmountsTuple[] => {
  const at = (month: Month): number => monthsBetween(first, month) - 1;
  const [from, through] = [at(period.first), at(period.last)];
  const year = at(fiscalYearStart(period.last, startsIn));
  return rows.map(([id, sums]) => {
    const balance = upTo(sums, through);
    return [
      id,
      balance,
      subtract(balance, upTo(sums, from - 1)),
      subtract(balance, upTo(sums, year - 1)),
    ];
  });
};
