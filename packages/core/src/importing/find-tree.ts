import { nameKey } from '../text/name-key';
import type { ElementOfEntry } from './element-of-entry';
import type { ImportEntry } from './entry';
import type { RowsRead } from './read-rows';
import { parentsByDigits, treeByDigits } from './tree-by-digits';
import { totalled, treeByDepth, treeByTotals } from './tree-by-depth';
import { treeByParent } from './tree-by-parent';
import { sectionsSpeak } from './section-titles';
import { treeBySections } from './tree-by-sections';
import { DASH, separatorOf, treeByPath } from './tree-by-path';
import { unplacedRow, type TreeRow, type TreeSource } from './tree-row';

const distinct = (values: readonly (number | null)[]): number =>
  new Set(values.filter((value) => value !== null)).size;

/** Whether the rows that stand below another one follow it, with nothing between but what stands below it as well; mostly. */
const followTheirLeaders = (parents: readonly (number | null)[]): boolean => {
  const standsBelow = (at: number, leader: number): boolean => {
    for (let up: number | null = at; up !== null; up = parents[up] ?? null)
      if (up === leader) return true;
    return false;
  };
  const follows: boolean[] = [];
  parents.forEach((parent, at) => {
    const unbroken = at - 1 === parent || follows[at - 1] === true;
    follows.push(parent !== null && at > 0 && unbroken && standsBelow(at - 1, parent));
  });
  const led = parents.filter((parent) => parent !== null).length;
  return follows.filter((one) => one).length >= led * 0.5;
};

/** A chart that is listed class after class: all but the classes stand below another account, each class leads, none holds an amount. */
const standInClasses = (
  entries: readonly ImportEntry[],
  parents: readonly (number | null)[],
): boolean => {
  const shortest = Math.min(...entries.map(({ number }) => number?.length ?? Infinity));
  const leaders = new Set(parents);
  return entries.every(({ number, balance }, at) =>
    number?.length === shortest
      ? leaders.has(at) && (balance ?? 0) === 0
      : number === null || parents[at] !== null,
  );
};

/**
 * Numbers of several lengths of which at least half begin with another one. Accounts that are counted through, 1 to 82,
 * are no tree, though 10 begins with 1: there those that begin alike do not stand together.
 */
const digitsSpeak = (entries: readonly ImportEntry[]): boolean => {
  const numbers = entries.flatMap(({ number }) => number ?? []);
  const headed = entries.some(({ role }) => role === 'heading');
  if (numbers.length < entries.length * 0.8 || numbers.length < 3) return false;
  if (distinct(numbers.map(({ length }) => length)) === 1 && !headed) return false;
  const parents = parentsByDigits(
    entries.map(({ number }) => number),
    (at) => !headed || entries[at]?.role === 'heading',
  );
  if (parents.filter((parent) => parent !== null).length < entries.length * 0.5) return false;
  return headed || followTheirLeaders(parents) || standInClasses(entries, parents);
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
  // Titles place more of a list than signs within its names do.
  const titled = sectionsSpeak(entries, { setIn: columns.has('innerBalance') });
  if (separatorOf(entries) !== null) return titled ? 'sections' : 'path';
  if (columns.has('level')) return 'level';
  // A column for parents in which none is named says that all are main accounts.
  if (columns.has('parent')) return 'parent';
  if (indentsSpeak(entries)) return 'indent';
  if (totalsSpeak(read)) return 'totals';
  if (digitsSpeak(entries)) return 'digits';
  return titled ? 'sections' : 'flat';
};

/** Where what rows are has a say in their place: a dash or a title may come before what does not belong to it; else `null`. */
export const placedByElement = (read: RowsRead, source: TreeSource): 'path' | 'sections' | null => {
  if (source === 'path') return separatorOf(read.entries) === DASH ? source : null;
  return source === 'sections' ? source : null;
};

/**
 * The rows of a list in their tree, found from whichever the list has. Rows stay in the order of the
 * list; where paths name a heading that is no row, it is put before the first row below it. By dashes and
 * titles only rows of one element are led; `elementOf` says of which a row clearly is.
 */
export const findTree = (
  read: RowsRead,
  source: TreeSource,
  elementOf: ElementOfEntry = () => null,
): readonly TreeRow[] => {
  const { entries, totals } = read;
  switch (source) {
    case 'parent':
      return treeByParent(entries);
    case 'path':
      return treeByPath(entries, separatorOf(entries) ?? ':', elementOf);
    case 'level':
      return treeByDepth(entries, ({ level }) => level);
    case 'indent':
      return treeByDepth(entries, ({ indent }) => indent);
    case 'totals':
      return treeByTotals(entries, totals);
    case 'digits':
      return treeByDigits(entries);
    case 'sections':
      return treeBySections(read, elementOf);
    case 'flat':
      return entries.map((entry) => ({ ...unplacedRow(entry), stated: false }));
    default:
      return source satisfies never;
  }
};
