import type { Chart } from '../chart/chart';
import { childrenByPlace } from '../collections/children-by-place';
import { bandOf } from '../kinds/band';
import type { Element } from '../kinds/element';
import { amountSidesOf, type AmountSides } from './amount-sides';
import { liftBands } from './bands';
import { elementsByName } from './elements-by-name';
import type { Mended } from './entry';
import { findTree, placedByElement, treeSourceOf } from './find-tree';
import type { ImportRequest } from './import-request';
import { readRows, type RowsRead } from './read-rows';
import { sectionEnds } from './result-lines';
import { withoutRolledUp } from './rolled-up';
import { elementOfTitle } from './section-titles';
import type { TreeRow, TreeSource } from './tree-row';

const treeOf = (
  chart: Chart,
  read: RowsRead,
  request: ImportRequest & { readonly treeSource: TreeSource; readonly sides: AmountSides },
): readonly TreeRow[] => {
  const source = placedByElement(read, request.treeSource);
  if (source === null) return findTree(read, request.treeSource);
  return findTree(read, source, elementsByName(chart, read.entries, { ...request, source }));
};

const withoutAlone = (
  rows: readonly TreeRow[],
  mended: ReadonlyMap<number, Mended>,
): readonly TreeRow[] =>
  rows.map((row) => {
    const alone = !row.made && mended.get(row.entry.line)?.alone === true;
    return alone ? { ...row, parent: null, problem: null, stated: true } : row;
  });

/** Parents before what is below them, in the order of the list; what hangs in a circle comes last. */
const inTreeOrder = (rows: readonly TreeRow[]): readonly number[] => {
  const children = childrenByPlace(rows);
  const order: number[] = [];
  const visit = (at: number): void => {
    order.push(at);
    children[at]?.forEach(visit);
  };
  rows.forEach(({ parent }, at) => parent === null && visit(at));
  const seen = new Set(order);
  return [...order, ...rows.flatMap((_row, at) => (seen.has(at) ? [] : [at]))];
};

/** The elements that main rows bear in their names: the titles of sections, and single lines of a printed statement. */
const underOwnNames = (
  rows: readonly TreeRow[],
  { titled, printed }: { readonly titled: boolean; readonly printed: boolean },
): ReadonlyMap<number, Element> => {
  const children = childrenByPlace(rows);
  const elementOfRow = ({ entry, parent }: TreeRow, at: number): Element | null => {
    const leads = (children[at]?.length ?? 0) > 0;
    if (parent !== null || !(printed || (leads && titled))) return null;
    return leads ? elementOfTitle(entry.name) : bandOf(entry.name);
  };
  return new Map(
    rows.flatMap((row, at): [number, Element][] => {
      const element = elementOfRow(row, at);
      return element === null ? [] : [[at, element]];
    }),
  );
};

/** The elements of main rows that amounts around them tell. */
const byAmounts = (
  rows: readonly TreeRow[],
  { elements }: RowsRead['yearEnds'],
): ReadonlyMap<number, Element> =>
  new Map(
    rows.flatMap(({ entry, parent }, at): [number, Element][] => {
      const element = parent === null ? elements.get(entry.line) : undefined;
      return element === undefined ? [] : [[at, element]];
    }),
  );

/** A list read, each row in its place. */
export interface ListInPlaces {
  readonly read: RowsRead;
  readonly treeSource: TreeSource;
  /** How its amounts are meant by what the user says or the list. */
  readonly heard: AmountSides;
  readonly rows: readonly TreeRow[];
  /** Parents before what is below them. */
  readonly order: readonly number[];
  /** Rows that only name an element. */
  readonly bands: ReadonlySet<number>;
  /** The element of main rows where the list names it. */
  readonly under: ReadonlyMap<number, Element>;
}

/** Reads the rows of a list and finds the place of each; `tell` is called once they are read. */
export const listInPlaces = (
  chart: Chart,
  request: ImportRequest,
  tell: () => void,
): ListInPlaces => {
  const read = readRows(request.rows, request);
  tell();
  const treeSource = request.treeSource ?? treeSourceOf(read);
  const heard = request.sides ?? amountSidesOf(read);
  const tree = treeOf(chart, read, { ...request, treeSource, sides: heard });
  const { rows: lifted, bands, under } = liftBands(tree, sectionEnds(read.totals));
  const alone = withoutAlone(lifted, request.mended);
  const order = inTreeOrder(alone);
  const rows = withoutRolledUp(alone, order);
  const named = underOwnNames(rows, {
    titled: treeSource === 'sections',
    printed: heard === 'usual',
  });
  const summed = byAmounts(rows, read.yearEnds);
  const said = new Map([...named, ...under, ...summed]);
  return { read, treeSource, heard, rows, order, bands, under: said };
};
