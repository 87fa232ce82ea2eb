import { firstDayOf, type Movement, type Period } from '@iunctus/core';
import type { ChartHead } from '../charts/charts.queries';
import { exactInteger } from '../database/integers';
import { many } from '../database/query';
import type { Reader } from '../database/transaction';

interface MovementRow {
  readonly account_id: string;
  readonly debit: string;
  readonly credit: string;
}

/** Debits and credits of each account within a period, lines that a split took counted where they went. */
export const manyMovements = async (
  on: Reader,
  head: ChartHead,
  { first, last }: Period,
): Promise<ReadonlyMap<string, Movement>> => {
  const rows = await many<MovementRow>(on, {
    text: `
      WITH line AS (
        SELECT posted.entry_id, posted.line_number, posted.account_id, posted.amount
        FROM entry JOIN entry_line AS posted
          ON posted.chart_id = entry.chart_id AND posted.entry_id = entry.id
        WHERE entry.practice_id = $1 AND entry.chart_id = $2
          AND entry.entry_date >= $3::date AND entry.entry_date < $4::date + interval '1 month'
      ), moved AS (
        SELECT split.from_account_id, split.into_account_id, line.amount
        FROM account_split_line AS taken
        JOIN account_split AS split ON split.chart_id = taken.chart_id AND split.id = taken.split_id
        JOIN line ON line.entry_id = taken.entry_id AND line.line_number = taken.line_number
        WHERE taken.chart_id = $2
      ), counted AS (
        SELECT account_id, amount, 1 AS times FROM line
        UNION ALL SELECT into_account_id, amount, 1 FROM moved
        UNION ALL SELECT from_account_id, amount, -1 FROM moved
      )
      SELECT account_id,
             coalesce(sum(times * amount) FILTER (WHERE amount > 0), 0)::int8 AS debit,
             coalesce(-sum(times * amount) FILTER (WHERE amount < 0), 0)::int8 AS credit
      FROM counted GROUP BY account_id`,
    values: [head.practiceId, head.id, firstDayOf(first), firstDayOf(last)],
  });
  return new Map(
    rows.map(({ account_id, debit, credit }) => [
      account_id,
      { debit: exactInteger(debit), credit: exactInteger(credit) },
    ]),
  );
};
