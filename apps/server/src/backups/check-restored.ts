import { mergedAccounts, recordsOf, type Account, type Chart } from '@iunctus/core';
import type pg from 'pg';
import { loadChart } from '../charts/chart-store';
import { maybeChart } from '../charts/charts.queries';
import { many } from '../database/query';
import { onSnapshotOf, type Reader } from '../database/transaction';
import { chartAsOf } from '../revisions/revisions.service';

/** A rule that every database keeps, and a query that finds what breaks it. */
interface Check {
  readonly rule: string;
  readonly broken: string;
}

const CHECKS: readonly Check[] = [
  {
    rule: 'a chart breaks a rule of its tree',
    broken: 'SELECT 1 FROM chart WHERE tree_problem(id) IS NOT NULL LIMIT 1',
  },
  {
    rule: 'revisions have a gap',
    broken: `
      SELECT 1 FROM chart LEFT JOIN revision ON revision.chart_id = chart.id
      GROUP BY chart.id HAVING chart.revision <> count(revision.number)
        OR chart.revision <> coalesce(max(revision.number), 0) LIMIT 1`,
  },
  {
    rule: 'an entry does not balance, or has no lines',
    broken: `
      SELECT 1 FROM entry LEFT JOIN entry_line AS line ON line.chart_id = entry.chart_id AND line.entry_id = entry.id
      GROUP BY entry.chart_id, entry.id HAVING coalesce(sum(line.amount), 1) <> 0 LIMIT 1`,
  },
  {
    rule: 'a posting stands on a heading',
    broken: `
      SELECT 1 FROM entry_line AS line JOIN account ON account.chart_id = line.chart_id AND account.id = line.account_id
      WHERE account.role = 'heading' LIMIT 1`,
  },
  {
    rule: 'totals by month are not what the postings come to',
    broken: `
      WITH truth AS (
        SELECT line.chart_id, line.account_id, date_trunc('month', entry.entry_date)::date AS month, sum(line.amount) AS amount
        FROM entry_line AS line JOIN entry ON entry.chart_id = line.chart_id AND entry.id = line.entry_id
        GROUP BY 1, 2, 3
      )
      SELECT 1 FROM truth FULL JOIN account_month_total AS kept USING (chart_id, account_id, month)
      WHERE truth.amount IS DISTINCT FROM kept.amount LIMIT 1`,
  },
  {
    rule: 'totals of splits are not what their postings come to',
    broken: `
      WITH truth AS (
        SELECT moved.chart_id, moved.split_id, date_trunc('month', entry.entry_date)::date AS month, sum(line.amount) AS amount
        FROM account_split_line AS moved
        JOIN entry_line AS line USING (chart_id, entry_id, line_number)
        JOIN entry ON entry.chart_id = moved.chart_id AND entry.id = moved.entry_id
        GROUP BY 1, 2, 3
      )
      SELECT 1 FROM truth FULL JOIN account_split_month_total AS kept USING (chart_id, split_id, month)
      WHERE truth.amount IS DISTINCT FROM kept.amount LIMIT 1`,
  },
  {
    rule: 'a dimension value is said to be in use and is not, or the reverse',
    broken: `
      WITH truth AS (
        SELECT DISTINCT line.chart_id, carried.value_id::uuid AS value_id
        FROM entry_line AS line, jsonb_each_text(line.dimension_values) AS carried (dimension_id, value_id)
      )
      SELECT 1 FROM truth FULL JOIN dimension_value_use AS kept USING (chart_id, value_id)
      WHERE truth.chart_id IS NULL OR kept.chart_id IS NULL
        OR NOT EXISTS (SELECT 1 FROM truth AS one WHERE one.chart_id = kept.chart_id AND one.value_id = kept.value_id)
      LIMIT 1`,
  },
  {
    rule: 'a practice has no administrator',
    broken: `
      SELECT 1 FROM practice WHERE NOT EXISTS (
        SELECT 1 FROM app_user WHERE app_user.practice_id = practice.id
          AND app_user.role = 'administrator' AND app_user.removed_at IS NULL) LIMIT 1`,
  },
];

const essence = (account: Account): string =>
  JSON.stringify([
    account.id,
    account.number,
    account.name,
    account.kind,
    account.role,
    account.retiredOn,
  ]);

const pictureOf = (chart: Chart): string =>
  JSON.stringify([
    recordsOf(chart).map((record) => [essence(record), record.parentId]),
    mergedAccounts(chart)
      .map(({ account, into }) => [account.id, into])
      .sort(),
  ]);

/** Whether a chart is what its history says. */
const isAsTold = async (
  on: Reader,
  { clientId, practiceId }: { readonly clientId: string; readonly practiceId: string },
): Promise<boolean> => {
  const viewer = { userId: '', practiceId, role: 'administrator', clientId: null } as const;
  const head = await maybeChart(on, viewer, clientId);
  if (head === undefined) return true;
  const told = await chartAsOf(on, head, head.revision).catch(() => undefined);
  return told !== undefined && pictureOf(told) === pictureOf(await loadChart(on, head));
};

/** What is wrong with a database into which a backup was restored: the rules of database and core that it breaks. */
export const problemsOfRestored = (pool: pg.Pool): Promise<readonly string[]> =>
  onSnapshotOf(pool, async (on) => {
    const found: string[] = [];
    for (const { rule, broken } of CHECKS)
      if ((await many(on, { text: broken })).length > 0) found.push(rule);
    const clients = await many<{ clientId: string; practiceId: string }>(on, {
      text: 'SELECT client_id AS "clientId", practice_id AS "practiceId" FROM chart ORDER BY id',
    });
    for (const client of clients)
      if (!(await isAsTold(on, client))) found.push('a chart is not what its history says');
    return found;
  });
