import type { StandingEntryAnswer, StandingEntryRequest } from '@iunctus/contract';
import type { TypedEntry } from '@iunctus/core';
import type { ChartHead } from '../charts/charts.queries';
import { change, many } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

interface StandingRow {
  readonly id: string;
  readonly name: string;
  readonly frequency: StandingEntryAnswer['recurrence']['frequency'];
  readonly first_day: string;
  readonly last_day: string | null;
  readonly times: number | null;
  readonly content: TypedEntry;
  readonly author: string;
  readonly days: StandingEntryAnswer['days'];
}

const standingOf = (row: StandingRow): StandingEntryAnswer => ({
  id: row.id,
  name: row.name,
  recurrence: {
    frequency: row.frequency,
    first: row.first_day,
    last: row.last_day,
    times: row.times,
  },
  entry: row.content,
  author: row.author,
  days: row.days,
});

/** All standing entries, by name, with what became of their days. */
export const manyStandings = async (
  on: Reader,
  head: ChartHead,
): Promise<StandingEntryAnswer[]> => {
  const rows = await many<StandingRow>(on, {
    text: `
      SELECT standing.id, standing.name, standing.frequency, standing.first_day, standing.last_day, standing.times,
             standing.content, author.name AS author,
             coalesce((SELECT jsonb_agg(jsonb_build_object('due', day.due, 'entry', CASE WHEN day.entry_id IS NULL THEN NULL
                 ELSE jsonb_build_object('id', day.entry_id, 'number', entry.number) END) ORDER BY day.due)
               FROM standing_entry_day AS day
               LEFT JOIN entry ON entry.chart_id = day.chart_id AND entry.id = day.entry_id
               WHERE day.chart_id = standing.chart_id AND day.standing_id = standing.id), '[]') AS days
      FROM standing_entry AS standing JOIN app_user AS author ON author.id = standing.author_id
      WHERE standing.practice_id = $1 AND standing.chart_id = $2
      ORDER BY lower(standing.name), standing.id`,
    values: [head.practiceId, head.id],
  });
  return rows.map(standingOf);
};

/** Keeps a standing entry. */
export const upsertStanding = (
  on: Transaction,
  head: ChartHead,
  {
    id,
    authorId,
    request: { name, recurrence, entry },
  }: {
    readonly id: string;
    readonly authorId: string;
    readonly request: StandingEntryRequest;
  },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO standing_entry
        (practice_id, chart_id, id, name, frequency, first_day, last_day, times, content, author_id)
      VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)
      ON CONFLICT (chart_id, id) DO UPDATE
        SET name = excluded.name, frequency = excluded.frequency, first_day = excluded.first_day,
            last_day = excluded.last_day, times = excluded.times, content = excluded.content`,
    values: [
      head.practiceId,
      head.id,
      id,
      name,
      recurrence.frequency,
      recurrence.first,
      recurrence.last,
      recurrence.times,
      JSON.stringify(entry),
      authorId,
    ],
  });

/** Ends a standing entry; gives how many there were. What it posted stays. */
export const deleteStanding = (on: Transaction, head: ChartHead, id: string): Promise<number> =>
  change(on, {
    text: 'DELETE FROM standing_entry WHERE practice_id = $1 AND chart_id = $2 AND id = $3',
    values: [head.practiceId, head.id, id],
  });

/** Notes that a day of a standing entry is dealt with: posted, or, without an entry, skipped. */
export const insertStandingDay = (
  on: Transaction,
  head: ChartHead,
  day: { readonly standingId: string; readonly due: string; readonly entryId: string | null },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO standing_entry_day (chart_id, standing_id, due, entry_id)
      SELECT $2, id, $4, $5 FROM standing_entry WHERE practice_id = $1 AND chart_id = $2 AND id = $3`,
    values: [head.practiceId, head.id, day.standingId, day.due, day.entryId],
  });

/** Offers a day again that was skipped. */
export const deleteSkippedDay = (
  on: Transaction,
  head: ChartHead,
  { standingId, due }: { readonly standingId: string; readonly due: string },
): Promise<number> =>
  change(on, {
    text: `
      DELETE FROM standing_entry_day AS day USING chart
      WHERE chart.practice_id = $1 AND chart.id = $2 AND day.chart_id = chart.id
        AND day.standing_id = $3 AND day.due = $4 AND day.entry_id IS NULL`,
    values: [head.practiceId, head.id, standingId, due],
  });
