import type { BalancesQuery } from '@iunctus/contract';
import { firstDayOf, fiscalYearStart } from '@iunctus/core';
import type { ChartHead } from '../charts/charts.queries';
import { exactInteger } from '../database/integers';
import { many } from '../database/query';
import type { Reader } from '../database/transaction';

/** Sums of month totals as the database gives them: whole numbers as text. */
export interface SumsRow {
  readonly balance: string;
  readonly change: string;
  readonly year_change: string;
}

/** Sums as they are sent, under an account's or a split's id. */
export const amountsIn = (id: string, row: SumsRow): [string, number, number, number] => [
  id,
  exactInteger(row.balance),
  exactInteger(row.change),
  exactInteger(row.year_change),
];

/**
 * What each account's postings come to, from the month totals: balance at the period's end,
 * change within it, change since the fiscal year began. Debit-positive minor units; months inclusive.
 */
export const manyAmounts = async (
  on: Reader,
  head: ChartHead,
  asked: BalancesQuery & { readonly fiscalYearStart: number },
): Promise<[string, number, number, number][]> => {
  const yearStart = fiscalYearStart(asked.last, asked.fiscalYearStart);
  const rows = await many<SumsRow & { readonly account_id: string }>(on, {
    text: `
      SELECT totals.account_id,
             sum(totals.amount)::int8 AS balance,
             coalesce(sum(totals.amount) FILTER (WHERE totals.month >= $3), 0)::int8 AS change,
             coalesce(sum(totals.amount) FILTER (WHERE totals.month >= $5), 0)::int8 AS year_change
      FROM account_month_total AS totals JOIN chart ON chart.id = totals.chart_id
      WHERE chart.practice_id = $1 AND totals.chart_id = $2 AND totals.month <= $4
      GROUP BY totals.account_id`,
    values: [
      head.practiceId,
      head.id,
      firstDayOf(asked.first),
      firstDayOf(asked.last),
      firstDayOf(yearStart),
    ],
  });
  return rows.map((row) => amountsIn(row.account_id, row));
};

/** Accounts and months whose kept total differs from what the entry lines come to; none when all is well. */
export const manyWrongTotals = (
  on: Reader,
  head: ChartHead,
): Promise<{ account_id: string; month: string }[]> =>
  many(on, {
    text: `
      WITH truth AS (
        SELECT line.account_id, date_trunc('month', entry.entry_date)::date AS month,
               sum(line.amount)::int8 AS amount
        FROM entry_line AS line JOIN entry
          ON entry.chart_id = line.chart_id AND entry.id = line.entry_id
        WHERE entry.practice_id = $1 AND entry.chart_id = $2
        GROUP BY 1, 2
      )
      SELECT coalesce(truth.account_id, kept.account_id) AS account_id,
             coalesce(truth.month, kept.month) AS month
      FROM truth
      FULL JOIN (SELECT account_id, month, amount FROM account_month_total WHERE chart_id = $2) AS kept
        ON kept.account_id = truth.account_id AND kept.month = truth.month
      WHERE truth.amount IS DISTINCT FROM kept.amount`,
    values: [head.practiceId, head.id],
  });
