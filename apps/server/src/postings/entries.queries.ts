import type { DimensionValues, EntrySource, ForeignAmount } from '@iunctus/core';
import type { ChartHead } from '../charts/charts.queries';
import { exactInteger } from '../database/integers';
import { change, exactlyOne } from '../database/query';
import type { Transaction } from '../database/transaction';

/** A journal entry. Amounts are debit-positive minor units and sum to zero. */
export interface Entry {
  readonly id: string;
  readonly date: string;
  readonly source: EntrySource;
  readonly comment: string;
  readonly lines: readonly EntryLine[];
  /** Who posts it; nobody when left out. */
  readonly authorId?: string;
  /** Whether that person typed it. */
  readonly byHand?: boolean;
  /** The entry that it takes back, and the one in whose stead it is posted. */
  readonly reverses?: string | null;
  readonly corrects?: string | null;
}

/** One line of an entry; `values` are its dimension values, none when left out. */
export interface EntryLine {
  readonly accountId: string;
  readonly amount: number;
  readonly values?: DimensionValues;
  readonly comment?: string;
  readonly foreign?: ForeignAmount | null;
}

/** Takes so many numbers for new entries; gives the first of them. Who else posts to the chart waits. */
const takeNumbers = async (on: Transaction, head: ChartHead, count: number): Promise<number> => {
  const { entries } = await exactlyOne<{ entries: string }>(on, {
    text: `
      UPDATE chart SET entries = entries + $3 WHERE practice_id = $1 AND id = $2
      RETURNING entries::int8 AS entries`,
    values: [head.practiceId, head.id, count],
  });
  return exactInteger(entries) - count + 1;
};

const HEAD_COLUMNS =
  'id uuid, number bigint, date date, source text, comment text, "authorId" uuid, "byHand" boolean, reverses uuid, corrects uuid';

const insertHeads = (
  on: Transaction,
  head: ChartHead,
  { entries, first }: { readonly entries: readonly Entry[]; readonly first: number },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO entry (id, practice_id, chart_id, number, entry_date, source, comment, author_id, by_hand, reverses, corrects)
      SELECT id, $1, $2, number, date, source, comment, "authorId", coalesce("byHand", false), reverses, corrects
      FROM jsonb_to_recordset($3::jsonb) AS added (${HEAD_COLUMNS}) ORDER BY number`,
    values: [
      head.practiceId,
      head.id,
      JSON.stringify(
        entries.map(({ lines: _lines, ...entry }, index) => ({ ...entry, number: first + index })),
      ),
    ],
  });

const LINE_COLUMNS =
  '"entryId" uuid, "lineNumber" integer, "accountId" uuid, amount bigint, "values" jsonb, comment text, "foreign" jsonb';

const insertLines = (
  on: Transaction,
  head: ChartHead,
  entries: readonly Entry[],
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO entry_line (chart_id, entry_id, line_number, account_id, amount, dimension_values, comment,
                              entry_date, sequence, currency, foreign_amount, rate)
      SELECT $1, "entryId", "lineNumber", "accountId", amount, "values", added.comment, entry.entry_date, entry.sequence,
             "foreign" ->> 'currency', ("foreign" ->> 'amount')::bigint, ("foreign" ->> 'rate')::numeric
      FROM jsonb_to_recordset($2::jsonb) AS added (${LINE_COLUMNS})
      JOIN entry ON entry.chart_id = $1 AND entry.id = added."entryId"`,
    values: [
      head.id,
      JSON.stringify(
        entries.flatMap((entry) =>
          entry.lines.map((line, index) => ({
            values: {},
            comment: '',
            ...line,
            entryId: entry.id,
            lineNumber: index + 1,
          })),
        ),
      ),
    ],
  });

/**
 * Posts entries and gives the number of the first; the others follow. The database refuses what does not balance, what
 * stands on a heading or a retired account, or in a locked period.
 */
export const postEntries = async (
  on: Transaction,
  head: ChartHead,
  entries: readonly Entry[],
): Promise<number> => {
  const first = await takeNumbers(on, head, entries.length);
  await insertHeads(on, head, { entries, first });
  await insertLines(on, head, entries);
  return first;
};
