import type { RevisionAnswer } from '@iunctus/contract';
import type { PickOption } from '../../shared/components/pick.component';

/** Since when a chart may have been tidied: each revision, or before the first. */
export const sinceChoices = (revisions: readonly RevisionAnswer[]): readonly PickOption[] => [
  ...revisions.map(({ number, note }) => ({
    value: String(number),
    words:
      note === ''
        ? $localize`Revision ${number}:number:`
        : $localize`Revision ${number}:number:: ${note}:note:`,
  })),
  { value: '0', words: $localize`Before the first revision` },
];

/** Where a report begins unless it is said: with what is adopted, where something is proposed, else one revision back. */
export const usualSince = (revision: number, changes: number): number =>
  changes > 0 ? revision : Math.max(revision - 1, 0);
