import type { DimensionValues, EntrySource } from '@iunctus/core';
import type { ChartHead } from '../charts/charts.queries';
import { change } from '../database/query';
import type { Transaction } from '../database/transaction';

/** A journal entry. Amounts are debit-positive minor units and sum to zero. */
export interface Entry {
  readonly id: string;
  readonly date: string;
  readonly source: EntrySource;
  readonly comment: string;
  readonly lines: readonly EntryLine[];
}

/** One line of an entry; `values` are its dimension values, none when left out. */
export interface EntryLine {
  readonly accountId: string;
  readonly amount: number;
  readonly values?: DimensionValues;
}

/** Posts entries. The database refuses what does not balance, or stands on a heading or a retired account. */
export const postEntries = async (
  on: Transaction,
  head: ChartHead,
  entries: readonly Entry[],
): Promise<void> => {
  const heads = entries.map(({ id, date, source, comment }) => ({ id, date, source, comment }));
  await change(on, {
    text: `
      INSERT INTO entry (id, practice_id, chart_id, entry_date, source, comment)
      SELECT id, $1, $2, date, source, comment
      FROM jsonb_to_recordset($3::jsonb) AS added (id uuid, date date, source text, comment text)`,
    values: [head.practiceId, head.id, JSON.stringify(heads)],
  });
  const lines = entries.flatMap((entry) =>
    entry.lines.map((line, index) => ({
      values: {},
      ...line,
      entryId: entry.id,
      lineNumber: index + 1,
    })),
  );
  await change(on, {
    text: `
      INSERT INTO entry_line (chart_id, entry_id, line_number, account_id, amount, dimension_values)
      SELECT $1, "entryId", "lineNumber", "accountId", amount, "values"
      FROM jsonb_to_recordset($2::jsonb)
        AS added ("entryId" uuid, "lineNumber" integer, "accountId" uuid, amount bigint, "values" jsonb)`,
    values: [head.id, JSON.stringify(lines)],
  });
};
