import type { KnownList } from '@iunctus/contract';
import type { ColumnReading, KindCode } from '@iunctus/core';

const keyOf = (headings: readonly string[]): string => JSON.stringify(headings).toLowerCase();

const knownOf = (
  { headingLine, headings }: ColumnReading,
  lists: readonly KnownList[],
): KnownList | undefined => {
  const key = keyOf(headings);
  return headingLine === null ? undefined : lists.find((one) => keyOf(one.headings) === key);
};

/** The uses that were chosen for columns with the same headings, else those that were recognized. */
export const usesAsKnown = (reading: ColumnReading, lists: readonly KnownList[]): ColumnReading => {
  const known = knownOf(reading, lists);
  return known === undefined ? reading : { ...reading, uses: known.uses };
};

/** What the words for types meant in a list with the same headings. */
export const typesAsKnown = (
  reading: ColumnReading,
  lists: readonly KnownList[],
): ReadonlyMap<string, KindCode> =>
  new Map(Object.entries(knownOf(reading, lists)?.types ?? {}) as [string, KindCode][]);

/** What is to be known of a list; `null` of one without headings. */
export const knownFrom = (
  { headingLine, headings, uses }: ColumnReading,
  types: ReadonlyMap<string, KindCode>,
): KnownList | null =>
  headingLine === null
    ? null
    : { headings: [...headings], uses: [...uses], types: Object.fromEntries(types) };
