import type { KindLesson, KindLessonsAnswer } from '@iunctus/contract';
import type { Viewer } from '../access/viewer';
import { change, many } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

/** What the practice was taught, the newest first. */
export const manyKindLessons = (on: Reader, viewer: Viewer): Promise<KindLessonsAnswer> =>
  many(on, {
    text: `
      SELECT id, name, kind FROM kind_lesson
      WHERE practice_id = $1 ORDER BY learned_at DESC, name_key`,
    values: [viewer.practiceId],
  });

/** Keeps a lesson, instead of what was kept for the same name. */
export const upsertKindLesson = (
  on: Transaction,
  viewer: Viewer,
  { key, lesson }: { readonly key: string; readonly lesson: KindLesson },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO kind_lesson (practice_id, name_key, name, kind) VALUES ($1, $2, $3, $4)
      ON CONFLICT (practice_id, name_key) DO UPDATE
        SET name = excluded.name, kind = excluded.kind, learned_at = now()`,
    values: [viewer.practiceId, key, lesson.name, lesson.kind],
  });

/** Forgets the oldest lessons, but for so many. */
export const forgetOldLessons = (on: Transaction, viewer: Viewer, kept: number): Promise<number> =>
  change(on, {
    text: `
      DELETE FROM kind_lesson WHERE practice_id = $1 AND name_key NOT IN (
        SELECT name_key FROM kind_lesson WHERE practice_id = $1
        ORDER BY learned_at DESC, name_key LIMIT $2)`,
    values: [viewer.practiceId, kept],
  });

/** Forgets one lesson; gives how many there were. */
export const deleteKindLesson = (on: Transaction, viewer: Viewer, id: string): Promise<number> =>
  change(on, {
    text: 'DELETE FROM kind_lesson WHERE practice_id = $1 AND id = $2',
    values: [viewer.practiceId, id],
  });
