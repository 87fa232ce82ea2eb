import type { Minor } from '../money/minor';
import type { Statement, StatementRow } from './statement';

/** A row of two statements beside one another; an amount is `null` where the row does not stand. */
export interface PairedRow {
  readonly row: StatementRow;
  readonly before: Minor | null;
  readonly after: Minor | null;
}

const amountOf = (row: StatementRow | undefined): Minor | null =>
  row === undefined || row.type === 'group' || row.type === 'section' ? null : row.amount;

/**
 * Two statements row by row, in the order of the second; a row that stands in the first alone
 * keeps its place after the row before it.
 */
export const sideBySide = (before: Statement, after: Statement): readonly PairedRow[] => {
  const former = new Map(before.rows.map((row) => [row.key, row]));
  const now = new Map(after.rows.map((row) => [row.key, row]));
  const lost = new Map<string | null, StatementRow[]>();
  let anchor: string | null = null;
  for (const row of before.rows) {
    if (now.has(row.key)) anchor = row.key;
    else lost.set(anchor, [...(lost.get(anchor) ?? []), row]);
  }
  const gone = (key: string | null): readonly PairedRow[] =>
    (lost.get(key) ?? []).map((row) => ({ row, before: amountOf(row), after: null }));
  const rows = after.rows.flatMap((row) => [
    { row, before: amountOf(former.get(row.key)), after: amountOf(row) },
    ...gone(row.key),
  ]);
  return [...gone(null), ...rows];
};
