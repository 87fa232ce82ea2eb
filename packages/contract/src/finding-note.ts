import type { FindingNote } from '@iunctus/core';
import { NOTE_LIMITS } from '@iunctus/core/edges';
import * as v from 'valibot';
import { mirrors } from './mirrors';
import { DateText, Id, Moment, textUpTo, wordsUpTo } from './text';

const noted = {
  key: wordsUpTo(NOTE_LIMITS.key),
  print: textUpTo(NOTE_LIMITS.print),
  until: v.nullable(DateText),
  reason: textUpTo(NOTE_LIMITS.reason),
};

/** That a finding is put off, or set aside. */
export const FindingNoteSchema = mirrors<FindingNote>()(v.strictObject(noted));

/** The notes on a client's findings, with who made each, and when. */
export const FindingNotesAnswer = v.array(
  v.strictObject({ id: Id, ...noted, author: v.string(), notedAt: Moment }),
);
export type FindingNotesAnswer = v.InferOutput<typeof FindingNotesAnswer>;
