import { add, type Minor } from '@iunctus/core';
import type { ChartRow } from './chart-table';

/** Where an account that leads nowhere stands. */
const NOWHERE = 'On no statement';

/** What leads to one statement line: its accounts in chart order, and what they come to. */
export interface LineRows {
  readonly landing: string;
  readonly rows: readonly ChartRow[];
  /** Amounts of accounts below another one of the line count with that one; `null` without amounts. */
  readonly sum: Minor | null;
}

/** The posting accounts of a chart by the statement line to which they lead, lines in the order in which they come. */
export const rowsByLine = (rows: readonly ChartRow[]): readonly LineRows[] => {
  const lines = new Map<string, { rows: ChartRow[]; sum: Minor | null }>();
  const above: ChartRow[] = [];
  for (const row of rows) {
    above.length = row.level - 1;
    if (row.role === 'posting') {
      const landing = row.landing === '' ? NOWHERE : row.landing;
      const line = lines.get(landing) ?? { rows: [], sum: null };
      const within = above.some((one) => one.role === 'posting' && one.landing === row.landing);
      if (row.amount !== null && !within) line.sum = add(line.sum ?? 0, row.amount);
      line.rows.push(row);
      lines.set(landing, line);
    }
    above[row.level - 1] = row;
  }
  return [...lines].map(([landing, line]) => ({ landing, ...line }));
};
