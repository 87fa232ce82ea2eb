import type { BankProblem, BankUse } from '@iunctus/core';

/** What columns of a bank’s list are used for. */
export const BANK_USE_WORDS: Readonly<Record<BankUse, string>> = {
  date: $localize`Date`,
  text: $localize`Words`,
  amount: $localize`Amount, money out with a minus`,
  in: $localize`Money in`,
  out: $localize`Money out`,
  currency: $localize`Currency`,
};

/** What is wrong with a cell of a bank’s list. */
export const bankProblemWords = ({ rule, text }: BankProblem): string => {
  switch (rule) {
    case 'missing':
      return $localize`There is no date.`;
    case 'notADate':
      return $localize`“${text}” is no date.`;
    case 'notAnAmount':
      return $localize`“${text}” is no amount.`;
    case 'amountTooLarge':
      return $localize`“${text}” is more than can be counted.`;
    case 'otherCurrency':
      return $localize`The line is in ${text}, and the books are not. Type it as an entry, with its rate.`;
    default:
      return rule satisfies never;
  }
};
