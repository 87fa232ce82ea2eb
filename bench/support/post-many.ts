import type { ChartHead } from '../../apps/server/src/charts/charts.queries';
import { inTransactionOn } from '../../apps/server/src/database/transaction';
import type { openDatabase } from './database';

type Database = Awaited<ReturnType<typeof openDatabase>>;

/** Entries of two lines each, made in the database: `n` counts them from 1, `side` is 1 for the debit and 2 for the credit. */
export interface Many {
  readonly entries: number;
  /** The day of entry `n`, in SQL. */
  readonly day: string;
  /** The account of a line, in SQL; `$2` are the ids. */
  readonly account: string;
  readonly ids: readonly string[];
}

/** Posts so many entries to an empty chart at once. */
export const postMany = async (
  { pool, viewer }: Database,
  head: ChartHead,
  { entries, day, account, ids }: Many,
): Promise<void> =>
  inTransactionOn(pool, async (on) => {
    await on.query('UPDATE chart SET entries = $2 WHERE id = $1', [head.id, entries]);
    await on.query(
      `INSERT INTO entry (id, practice_id, chart_id, number, entry_date, source, comment)
     SELECT lpad(to_hex(n), 32, '0')::uuid, $1, $2, n, ${day}, 'journal', 'bench ' || n
     FROM generate_series(1, $3::int) AS n`,
      [viewer.practiceId, head.id, entries],
    );
    await on.query(
      `INSERT INTO entry_line (chart_id, entry_id, line_number, account_id, amount, entry_date, sequence)
     SELECT $1, entry.id, side, ${account}, CASE side WHEN 1 THEN n ELSE -n END, entry.entry_date, entry.sequence
     FROM generate_series(1, $3::int) AS n CROSS JOIN generate_series(1, 2) AS side
     JOIN entry ON entry.chart_id = $1 AND entry.id = lpad(to_hex(n), 32, '0')::uuid`,
      [head.id, ids, entries],
    );
  });
