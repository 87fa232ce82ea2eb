import type { Chart } from '../chart/chart';
import { recognizeColumns } from '../importing/columns';
import type { ImportPlan } from '../importing/import-plan';
import type { ImportRequest } from '../importing/import-request';
import { planImport } from '../importing/plan-import';
import type { SourceRow } from '../importing/source';
import { applyAll } from '../operations/apply';

/** Rows from lines whose cells stand between bars; white space at a cell's beginning is kept. */
export const aList = (text: string): readonly SourceRow[] =>
  text
    .replace(/^\n|\n\s*$/g, '')
    .split('\n')
    .map((line, index) => ({
      line: index + 1,
      cells: line.split('|').map((cell) => cell.trimEnd()),
    }));

/** A list lined up with a chart, nothing decided but what `more` says; new accounts are new-0, new-1 … */
export const importOf = (
  chart: Chart,
  rows: readonly SourceRow[],
  more: Partial<ImportRequest> = {},
): ImportPlan =>
  planImport(chart, {
    rows,
    columns: recognizeColumns(rows),
    treeSource: null,
    currency: 'USD',
    today: '2026-11-25',
    mended: new Map(),
    types: new Map(),
    answers: new Map(),
    fates: new Map(),
    former: [],
    clashes: null,
    newId: (index) => `new-${index}`,
    ...more,
  });

/** A chart after what a list proposes was adopted; throws where it does not fit. */
export const adopted = (chart: Chart, { operations }: ImportPlan): Chart => {
  const outcome = applyAll(chart, operations);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusal));
  return outcome.chart;
};
