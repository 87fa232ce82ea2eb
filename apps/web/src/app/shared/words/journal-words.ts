import type { JournalProblem, JournalUse } from '@iunctus/core';

/** What columns of a list of entries are used for; those of dimensions are called by their names. */
export const JOURNAL_USE_WORDS: Readonly<Record<Exclude<JournalUse, `value/${string}`>, string>> = {
  date: $localize`Date`,
  entry: $localize`Entry or document number`,
  account: $localize`Account`,
  accountName: $localize`Account name`,
  debit: $localize`Debit`,
  credit: $localize`Credit`,
  amount: $localize`Amount, credits with a minus`,
  comment: $localize`Comment`,
  lineComment: $localize`Comment of the line`,
};

/** What is wrong with a cell, and what can be done. */
export const journalProblemWords = ({ rule, text }: JournalProblem): string => {
  switch (rule) {
    case 'missing':
      return $localize`No account is named.`;
    case 'notADate':
      return $localize`“${text}” is no date.`;
    case 'notAnAmount':
      return $localize`“${text}” is no amount.`;
    case 'amountTooLarge':
      return $localize`“${text}” is more than can be counted.`;
    case 'bothSides':
      return $localize`A line is a debit or a credit, never both.`;
    case 'unknownAccount':
      return $localize`The chart has no account “${text}”.`;
    case 'unknownValue':
      return $localize`“${text}” is none of the chart’s values.`;
    case 'tooLong':
      return $localize`The comment has more than 500 characters.`;
    default:
      return rule satisfies never;
  }
};
