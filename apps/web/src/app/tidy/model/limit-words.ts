import type { LimitName } from '@iunctus/core';

/** A limit in words, before and after its number. */
export interface LimitWords {
  readonly before: string;
  readonly after: string;
}

const WORDS: Readonly<Record<LimitName, LimitWords>> = {
  unusualMonths: { before: $localize`for`, after: $localize`months` },
  clearingMonths: { before: $localize`for`, after: $localize`months` },
  catchAllPart: { before: $localize`above`, after: $localize`% of all costs` },
  catchAllMuch: { before: $localize`doubtful above`, after: $localize`%` },
  kindDoubtful: { before: $localize`doubtful from`, after: $localize`% sure` },
  kindWrong: { before: $localize`wrong from`, after: $localize`% sure` },
  mainLines: { before: $localize`more than`, after: $localize`lines` },
  levels: { before: $localize`below level`, after: '' },
  tinyAccounts: { before: $localize`at least`, after: $localize`accounts` },
  tinyPart: { before: $localize`each below`, after: $localize`% of all costs` },
  unusedMonths: { before: $localize`for`, after: $localize`months` },
};

/** What stands before and after a limit's number. */
export const limitWords = (name: LimitName): LimitWords => WORDS[name];
