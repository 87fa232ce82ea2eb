import type { KindLesson, KindLessonsAnswer } from '@iunctus/contract';
import { nameKey } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { inTransactionOn } from '../database/transaction';
import { problem } from '../problems/problem';
import {
  deleteKindLesson,
  forgetOldLessons,
  manyKindLessons,
  upsertKindLesson,
} from './kind-lessons.queries';

/** Lessons that a practice keeps at most. */
const MOST = 4000;

/** What the practice was taught of kinds, the newest first. */
export const kindLessons = (pool: pg.Pool, viewer: Viewer): Promise<KindLessonsAnswer> =>
  manyKindLessons(pool, viewer);

/** Keeps what an account of a name is, for everybody of the practice. */
export const learnKind = (pool: pg.Pool, viewer: Viewer, lesson: KindLesson): Promise<object> =>
  inTransactionOn(pool, async (transaction) => {
    await upsertKindLesson(transaction, viewer, { key: nameKey(lesson.name), lesson });
    await forgetOldLessons(transaction, viewer, MOST);
    return {};
  });

/** Takes one lesson back. */
export const forgetKind = (pool: pg.Pool, viewer: Viewer, id: string): Promise<object> =>
  inTransactionOn(pool, async (transaction) =>
    (await deleteKindLesson(transaction, viewer, id)) === 0 ? problem({ code: 'notFound' }) : {},
  );
