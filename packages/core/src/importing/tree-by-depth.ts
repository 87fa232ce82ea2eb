import { nameKey } from '../text/name-key';
import type { ImportEntry } from './entry';
import { unplacedRow, type TreeRow } from './tree-row';

/** What is taken off an amount stands beside it, however far it is set in: “Shop sales”, “less cost of shop goods”. */
const isTakenOff = ({ name }: ImportEntry, from: ImportEntry | undefined): boolean =>
  /^less\b/i.test(name) && (from?.balance ?? 0) !== 0;

/**
 * Places each row below the nearest shallower row above it, so that a level may be skipped. A row
 * without a depth is as deep as the one above it.
 */
export const treeByDepth = (
  entries: readonly ImportEntry[],
  depthOf: (entry: ImportEntry) => number | null,
): readonly TreeRow[] => {
  const path: { readonly depth: number; readonly at: number }[] = [];
  return entries.map((entry, at) => {
    const last = path.at(-1);
    const beside = last !== undefined && isTakenOff(entry, entries[last.at]);
    const depth = (beside ? last.depth : depthOf(entry)) ?? last?.depth ?? 0;
    while ((path.at(-1)?.depth ?? -1) >= depth) path.pop();
    const parent = path.at(-1)?.at ?? null;
    path.push({ depth, at });
    return { ...unplacedRow(entry), parent };
  });
};

/** The names that lines of totals close: “Total cash and bank”, “Cash and bank, total”. */
export const totalled = (name: string): string =>
  nameKey(
    name.replace(/^(?:sub)?totals?\s*(?:for|of|[-–:])?\s*/i, '').replace(/[,:\s-]*\btotal$/i, ''),
  );

/**
 * Places rows between a heading and the line of its total: “Cash and bank” … “Total cash and bank”.
 * What no line of totals closes stays where it is.
 */
export const treeByTotals = (
  entries: readonly ImportEntry[],
  totals: readonly ImportEntry[],
): readonly TreeRow[] => {
  const parents: (number | null)[] = entries.map(() => null);
  const lastNamed = new Map<string, number>();
  let next = 0;
  const takeUpTo = (line: number): void => {
    for (; next < entries.length && (entries[next]?.line ?? 0) < line; next += 1)
      lastNamed.set(nameKey(entries[next]?.name ?? ''), next);
  };
  for (const { line, name } of totals) {
    takeUpTo(line);
    const closed = totalled(name);
    const heading = closed === '' ? undefined : lastNamed.get(closed);
    if (heading === undefined) continue;
    for (let at = heading + 1; at < next; at += 1) parents[at] ??= heading;
  }
  return entries.map((entry, at) => ({ ...unplacedRow(entry), parent: parents[at] ?? null }));
};
