import { addMonths, type Minor, type Month, type RowKey } from '@iunctus/core';

/** How many months pictures go back, the last one included. */
export const MONTHS = 12;
/** A figure at the head of the page, and what it was a year before. */
export interface KeyFigure {
  readonly key: RowKey;
  readonly words: string;
  readonly amount: Minor;
  readonly before: Minor;
}

/** The months that end with one. */
export const monthsTo = (last: Month): readonly Month[] =>
  Array.from({ length: MONTHS }, (_month, at) => addMonths(last, at + 1 - MONTHS));
