import { nameKey } from '../text/name-key';
import type { ImportEntry } from './entry';
import type { RowsRead } from './read-rows';
import { parentsByDigits, treeByDigits } from './tree-by-digits';
import { totalled, treeByDepth, treeByTotals } from './tree-by-depth';
import { treeByParent } from './tree-by-parent';
import { separatorOf, treeByPath } from './tree-by-path';
import { unplacedRow, type TreeRow, type TreeSource } from './tree-row';

const distinct = (values: readonly (number | null)[]): number =>
  new Set(values.filter((value) => value !== null)).size;

/** Numbers of several lengths of which at least half begin with another one. */
const digitsSpeak = (entries: readonly ImportEntry[]): boolean => {
  const numbers = entries.flatMap(({ number }) => number ?? []);
  const headed = entries.some(({ role }) => role === 'heading');
  if (numbers.length < entries.length * 0.8 || numbers.length < 3) return false;
  if (distinct(numbers.map(({ length }) => length)) === 1 && !headed) return false;
  const parents = parentsByDigits(
    entries.map(({ number }) => number),
    (at) => !headed || entries[at]?.role === 'heading',
  );
  return parents.filter((parent) => parent !== null).length >= entries.length * 0.5;
};

/** Of a long list more than a handful: three lines that somebody pushed in make no tree of it. */
const HANDFUL = 3;
const indentsSpeak = (entries: readonly ImportEntry[]): boolean => {
  const indents = entries.map(({ indent }) => indent ?? 0);
  const least = Math.min(...indents);
  const pushedIn = indents.filter((indent) => indent > least).length;
  return pushedIn > (entries.length > HANDFUL * 5 ? HANDFUL : 0);
};

const totalsSpeak = ({ entries, totals }: RowsRead): boolean => {
  const names = new Set(entries.map(({ name }) => nameKey(name)));
  return totals.some(({ name }) => totalled(name) !== '' && names.has(totalled(name)));
};

/** From what the tree of a list is best found. */
export const treeSourceOf = (read: RowsRead): TreeSource => {
  const { entries, columns } = read;
  if (entries.some(({ parent }) => parent !== null)) return 'parent';
  if (separatorOf(entries) !== null) return 'path';
  if (columns.has('level')) return 'level';
  // A column for parents in which none is named says that all are main accounts.
  if (columns.has('parent')) return 'parent';
  if (indentsSpeak(entries)) return 'indent';
  if (totalsSpeak(read)) return 'totals';
  return digitsSpeak(entries) ? 'digits' : 'flat';
};

/**
 * The rows of a list in their tree, found from whichever the list has. Rows stay in the order of the
 * list; where paths name a heading that is no row, it is put before the first row below it.
 */
export const findTree = (read: RowsRead, source: TreeSource): readonly TreeRow[] => {
  const { entries, totals } = read;
  switch (source) {
    case 'parent':
      return treeByParent(entries);
    case 'path':
      return treeByPath(entries, separatorOf(entries) ?? ':');
    case 'level':
      return treeByDepth(entries, ({ level }) => level);
    case 'indent':
      return treeByDepth(entries, ({ indent }) => indent);
    case 'totals':
      return treeByTotals(entries, totals);
    case 'digits':
      return treeByDigits(entries);
    case 'flat':
      return entries.map((entry) => ({ ...unplacedRow(entry), stated: false }));
    default:
      return source satisfies never;
  }
};
