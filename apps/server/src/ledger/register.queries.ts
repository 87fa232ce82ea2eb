import type { RegisterLine, RegisterRequest } from '@iunctus/contract';
import type { ChartHead } from '../charts/charts.queries';
import { exactInteger } from '../database/integers';
import { exactlyOne, many } from '../database/query';
import type { Reader } from '../database/transaction';
import { within, type Narrowed } from './journal.queries';

/**
 * The lines that count with some accounts ($2: chart, $3: their ids): their own, less those that a split took elsewhere,
 * with those that one brought. A line that several splits moved counts where the last one put it. `rest` narrows lines
 * down; `bound` says how many of one account are wanted, newest first. Only what the index of lines in order holds is
 * read, so that thousands of accounts are looked at as one.
 */
const linesOf = (rest: string, bound = ''): string => `
  last_split AS (
    SELECT DISTINCT ON (moved.entry_id, moved.line_number)
           moved.entry_id, moved.line_number, split.into_account_id AS account_id
    FROM account_split_line AS moved
    JOIN account_split AS split ON split.chart_id = moved.chart_id AND split.id = moved.split_id
    WHERE moved.chart_id = $2
    ORDER BY moved.entry_id, moved.line_number, split.position DESC
  ), counted AS (
    SELECT own_line.*
    FROM unnest($3::uuid[]) AS own (id) CROSS JOIN LATERAL (
      SELECT line.account_id, line.entry_date, line.sequence, line.line_number, line.amount, line.entry_id
      FROM entry_line AS line
      WHERE line.chart_id = $2 AND line.account_id = own.id ${rest}
        AND NOT EXISTS (
          SELECT 1 FROM last_split WHERE last_split.entry_id = line.entry_id
            AND last_split.line_number = line.line_number AND last_split.account_id <> ALL ($3::uuid[]))
      ${bound}
    ) AS own_line
    UNION ALL
    SELECT line.account_id, line.entry_date, line.sequence, line.line_number, line.amount, line.entry_id
    FROM last_split JOIN entry_line AS line
      ON line.chart_id = $2 AND line.entry_id = last_split.entry_id AND line.line_number = last_split.line_number
    WHERE last_split.account_id = ANY ($3::uuid[]) AND line.account_id <> ALL ($3::uuid[]) ${rest}
  )`;

/** What some accounts come to before a day (that day not included); `null` for all days. Debit-positive minor units. */
export const balanceBefore = async (
  on: Reader,
  head: ChartHead,
  { accounts, day }: { readonly accounts: readonly string[]; readonly day: string | null },
): Promise<number> => {
  const { balance } = await exactlyOne<{ balance: string }>(on, {
    text: `
      WITH ${linesOf("AND ($4::date IS NULL OR (line.entry_date >= date_trunc('month', $4::date) AND line.entry_date < $4))")}
      SELECT (
        coalesce((SELECT sum(amount) FROM account_month_total AS total
                  WHERE total.chart_id = $2 AND total.account_id = ANY ($3::uuid[])
                    AND ($4::date IS NULL OR total.month < date_trunc('month', $4::date))), 0)
        + coalesce((SELECT sum(total.amount * ((split.into_account_id = ANY ($3::uuid[]))::int
                                             - (split.from_account_id = ANY ($3::uuid[]))::int))
                    FROM account_split AS split JOIN account_split_month_total AS total
                      ON total.chart_id = split.chart_id AND total.split_id = split.id
                    WHERE split.chart_id = $2 AND ($4::date IS NULL OR total.month < date_trunc('month', $4::date))), 0)
        + coalesce((SELECT sum(amount) FROM counted WHERE $4::date IS NOT NULL), 0)
      )::int8 AS balance
      FROM chart WHERE chart.practice_id = $1 AND chart.id = $2`,
    values: [head.practiceId, head.id, accounts, day],
  });
  return exactInteger(balance);
};

type LineRow = Omit<RegisterLine, 'number' | 'sequence' | 'amount' | 'balance'> & {
  readonly number: string;
  readonly sequence: string;
  readonly amount: string;
  /** What the newer lines in sight, without this one, come to; or the running sum where lines are narrowed down. */
  readonly running: string;
};

const LINE = `
  shown.entry_id AS "entryId", entry.number::int8 AS number, shown.line_number AS "lineNumber",
  shown.entry_date AS date, shown.sequence, entry.source,
  coalesce(nullif(whole.comment, ''), entry.comment) AS comment, shown.amount,
  coalesce((SELECT last_split.account_id FROM last_split
            WHERE last_split.entry_id = shown.entry_id AND last_split.line_number = shown.line_number),
           shown.account_id) AS "accountId",
  ARRAY(SELECT other.account_id FROM entry_line AS other
        WHERE other.chart_id = $2 AND other.entry_id = shown.entry_id AND other.line_number <> shown.line_number
        ORDER BY (other.amount > 0) = (shown.amount > 0), abs(other.amount) DESC LIMIT 4) AS against,
  EXISTS (SELECT 1 FROM entry AS back WHERE back.chart_id = $2 AND back.reverses = shown.entry_id) AS "isReversed"`;

/** A line in sight with its entry and all that it holds. */
const WHOLE = (of: string): string => `
  JOIN entry ON entry.practice_id = $1 AND entry.chart_id = $2 AND entry.id = ${of}.entry_id
  JOIN entry_line AS whole ON whole.chart_id = $2 AND whole.entry_id = ${of}.entry_id
    AND whole.line_number = ${of}.line_number`;

const ORDER = (of: string): string =>
  `${of}.entry_date DESC, ${of}.sequence DESC, ${of}.line_number DESC`;

const lineOf = ({ running: _running, ...row }: LineRow, balance: number): RegisterLine => ({
  ...row,
  number: exactInteger(row.number),
  sequence: exactInteger(row.sequence),
  amount: exactInteger(row.amount),
  balance,
});

interface Page {
  readonly accounts: readonly string[];
  readonly narrowed: Narrowed;
  readonly before: RegisterRequest['before'];
  readonly most: number;
}

const BETWEEN = `
  AND ($4::date IS NULL OR line.entry_date >= $4) AND ($5::date IS NULL OR line.entry_date <= $5)
  AND ($6::date IS NULL OR (line.entry_date, line.sequence, line.line_number) < ($6, $7::bigint, $8::integer))`;

/**
 * The newest lines of accounts, so many at most, from a place on: whatever there is behind them is not looked at.
 * `end` is what the accounts come to with the newest of them.
 */
export const manyNewestLines = async (
  on: Reader,
  head: ChartHead,
  { accounts, narrowed: { first, last }, before, most, end }: Page & { readonly end: number },
): Promise<RegisterLine[]> => {
  const order = `ORDER BY ${ORDER('line')} LIMIT $9`;
  const rows = await many<LineRow>(on, {
    text: `
      WITH ${linesOf(BETWEEN, order)}, shown AS (
        SELECT * FROM counted AS line ORDER BY ${ORDER('line')} LIMIT $9
      )
      SELECT ${LINE},
             (sum(shown.amount) OVER (ORDER BY ${ORDER('shown')}) - shown.amount)::int8 AS running
      FROM shown ${WHOLE('shown')}
      ORDER BY ${ORDER('shown')}`,
    values: [
      head.practiceId, head.id, accounts, first, last, before?.date ?? null, before?.sequence ?? 0,
      before?.lineNumber ?? 0, most,
    ], // prettier-ignore
  });
  return rows.map((row) => lineOf(row, end - exactInteger(row.running)));
};

/** The lines of accounts that fit a source or a text, newest first, each with what all lines up to it come to. */
export const manyFittingLines = async (
  on: Reader,
  head: ChartHead,
  { accounts, narrowed, before, most, start }: Page & { readonly start: number },
): Promise<RegisterLine[]> => {
  const { first, last, source, text, amount, number, hidden } = narrowed;
  const rows = await many<LineRow>(on, {
    text: `
      WITH ${linesOf('AND ($4::date IS NULL OR line.entry_date >= $4) AND ($5::date IS NULL OR line.entry_date <= $5)')},
      summed AS (
        SELECT line.*, sum(line.amount) OVER (ORDER BY line.entry_date, line.sequence, line.line_number) AS running
        FROM counted AS line
      ), shown AS (
        SELECT summed.* FROM summed ${WHOLE('summed')}
        WHERE ($10::text IS NULL OR entry.source = $10)
          AND ($11 = '%%' OR whole.comment ILIKE $11 OR (entry.comment ILIKE $11 AND NOT EXISTS (
                 SELECT 1 FROM entry_line AS other WHERE other.chart_id = $2 AND other.entry_id = entry.id
                   AND other.account_id = ANY ($14::uuid[])))
               OR entry.number = $12::bigint OR abs(summed.amount) = $13::bigint)
          AND ($6::date IS NULL
               OR (summed.entry_date, summed.sequence, summed.line_number) < ($6, $7::bigint, $8::integer))
        ORDER BY ${ORDER('summed')} LIMIT $9
      )
      SELECT ${LINE}, shown.running::int8 AS running
      FROM shown ${WHOLE('shown')}
      ORDER BY ${ORDER('shown')}`,
    values: [
      head.practiceId, head.id, accounts, first, last, before?.date ?? null, before?.sequence ?? 0,
      before?.lineNumber ?? 0, most, source, within(text), number, amount, hidden,
    ], // prettier-ignore
  });
  return rows.map((row) => lineOf(row, start + exactInteger(row.running)));
};
