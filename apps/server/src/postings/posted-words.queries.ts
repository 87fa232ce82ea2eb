import { firstDayOf, lastDayOf, type Period, type WordsPosted } from '@iunctus/core';
import type { ChartHead } from '../charts/charts.queries';
import { exactInteger } from '../database/integers';
import { many } from '../database/query';
import type { Reader } from '../database/transaction';

interface WordsRow {
  readonly id: string;
  readonly words: string;
  readonly count: number;
  readonly amount: string;
}

/** So many different comments of one account are told. */
const TOLD = 40;

/**
 * What was said of the postings of each account in some months, without digits and marks: how often, and of how much;
 * what was said once is left out, and so is what a split took. Entries that touch one of the accounts in `hidden` say
 * nothing.
 */
export const manyPostedWords = async (
  on: Reader,
  head: ChartHead,
  { within, hidden }: { readonly within: Period; readonly hidden: readonly string[] },
): Promise<readonly (readonly [id: string, said: readonly WordsPosted[]])[]> => {
  const rows = await many<WordsRow>(on, {
    text: `
      WITH line AS (
        SELECT line.account_id AS id, line.amount,
               trim(regexp_replace(lower(entry.comment), '[0-9!-/:-@\\[-\`{-~[:space:]]+', ' ', 'g')) AS words
        FROM entry_line AS line
        JOIN entry ON entry.chart_id = line.chart_id AND entry.id = line.entry_id
        WHERE entry.practice_id = $1 AND line.chart_id = $2 AND line.entry_date BETWEEN $3 AND $4
          AND (cardinality($5::uuid[]) = 0 OR NOT EXISTS (
            SELECT 1 FROM entry_line AS beside
            WHERE beside.chart_id = line.chart_id AND beside.entry_id = line.entry_id
              AND beside.account_id = ANY($5::uuid[])))
          AND NOT EXISTS (
            SELECT 1 FROM account_split_line AS taken
            WHERE taken.chart_id = line.chart_id AND taken.entry_id = line.entry_id
              AND taken.line_number = line.line_number)
      ), said AS (
        SELECT id, words, count(*)::int AS count, sum(amount)::text AS amount,
               row_number() OVER (PARTITION BY id ORDER BY sum(abs(amount)) DESC, words) AS place
        FROM line WHERE words <> '' AND char_length(words) <= 120
        GROUP BY id, words HAVING count(*) > 1
      )
      SELECT id, words, count, amount FROM said WHERE place <= $6 ORDER BY id, place`,
    values: [
      head.practiceId,
      head.id,
      firstDayOf(within.first),
      lastDayOf(within.last),
      hidden,
      TOLD,
    ],
  });
  const byId = new Map<string, WordsPosted[]>();
  for (const { id, words, count, amount } of rows)
    byId.set(id, [...(byId.get(id) ?? []), { words, count, amount: exactInteger(amount) }]);
  return [...byId];
};
