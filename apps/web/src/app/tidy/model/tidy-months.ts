import type { RevisionAnswer } from '@iunctus/contract';
import { addMonths, lastDayOf, type Month } from '@iunctus/core';

/** So many months are looked at, the newest included. */
const MONTHS_SHOWN = 12;

/** The months that end with `last`, as far as there are books, the oldest first. */
export const monthsUpTo = (first: Month, last: Month): readonly Month[] =>
  Array.from({ length: MONTHS_SHOWN }, (_, at) => addMonths(last, at + 1 - MONTHS_SHOWN)).filter(
    (month) => month >= first,
  );

/**
 * The revision that was in force at the end of a month: the newest that was adopted by then; for months before the first,
 * the first, as books are often brought in before a chart is put in order.
 * @param revisions newest first
 */
export const revisionAt = (
  revisions: readonly Pick<RevisionAnswer, 'number' | 'adoptedAt'>[],
  month: Month,
): number => {
  const end = lastDayOf(month);
  const inForce = revisions.find(({ adoptedAt }) => adoptedAt.slice(0, 10) <= end);
  return (inForce ?? revisions.at(-1))?.number ?? 0;
};
