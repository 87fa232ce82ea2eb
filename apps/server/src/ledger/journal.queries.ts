import type { EntryAnswer, JournalRequest } from '@iunctus/contract';
import type { EntryLine } from '@iunctus/core';
import type { ChartHead } from '../charts/charts.queries';
import { exactInteger } from '../database/integers';
import { many, maybeOne } from '../database/query';
import type { Reader } from '../database/transaction';

interface TiedRow {
  readonly id: string;
  readonly number: number;
}

interface EntryRow {
  readonly id: string;
  readonly number: string;
  readonly entry_date: string;
  readonly source: EntryAnswer['source'];
  readonly comment: string;
  readonly author: string | null;
  readonly posted_at: Date | null;
  readonly sequence: string;
  readonly reverses: TiedRow | null;
  readonly reversed_by: TiedRow | null;
  readonly corrects: TiedRow | null;
  readonly corrected_by: TiedRow | null;
  readonly lines: readonly (Omit<EntryLine, 'amount'> & { readonly amount: string })[];
}

const entryOf = (row: EntryRow): EntryAnswer => ({
  id: row.id,
  number: exactInteger(row.number),
  date: row.entry_date,
  source: row.source,
  comment: row.comment,
  author: row.author,
  postedAt: row.posted_at?.toISOString() ?? null,
  sequence: exactInteger(row.sequence),
  reverses: row.reverses,
  reversedBy: row.reversed_by,
  corrects: row.corrects,
  correctedBy: row.corrected_by,
  lines: row.lines.map((line) => ({ ...line, amount: exactInteger(line.amount) })),
});

const TIED = (name: string, by: string): string => `
  (SELECT jsonb_build_object('id', tied.id, 'number', tied.number) FROM entry AS tied
   WHERE tied.chart_id = entry.chart_id AND ${by}) AS ${name}`;

/** An entry of the table `entry` with its lines, as text that is exact. */
const WHOLE_ENTRY = `
  entry.id, entry.number::int8 AS number, entry.entry_date, entry.source, entry.comment,
  (SELECT name FROM app_user WHERE app_user.id = entry.author_id) AS author,
  entry.posted_at, entry.sequence,
  ${TIED('reverses', 'tied.id = entry.reverses')},
  ${TIED('reversed_by', 'tied.reverses = entry.id')},
  ${TIED('corrects', 'tied.id = entry.corrects')},
  ${TIED('corrected_by', 'tied.corrects = entry.id')},
  (SELECT jsonb_agg(jsonb_build_object(
     'accountId', line.account_id, 'amount', line.amount::text, 'values', line.dimension_values, 'comment', line.comment,
     'foreign', CASE WHEN line.currency IS NULL THEN NULL ELSE jsonb_build_object(
       'currency', line.currency, 'amount', line.foreign_amount, 'rate', line.rate::text) END)
     ORDER BY line.line_number)
   FROM entry_line AS line WHERE line.chart_id = entry.chart_id AND line.entry_id = entry.id) AS lines`;

/** The entry of an id, or `undefined`. */
export const maybeEntry = async (
  on: Reader,
  head: ChartHead,
  id: string,
): Promise<EntryAnswer | undefined> => {
  const row = await maybeOne<EntryRow>(on, {
    text: `
      SELECT ${WHOLE_ENTRY} FROM entry
      WHERE entry.practice_id = $1 AND entry.chart_id = $2 AND entry.id = $3`,
    values: [head.practiceId, head.id, id],
  });
  return row === undefined ? undefined : entryOf(row);
};

/** By what entries are narrowed down; a text is looked for in comments, an amount or a number among digits. */
export interface Narrowed extends Omit<JournalRequest, 'before'> {
  /** What the text is as an amount in minor units; `null` for none. */
  readonly amount: number | null;
  /** What it is as the number of an entry; `null` for none. */
  readonly number: number | null;
  /** Accounts that are hidden from the one who asks: nothing is found by what entries on them say. */
  readonly hidden: readonly string[];
}

/** A text that is looked for literally within another. */
export const within = (text: string): string => `%${text.replace(/[\\%_]/g, '\\$&')}%`;

/** Entries, newest first, so many at most. */
export const manyEntries = async (
  on: Reader,
  head: ChartHead,
  {
    narrowed,
    before,
    most,
  }: {
    readonly narrowed: Narrowed;
    readonly before: JournalRequest['before'];
    readonly most: number;
  },
): Promise<EntryAnswer[]> => {
  const { first, last, source, text, amount, number, hidden } = narrowed;
  const rows = await many<EntryRow>(on, {
    text: `
      SELECT ${WHOLE_ENTRY} FROM entry
      WHERE entry.practice_id = $1 AND entry.chart_id = $2
        AND ($3::date IS NULL OR entry.entry_date >= $3) AND ($4::date IS NULL OR entry.entry_date <= $4)
        AND ($5::text IS NULL OR entry.source = $5)
        AND ($6::date IS NULL OR (entry.entry_date, entry.sequence) < ($6, $7::bigint))
        AND ($8 = '%%' OR entry.number = $9::bigint OR ((
            entry.comment ILIKE $8 OR EXISTS (
              SELECT 1 FROM entry_line AS line WHERE line.chart_id = entry.chart_id AND line.entry_id = entry.id
                AND (line.comment ILIKE $8 OR abs(line.amount) = $10::bigint)))
          AND NOT EXISTS (
            SELECT 1 FROM entry_line AS line WHERE line.chart_id = entry.chart_id AND line.entry_id = entry.id
              AND line.account_id = ANY ($12::uuid[]))))
      ORDER BY entry.entry_date DESC, entry.sequence DESC
      LIMIT $11`,
    values: [
      head.practiceId, head.id, first, last, source, before?.date ?? null, before?.sequence ?? 0, within(text), number,
      amount, most, hidden,
    ], // prettier-ignore
  });
  return rows.map(entryOf);
};

/** Which of some ids are those of entries, with their numbers. */
export const manyNumbers = async (
  on: Reader,
  head: ChartHead,
  ids: readonly string[],
): Promise<{ id: string; number: number }[]> => {
  const rows = await many<{ id: string; number: string }>(on, {
    text: `
      SELECT id, number::int8 AS number FROM entry
      WHERE practice_id = $1 AND chart_id = $2 AND id = ANY ($3::uuid[]) ORDER BY number`,
    values: [head.practiceId, head.id, ids],
  });
  return rows.map(({ id, number }) => ({ id, number: exactInteger(number) }));
};
