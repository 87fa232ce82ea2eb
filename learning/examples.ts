import {
  composeStartingChart,
  COUNTRIES,
  elementOf,
  INDUSTRY_CODES,
  legalFormsIn,
  recognizeColumns,
  type Element,
} from '@iunctus/core';
import { answersAll, PUBLISHED_NAMES } from '@iunctus/core/testing';
import { liftBands } from '../packages/core/src/importing/bands';
import type { ImportEntry } from '../packages/core/src/importing/entry';
import { findTree, treeSourceOf } from '../packages/core/src/importing/find-tree';
import { sectionEnds } from '../packages/core/src/importing/result-lines';
import { readRows } from '../packages/core/src/importing/read-rows';
import { saidRows } from '../packages/core/src/importing/said-rows';
import type { TreeRow } from '../packages/core/src/importing/tree-row';
import type { RowSaid } from '../packages/core/src/matching/learned/row-features';
import { readCommonNames } from './common-names';
import type { Label, LabelledList } from './labelled-lists';
import type { Example } from './train-rows';

/** A list as the import reads it, with what is right of each row. */
export interface ReadList {
  readonly name: string;
  readonly rows: readonly RowSaid[];
  readonly tree: readonly TreeRow[];
  /** `null` for a row that nobody labelled. */
  readonly labels: readonly (Label | null)[];
}

/** Of which element a row is said to be. */
const elementSaid =
  ({ labels }: LabelledList) =>
  ({ line }: ImportEntry): Element | null => {
    const [kind] = labels.get(line)?.kinds ?? [];
    return kind === undefined ? null : elementOf(kind);
  };

/** A labelled list as the import reads it; a dash joins what is of one element. */
export const readList = (list: LabelledList): ReadList => {
  const columns = recognizeColumns(list.rows);
  const request = {
    columns,
    currency: 'USD',
    today: '2026-01-01',
    mended: new Map(),
    types: new Map(),
  };
  const read = readRows(list.rows, request);
  const placed = findTree(read, treeSourceOf(read), elementSaid(list));
  const { rows: tree, under } = liftBands(placed, sectionEnds(read.totals));
  const labels = tree.map(({ made, entry }) =>
    made ? null : (list.labels.get(entry.line) ?? null),
  );
  return { name: list.name, rows: saidRows(tree, under), tree, labels };
};

/** A row of which only the name is known, and perhaps a name above it. */
const rowCalled = (name: string, ...above: readonly string[]): RowSaid => ({
  name,
  above,
  type: '',
  number: null,
  balance: 0,
  leads: false,
});

/** Published names, each a row of which only the name is known. */
export const publishedRows = (): readonly {
  readonly row: RowSaid;
  readonly kinds: Label['kinds'];
}[] =>
  PUBLISHED_NAMES.flatMap(({ names }) =>
    names.map(([name, ...kinds]) => ({ row: rowCalled(name), kinds })),
  );

/** Names that are common in the trade, each a row of which only the name is known. */
export const commonRows = (): ReturnType<typeof publishedRows> =>
  readCommonNames().map(({ name, kind }) => ({ row: rowCalled(name), kinds: [kind] }));

/** The accounts of all starting charts in the words of all countries, each once, below the name of its group. */
export const startingRows = (): ReturnType<typeof publishedRows> => {
  const found = new Map<string, ReturnType<typeof publishedRows>[number]>();
  for (const country of COUNTRIES)
    for (const industry of INDUSTRY_CODES)
      for (const legalForm of legalFormsIn(country))
        for (const group of composeStartingChart({
          industry,
          legalForm,
          country,
          answers: answersAll(true),
        }))
          for (const { name, kind } of group.accounts)
            found.set(`${name} ${kind}`, { row: rowCalled(name, group.name), kinds: [kind] });
  return [...found.values()];
};

/** The labelled rows of a list; headings teach less. */
export const examplesOf = (list: ReadList): readonly Example[] =>
  list.rows.flatMap((row, at) => {
    const label = list.labels[at];
    return label == null || label.kinds.length === 0
      ? []
      : [{ row, kinds: label.kinds, weight: label.heading ? 0.5 : 1 }];
  });
