import type { Element } from '../kinds/element';
import type { ImportEntry } from './entry';

/** Of which element a row clearly is; `null` where nothing is clear. */
export type ElementOfEntry = (entry: ImportEntry) => Element | null;

/** The element that most of the rows clearly are of. */
export const mostOf = (
  entries: readonly ImportEntry[],
  elementOf: ElementOfEntry,
): Element | null => {
  const counts = new Map<Element, number>();
  for (const entry of entries) {
    const element = elementOf(entry);
    if (element !== null) counts.set(element, (counts.get(element) ?? 0) + 1);
  }
  return [...counts].sort(([, a], [, b]) => b - a)[0]?.[0] ?? null;
};
