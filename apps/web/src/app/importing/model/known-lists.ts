import { headingsKey, type KnownList } from '@iunctus/contract';
import type { ColumnReading, KindCode } from '@iunctus/core';

const knownAs = (
  { headingLine, headings }: ColumnReading,
  lists: readonly KnownList[],
): readonly KnownList[] => {
  const key = headingsKey(headings);
  return headingLine === null ? [] : lists.filter((one) => headingsKey(one.headings) === key);
};

/** The uses that were chosen last for columns with the same headings, else those that were recognized. */
export const usesAsKnown = (reading: ColumnReading, lists: readonly KnownList[]): ColumnReading => {
  const [known] = knownAs(reading, lists);
  return known === undefined ? reading : { ...reading, uses: known.uses };
};

/** What the words for types meant in a list of the same client with the same headings. */
export const typesAsKnown = (
  reading: ColumnReading,
  lists: readonly KnownList[],
  clientId: string | undefined,
): ReadonlyMap<string, KindCode> => {
  const own = knownAs(reading, lists).find((one) => one.clientId === clientId);
  return new Map(Object.entries<KindCode>(own?.types ?? {}));
};

/** What is to be known of a list; `null` of one without headings. */
export const knownFrom = (
  { headingLine, headings, uses }: ColumnReading,
  types: ReadonlyMap<string, KindCode>,
  clientId: string,
): KnownList | null =>
  headingLine === null
    ? null
    : { clientId, headings: [...headings], uses: [...uses], types: Object.fromEntries(types) };
