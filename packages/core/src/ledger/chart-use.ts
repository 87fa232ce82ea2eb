import type { ChartNode } from '../chart/chart';
import { addMonths, monthsBetween, type Month } from '../dates/month';
import { add, type Minor } from '../money/minor';
import type { MonthlyAmounts } from './monthly';

/** How many months an account's use is told of. */
export const USE_MONTHS = 24;

/** How an account was used: with what was merged into it and what splits take or bring; debit positive. */
export interface HowUsed {
  /** At the end of the last month. */
  readonly balance: Minor;
  /** The change of each month, the oldest first. */
  readonly months: readonly Minor[];
  /** The newest month in which anything changed; `null` for none. */
  readonly last: Month | null;
}

/** How the accounts of a chart were used, up to a month. */
export interface ChartUse {
  readonly through: Month;
  of(node: ChartNode): HowUsed;
}

const summed = (one: readonly Minor[], other: readonly Minor[], sign: 1 | -1): readonly Minor[] =>
  one.map((amount, at) => add(amount, sign * (other[at] ?? 0)));

/** How accounts were used in the months that end with `through`, from what was posted month by month. */
export const chartUse = ({ first, rows }: MonthlyAmounts, through: Month): ChartUse => {
  const known = monthsBetween(first, through);
  const byId = new Map(
    rows.map(([id, ...months]) => [id, months.slice(0, Math.max(known, 0))] as const),
  );
  const nothing = Array.from({ length: Math.max(known, 0) }, () => 0);
  const monthsOf = ({ account, absorbed, splits }: ChartNode): readonly Minor[] => {
    const posted = [account.id, ...absorbed].reduce<readonly Minor[]>(
      (so, id) => summed(so, byId.get(id) ?? [], 1),
      nothing,
    );
    return splits.reduce((so, { id, sign }) => summed(so, byId.get(id) ?? [], sign), posted);
  };
  const kept = new WeakMap<ChartNode, HowUsed>();
  return {
    through,
    of(node) {
      const before = kept.get(node);
      if (before !== undefined) return before;
      const all = monthsOf(node);
      const last = all.findLastIndex((amount) => amount !== 0);
      const missing = Math.max(USE_MONTHS - all.length, 0);
      const use: HowUsed = {
        balance: all.reduce(add, 0),
        months: [...Array.from({ length: missing }, () => 0), ...all.slice(-USE_MONTHS)],
        last: last < 0 ? null : addMonths(first, last),
      };
      kept.set(node, use);
      return use;
    },
  };
};
