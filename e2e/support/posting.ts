import { randomUUID } from 'node:crypto';
import pg from 'pg';
import type { Application } from './application';

/** An entry of one debit and one credit, by account name; `cents` are debited to the first. */
export interface SimpleEntry {
  readonly date: string;
  readonly comment: string;
  readonly debit: string;
  readonly credit: string;
  readonly cents: number;
}

/** Posts entries to a client's chart, as a bank feed would. */
export const post = async (
  application: Application,
  client: string,
  entries: readonly SimpleEntry[],
): Promise<void> => {
  const database = new pg.Client({ connectionString: application.databaseUrl });
  await database.connect();
  for (const { date, comment, debit, credit, cents } of entries)
    await database.query(
      `WITH kept AS (
         SELECT chart.id, chart.practice_id FROM chart JOIN client ON client.id = chart.client_id
         WHERE client.name = $1
       ), posted AS (
         INSERT INTO entry (id, practice_id, chart_id, entry_date, source, comment)
         SELECT $2, practice_id, id, $3, 'bank', $4 FROM kept RETURNING id, chart_id
       )
       INSERT INTO entry_line (chart_id, entry_id, line_number, account_id, amount)
       SELECT posted.chart_id, posted.id, line.number, account.id, line.amount
       FROM posted, (VALUES (1, $5, $7::bigint), (2, $6, -$7::bigint)) AS line (number, name, amount)
       JOIN account ON account.name = line.name
       WHERE account.chart_id = posted.chart_id`,
      [client, randomUUID(), date, comment, debit, credit, cents],
    );
  await database.end();
};
