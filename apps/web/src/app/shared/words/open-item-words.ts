import type { ItemProblem, ItemUse } from '@iunctus/core';

/** What columns of a list of open items are used for. */
export const ITEM_USE_WORDS: Readonly<Record<ItemUse, string>> = {
  party: $localize`Customer or supplier`,
  reference: $localize`Invoice`,
  date: $localize`Date of the invoice`,
  amount: $localize`Amount, credits with a minus`,
  paid: $localize`Paid or credited`,
};

/** What is wrong with a cell of a list of open items. */
export const itemProblemWords = ({ rule, text }: ItemProblem): string => {
  switch (rule) {
    case 'missing':
      return $localize`Nobody is named whose item it is.`;
    case 'notADate':
      return $localize`“${text}” is no date.`;
    case 'notAnAmount':
      return $localize`“${text}” is no amount.`;
    case 'amountTooLarge':
      return $localize`“${text}” is more than can be counted.`;
    case 'textTooLong':
      return $localize`That is longer than can be kept.`;
    default:
      return rule satisfies never;
  }
};
