import type { AccountUse } from '@iunctus/core';

/** How something uses an account; the account that it leads to stands behind it. */
export const USE_WORDS: Readonly<Record<AccountUse['type'], string>> = {
  child: 'Stands below it:',
  merged: 'Was merged into it:',
  splitInto: 'Some of its postings count with',
  splitFrom: 'Has postings of',
  postings: 'It has postings of its own.',
  system: 'The system closes every year to it.',
};
