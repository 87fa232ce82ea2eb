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
// Words are made once for each entry, and what is left out is read once, into a hash: before the first statistics of
// books that were just brought, the planner takes them for small and would do either anew for every line.
export const manyPostedWords = async (
  on: Reader,
  head: ChartHead,
  { within, hidden }: { readonly within: Period; readonly hidden: readonly string[] },
): Promise<readonly (readonly [id: string, said: readonly WordsPosted[]])[]> => {
  const rows = await many<WordsRow>(on, {
    text: `
      WITH entry_words AS MATERIALIZED (
        SELECT id, trim(regexp_replace(lower(comment), '[0-9!-/:-@\\[-\`{-~[:space:]]+', ' ', 'g')) AS words
        FROM entry
        WHERE practice_id = $1 AND chart_id = $2 AND entry_date BETWEEN $3 AND $4
          AND id NOT IN (
            SELECT entry_id FROM entry_line WHERE chart_id = $2 AND account_id = ANY($5::uuid[]))
      ), line AS (
        SELECT line.account_id AS id, line.amount, entry_words.words
        FROM entry_line AS line JOIN entry_words ON entry_words.id = line.entry_id
        WHERE line.chart_id = $2 AND line.entry_date BETWEEN $3 AND $4
          AND (line.entry_id, line.line_number) NOT IN (
            SELECT entry_id, line_number FROM account_split_line WHERE chart_id = $2)
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
