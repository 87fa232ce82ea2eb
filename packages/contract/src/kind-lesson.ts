import { KIND_CODES, TEXT_LIMITS } from '@iunctus/core/edges';
import * as v from 'valibot';
import { Id, wordsUpTo } from './text';

/** That an account of a name is of a kind, whatever was guessed. */
export const KindLesson = v.strictObject({
  name: wordsUpTo(TEXT_LIMITS.name),
  kind: v.picklist(KIND_CODES),
});
export type KindLesson = v.InferOutput<typeof KindLesson>;

/** What the practice was taught, the newest first. */
export const KindLessonsAnswer = v.array(
  v.strictObject({ id: Id, name: v.string(), kind: v.picklist(KIND_CODES) }),
);
export type KindLessonsAnswer = v.InferOutput<typeof KindLessonsAnswer>;
