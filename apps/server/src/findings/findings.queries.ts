import type { FindingNotesAnswer } from '@iunctus/contract';
import type { FindingNote } from '@iunctus/core';
import type { ChartHead } from '../charts/charts.queries';
import { change, exactlyOne, many } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

type NoteRow = Omit<FindingNotesAnswer[number], 'notedAt'> & { readonly noted_at: Date };

/** All notes on a client's findings, the newest first. */
export const manyFindingNotes = async (
  on: Reader,
  head: ChartHead,
): Promise<FindingNotesAnswer> => {
  const rows = await many<NoteRow>(on, {
    text: `
      SELECT note.id, note.key, note.print, to_char(note.until, 'YYYY-MM-DD') AS until, note.reason,
             note.noted_at, author.name AS author
      FROM finding_note AS note JOIN app_user AS author ON author.id = note.author_id
      WHERE note.practice_id = $1 AND note.chart_id = $2
      ORDER BY note.noted_at DESC, note.key`,
    values: [head.practiceId, head.id],
  });
  return rows.map(({ noted_at, ...row }) => ({ ...row, notedAt: noted_at.toISOString() }));
};

/** How many notes a client has. */
export const countFindingNotes = async (on: Reader, head: ChartHead): Promise<number> => {
  const { all } = await exactlyOne<{ all: number }>(on, {
    text: 'SELECT count(*)::int AS all FROM finding_note WHERE practice_id = $1 AND chart_id = $2',
    values: [head.practiceId, head.id],
  });
  return all;
};

/** Keeps a note instead of what was noted of the same finding. */
export const upsertFindingNote = (
  on: Transaction,
  head: ChartHead,
  { authorId, note }: { readonly authorId: string; readonly note: FindingNote },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO finding_note (practice_id, chart_id, key, print, until, reason, author_id)
      VALUES ($1, $2, $3, $4, $5, $6, $7)
      ON CONFLICT (chart_id, key) DO UPDATE
        SET print = excluded.print, until = excluded.until, reason = excluded.reason,
            author_id = excluded.author_id, noted_at = now()`,
    values: [head.practiceId, head.id, note.key, note.print, note.until, note.reason, authorId],
  });

/** Drops a note; gives how many there were. */
export const deleteFindingNote = (on: Transaction, head: ChartHead, id: string): Promise<number> =>
  change(on, {
    text: 'DELETE FROM finding_note WHERE practice_id = $1 AND chart_id = $2 AND id = $3',
    values: [head.practiceId, head.id, id],
  });
