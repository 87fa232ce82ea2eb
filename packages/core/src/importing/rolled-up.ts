import { add, type Minor } from '../money/minor';
import { childrenByPlace } from '../collections/children-by-place';
import type { TreeRow } from './tree-row';

type AmountOf = 'balance' | 'budget';

/** The rows whose amount is what the rows below them come to, so that it is a total and nothing of their own. */
const totalsOf = (
  rows: readonly TreeRow[],
  upwards: readonly number[],
  of: AmountOf,
): ReadonlySet<number> => {
  const children = childrenByPlace(rows);
  const sums = new Map<number, Minor>();
  const totals = new Set<number>();
  for (const at of upwards) {
    const entry = rows[at]?.entry;
    const own = entry?.[of] ?? 0;
    const below = (children[at] ?? []).reduce((sum, child) => add(sum, sums.get(child) ?? 0), 0);
    const isTotal = own !== 0 && own === below && entry?.role !== 'posting';
    if (isTotal) totals.add(at);
    sums.set(at, isTotal ? below : add(own, below));
  }
  return totals;
};

/**
 * Rows without amounts that only repeat what the rows below them come to, as printed trial balances have
 * them. A row that the list calls a posting account keeps its own. `order` has parents before what is
 * below them. Common practice, no source.
 */
export const withoutRolledUp = (
  rows: readonly TreeRow[],
  order: readonly number[],
): readonly TreeRow[] => {
  const upwards = [...order].reverse();
  const balances = totalsOf(rows, upwards, 'balance');
  const budgets = totalsOf(rows, upwards, 'budget');
  if (balances.size + budgets.size === 0) return rows;
  return rows.map((row, at) => {
    const entry = {
      ...row.entry,
      ...(balances.has(at) ? { balance: null } : {}),
      ...(budgets.has(at) ? { budget: null } : {}),
    };
    return balances.has(at) || budgets.has(at) ? { ...row, entry } : row;
  });
};
