import { nameKey } from '../text/name-key';
import type { ImportEntry } from './entry';
import { unplacedRow, type TreeRow } from './tree-row';

/** Rows by what a parent column may call them: number, name, or both. */
const byTitle = (entries: readonly ImportEntry[]): ReadonlyMap<string, number> => {
  const index = new Map<string, number>();
  const put = (key: string, at: number): void => void (index.has(key) || index.set(key, at));
  entries.forEach(({ number }, at) => number !== null && put(nameKey(number), at));
  entries.forEach(({ number, name }, at) => {
    put(nameKey(name), at);
    if (number !== null) put(nameKey(`${number} ${name}`), at);
  });
  return index;
};

/** Rows that lead back to themselves by way of their parents. */
const inCircles = (parents: readonly (number | null)[]): ReadonlySet<number> => {
  const state: ('new' | 'open' | 'done')[] = parents.map(() => 'new');
  const circles = new Set<number>();
  for (let start = 0; start < parents.length; start += 1) {
    const path: number[] = [];
    let at: number | null = start;
    while (at !== null && state[at] === 'new') {
      state[at] = 'open';
      path.push(at);
      at = parents[at] ?? null;
    }
    if (at !== null && state[at] === 'open')
      for (const one of path.slice(path.indexOf(at))) circles.add(one);
    for (const one of path) state[one] = 'done';
  }
  return circles;
};

/** A parent's title without what a list may put around it: “1000 · Cash” as “1000 Cash”. */
const plainTitle = (text: string): string => nameKey(text.replace(/\s*[·|–—:-]\s+/, ' '));

/** Places rows below what their parent column names. An account named as its own parent is a main one. */
export const treeByParent = (entries: readonly ImportEntry[]): readonly TreeRow[] => {
  const index = byTitle(entries);
  const found = entries.map(({ parent }, at) => {
    if (parent === null) return null;
    const named = index.get(nameKey(parent)) ?? index.get(plainTitle(parent)) ?? -1;
    return named === at ? null : named;
  });
  const circles = inCircles(found.map((at) => (at === -1 ? null : at)));
  return entries.map((entry, at): TreeRow => {
    const row = unplacedRow(entry);
    const text = entry.parent ?? '';
    if (circles.has(at)) return { ...row, problem: { rule: 'parentCircle', text } };
    const parent = found[at] ?? null;
    return parent === -1
      ? { ...row, problem: { rule: 'parentUnknown', text } }
      : { ...row, parent };
  });
};
