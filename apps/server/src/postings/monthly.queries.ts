import { firstDayOf, monthsBetween, type Period } from '@iunctus/core';
import type { ChartHead } from '../charts/charts.queries';
import { exactInteger } from '../database/integers';
import { many, maybeOne } from '../database/query';
import type { Reader } from '../database/transaction';

/** The first and the last month in which anything was posted; `undefined` for empty books. */
export const maybeMonthsPosted = async (
  on: Reader,
  head: ChartHead,
): Promise<Period | undefined> => {
  const row = await maybeOne<{ first: string | null; last: string | null }>(on, {
    text: `
      SELECT to_char(min(totals.month), 'YYYY-MM') AS first, to_char(max(totals.month), 'YYYY-MM') AS last
      FROM account_month_total AS totals JOIN chart ON chart.id = totals.chart_id
      WHERE chart.practice_id = $1 AND totals.chart_id = $2`,
    values: [head.practiceId, head.id],
  });
  const { first = null, last = null } = row ?? {};
  return first === null || last === null ? undefined : { first, last };
};

interface MonthlyRow {
  readonly id: string;
  /** How many months after the first, and what was posted then. */
  readonly months: readonly (readonly [at: number, amount: number])[];
}

type Table = 'account_month_total' | 'account_split_month_total';

const IDS: Readonly<Record<Table, string>> = {
  account_month_total: 'account_id',
  account_split_month_total: 'split_id',
};

const dense = ({ id, months }: MonthlyRow, { first, last }: Period): [string, ...number[]] => {
  const row = Array.from({ length: monthsBetween(first, last) }, () => 0);
  for (const [at, amount] of months) row[at] = exactInteger(String(amount));
  return [id, ...row];
};

/** How many months the column `month` lies after a day. */
const MONTHS_AFTER = (day: string): string =>
  `(extract(year FROM month) - extract(year FROM ${day})) * 12 + extract(month FROM month) - extract(month FROM ${day})`;

const manyByMonth = async (
  table: Table,
  on: Reader,
  { head, within }: { readonly head: ChartHead; readonly within: Period },
): Promise<[string, ...number[]][]> => {
  const rows = await many<MonthlyRow>(on, {
    text: `
      WITH placed AS (
        SELECT totals.${IDS[table]} AS id,
               least(greatest(totals.month, $3::date), $4::date) AS month, sum(totals.amount) AS amount
        FROM ${table} AS totals JOIN chart ON chart.id = totals.chart_id
        WHERE chart.practice_id = $1 AND totals.chart_id = $2
        GROUP BY 1, 2
      )
      SELECT id, json_agg(json_build_array(${MONTHS_AFTER('$3::date')}, amount)) AS months
      FROM placed GROUP BY id`,
    values: [head.practiceId, head.id, firstDayOf(within.first), firstDayOf(within.last)],
  });
  return rows.map((row) => dense(row, within));
};

/** What was posted to each account, month by month; what lies outside the months counts in the first and the last. */
export const manyMonthly = (
  on: Reader,
  head: ChartHead,
  within: Period,
): Promise<[string, ...number[]][]> => manyByMonth('account_month_total', on, { head, within });

/** The same for the postings of each split. */
export const manySplitMonthly = (
  on: Reader,
  head: ChartHead,
  within: Period,
): Promise<[string, ...number[]][]> =>
  manyByMonth('account_split_month_total', on, { head, within });

interface ValueRow extends MonthlyRow {
  readonly value_id: string;
}

/** Lines that carry a value of a dimension, by the account or the split that counts them. */
const LINES_OF: Readonly<Record<'accounts' | 'splits', string>> = {
  accounts: `
    SELECT line.account_id AS id, line.dimension_values ->> $3 AS value_id, line.entry_date, line.amount
    FROM entry_line AS line JOIN chart ON chart.id = line.chart_id
    WHERE chart.practice_id = $1 AND line.chart_id = $2 AND line.dimension_values ? $3`,
  splits: `
    SELECT taken.split_id AS id, line.dimension_values ->> $3 AS value_id, line.entry_date, line.amount
    FROM account_split_line AS taken
    JOIN entry_line AS line USING (chart_id, entry_id, line_number)
    JOIN chart ON chart.id = line.chart_id
    WHERE chart.practice_id = $1 AND line.chart_id = $2 AND line.dimension_values ? $3`,
};

/** Amounts by month of the accounts, or of the splits, for each value of a dimension that lines carry. */
export const manyMonthlyByValue = async (
  on: Reader,
  head: ChartHead,
  {
    of,
    dimensionId,
    within,
  }: {
    readonly of: keyof typeof LINES_OF;
    readonly dimensionId: string;
    readonly within: Period;
  },
): Promise<ReadonlyMap<string, [string, ...number[]][]>> => {
  const rows = await many<ValueRow>(on, {
    text: `
      WITH line AS (${LINES_OF[of]}), placed AS (
        SELECT id, value_id,
               least(greatest(date_trunc('month', entry_date)::date, $4::date), $5::date) AS month,
               sum(amount) AS amount
        FROM line GROUP BY 1, 2, 3
      )
      SELECT id, value_id, json_agg(json_build_array(${MONTHS_AFTER('$4::date')}, amount)) AS months
      FROM placed GROUP BY id, value_id`,
    values: [
      head.practiceId,
      head.id,
      dimensionId,
      firstDayOf(within.first),
      firstDayOf(within.last),
    ],
  });
  const found = new Map<string, [string, ...number[]][]>();
  for (const row of rows)
    found.set(row.value_id, [...(found.get(row.value_id) ?? []), dense(row, within)]);
  return found;
};
