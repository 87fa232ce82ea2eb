import type { AccountUse } from '@iunctus/core';

/** How something uses an account; the account that it leads to stands behind it. */
export const USE_WORDS: Readonly<Record<AccountUse['type'], string>> = {
  child: $localize`Stands below it:`,
  merged: $localize`Was merged into it:`,
  splitInto: $localize`Some of its postings count with`,
  splitFrom: $localize`Has postings of`,
  postings: $localize`It has postings of its own.`,
  system: $localize`The system closes every year to it.`,
};
