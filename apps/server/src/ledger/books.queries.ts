import type { LocksAnswer } from '@iunctus/contract';
import type { Viewer } from '../access/viewer';
import type { ChartHead } from '../charts/charts.queries';
import { change, many } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

type Lock = LocksAnswer['locks'][number];

/** All locks, newest first. */
export const manyLocks = async (on: Reader, head: ChartHead): Promise<Lock[]> => {
  const rows = await many<Omit<Lock, 'at'> & { readonly locked_at: Date }>(on, {
    text: `
      SELECT lock.through, author.name AS author, lock.note, lock.locked_at
      FROM period_lock AS lock JOIN app_user AS author ON author.id = lock.author_id
      WHERE lock.practice_id = $1 AND lock.chart_id = $2 ORDER BY lock.number DESC`,
    values: [head.practiceId, head.id],
  });
  return rows.map(({ locked_at, ...lock }) => ({ ...lock, at: locked_at.toISOString() }));
};

/** Locks the books through a day, or opens them; the chart is held already. */
export const insertLock = (
  on: Transaction,
  { head, viewer }: { readonly head: ChartHead; readonly viewer: Viewer },
  { through, note }: { readonly through: string | null; readonly note: string },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO period_lock (practice_id, chart_id, number, through, author_id, note)
      SELECT $1, $2, 1 + (SELECT count(*) FROM period_lock WHERE chart_id = $2), $3, $4, $5`,
    values: [head.practiceId, head.id, through, viewer.userId, note],
  });
