import type { BalancesQuery } from '@iunctus/contract';
import { firstDayOf, fiscalYearStart, type Posting, type Split } from '@iunctus/core';
import { amountsIn, type SumsRow } from './balances.queries';
import type { ChartHead } from '../charts/charts.queries';
import { exactInteger } from '../database/integers';
import { change, many } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

interface PostingRow {
  readonly entry_id: string;
  readonly line_number: number;
  readonly entry_date: string;
  readonly source: Posting['source'];
  readonly comment: string;
  readonly amount: string;
  readonly dimension_values: Posting['values'];
  readonly sequence: string;
}

/**
 * The postings that count with an account itself now: its own, less what splits took, with what
 * they brought; the splits in `without` left out of account. Newest first.
 */
export const manyPostingsAt = async (
  on: Reader,
  head: ChartHead,
  accountId: string,
  without: readonly string[] = [],
): Promise<Posting[]> => {
  const rows = await many<PostingRow>(on, {
    text: `
      WITH here AS (
        SELECT entry_id, line_number FROM entry_line WHERE chart_id = $2 AND account_id = $3
        UNION
        SELECT moved.entry_id, moved.line_number
        FROM account_split_line AS moved JOIN account_split AS split
          ON split.chart_id = moved.chart_id AND split.id = moved.split_id
        WHERE split.chart_id = $2 AND split.into_account_id = $3 AND split.id <> ALL($4::uuid[])
        EXCEPT
        SELECT moved.entry_id, moved.line_number
        FROM account_split_line AS moved JOIN account_split AS split
          ON split.chart_id = moved.chart_id AND split.id = moved.split_id
        WHERE split.chart_id = $2 AND split.from_account_id = $3 AND split.id <> ALL($4::uuid[])
      )
      SELECT line.entry_id, line.line_number, entry.entry_date, entry.source, entry.comment,
             line.amount, line.dimension_values, entry.sequence
      FROM here
      JOIN entry_line AS line ON line.chart_id = $2
        AND line.entry_id = here.entry_id AND line.line_number = here.line_number
      JOIN entry ON entry.chart_id = $2 AND entry.id = line.entry_id
      WHERE entry.practice_id = $1
      ORDER BY entry.entry_date DESC, entry.sequence DESC, line.line_number`,
    values: [head.practiceId, head.id, accountId, without],
  });
  return rows.map((row) => ({
    entryId: row.entry_id,
    lineNumber: row.line_number,
    date: row.entry_date,
    source: row.source,
    comment: row.comment,
    amount: exactInteger(row.amount),
    values: row.dimension_values,
    sequence: exactInteger(row.sequence),
  }));
};

/** The sequence of the newest entry of a chart; 0 when there is none. */
export const newestSequence = async (on: Reader, head: ChartHead): Promise<number> => {
  const rows = await many<{ sequence: string }>(on, {
    text: `
      SELECT coalesce(max(sequence), 0)::int8 AS sequence FROM entry
      WHERE practice_id = $1 AND chart_id = $2`,
    values: [head.practiceId, head.id],
  });
  return exactInteger(rows[0]?.sequence ?? '0');
};

/** Keeps a split with the postings that it moves; the database counts them by month. */
export const insertSplit = async (
  on: Transaction,
  head: ChartHead,
  split: Split,
  postings: readonly Posting[],
): Promise<void> => {
  await change(on, {
    text: `
      INSERT INTO account_split (id, practice_id, chart_id, from_account_id, into_account_id, choice)
      VALUES ($3, $1, $2, $4, $5, $6)`,
    values: [
      head.practiceId,
      head.id,
      split.id,
      split.from,
      split.into,
      JSON.stringify(split.choice),
    ],
  });
  const lines = postings.map(({ entryId, lineNumber }) => ({ entryId, lineNumber }));
  await change(on, {
    text: `
      INSERT INTO account_split_line (chart_id, split_id, entry_id, line_number)
      SELECT $1, $2, "entryId", "lineNumber"
      FROM jsonb_to_recordset($3::jsonb) AS moved ("entryId" uuid, "lineNumber" integer)`,
    values: [head.id, split.id, JSON.stringify(lines)],
  });
};

/** Forgets splits; their postings count where they did before. */
export const deleteSplits = (
  on: Transaction,
  head: ChartHead,
  ids: readonly string[],
): Promise<number> =>
  change(on, {
    text: `
      DELETE FROM account_split
      WHERE practice_id = $1 AND chart_id = $2 AND id = ANY($3::uuid[])`,
    values: [head.practiceId, head.id, ids],
  });

/** What the postings of each adopted split come to: balance, change and change of the year, as for accounts. */
export const manySplitAmounts = async (
  on: Reader,
  head: ChartHead,
  asked: BalancesQuery & { readonly fiscalYearStart: number },
): Promise<[string, number, number, number][]> => {
  const rows = await many<SumsRow & { readonly split_id: string }>(on, {
    text: `
      SELECT totals.split_id,
             coalesce(sum(totals.amount) FILTER (WHERE totals.month <= $4), 0)::int8 AS balance,
             coalesce(sum(totals.amount)
               FILTER (WHERE totals.month BETWEEN $3 AND $4), 0)::int8 AS change,
             coalesce(sum(totals.amount)
               FILTER (WHERE totals.month BETWEEN $5 AND $4), 0)::int8 AS year_change
      FROM account_split_month_total AS totals JOIN account_split AS split
        ON split.chart_id = totals.chart_id AND split.id = totals.split_id
      WHERE split.practice_id = $1 AND split.chart_id = $2
      GROUP BY totals.split_id`,
    values: [
      head.practiceId,
      head.id,
      firstDayOf(asked.first),
      firstDayOf(asked.last),
      firstDayOf(fiscalYearStart(asked.last, asked.fiscalYearStart)),
    ],
  });
  return rows.map((row) => amountsIn(row.split_id, row));
};

/** Splits and months whose kept total differs from what the moved lines come to; none when all is well. */
export const manyWrongSplitTotals = (
  on: Reader,
  head: ChartHead,
): Promise<{ split_id: string; month: string }[]> =>
  many(on, {
    text: `
      WITH truth AS (
        SELECT moved.split_id, date_trunc('month', entry.entry_date)::date AS month,
               sum(line.amount)::int8 AS amount
        FROM account_split_line AS moved
        JOIN entry_line AS line USING (chart_id, entry_id, line_number)
        JOIN entry ON entry.chart_id = moved.chart_id AND entry.id = moved.entry_id
        WHERE entry.practice_id = $1 AND moved.chart_id = $2
        GROUP BY 1, 2
      )
      SELECT coalesce(truth.split_id, kept.split_id) AS split_id,
             coalesce(truth.month, kept.month) AS month
      FROM truth
      FULL JOIN (SELECT split_id, month, amount FROM account_split_month_total WHERE chart_id = $2) AS kept
        ON kept.split_id = truth.split_id AND kept.month = truth.month
      WHERE truth.amount IS DISTINCT FROM kept.amount`,
    values: [head.practiceId, head.id],
  });
