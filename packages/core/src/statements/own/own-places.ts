import type { AccountId } from '../../chart/account';
import type { Chart, ChartNode } from '../../chart/chart';
import { hasPostings, standsFor } from '../../chart/queries';
import { statementOf, sectionOf } from '../../kinds/kinds';
import type { SectionCode } from '../../kinds/caption';
import { leavesOf, type OwnLayout, type OwnLine, type OwnRowId } from './own-layout';

/** Why a layout does not hand over what the books hold. */
export type OwnFault =
  /** Accounts of the statement that stand in no row. */
  | { readonly is: 'missing'; readonly accountId: AccountId }
  /** Accounts that stand in several. */
  | { readonly is: 'twice'; readonly accountId: AccountId; readonly rows: readonly OwnRowId[] }
  /** A balance sheet without the results that are not closed, or with them twice. */
  | { readonly is: 'resultMissing' }
  | { readonly is: 'resultTwice'; readonly rows: readonly OwnRowId[] }
  /** A sum in which a line counts more than once. */
  | { readonly is: 'summedTwice'; readonly row: OwnRowId; readonly counted: OwnRowId };

/** Where the accounts of a chart stand on a layout. */
export interface OwnPlaces {
  /** The rows in which each posting account of the statement counts. */
  readonly rowsOf: ReadonlyMap<AccountId, readonly OwnRowId[]>;
  /** The accounts that each line names, as they are now: what was merged by what it was merged into. */
  readonly named: ReadonlyMap<OwnRowId, readonly AccountId[]>;
  readonly faults: readonly OwnFault[];
}

const NONE: readonly OwnRowId[] = [];

const linesOf = ({ rows }: OwnLayout): readonly OwnLine[] =>
  rows.flatMap((row) => (row.type === 'line' ? row : []));

/**
 * What a line names, once each, accounts that are gone left out. What was merged is named by what it was merged into,
 * unless a line names that by itself.
 */
const namedBy = (
  chart: Chart,
  { accounts }: OwnLine,
  directly: ReadonlySet<AccountId>,
): readonly AccountId[] => {
  const there = accounts.flatMap((id): readonly AccountId[] => {
    const now = standsFor(chart, id);
    return now === null || (now !== id && directly.has(now)) ? [] : [now];
  });
  return [...new Set(there)];
};

interface Named {
  readonly id: OwnRowId;
  readonly section: SectionCode | null;
}

/** The lines that name each account. */
const byAccount = (
  layout: OwnLayout,
  named: ReadonlyMap<OwnRowId, readonly AccountId[]>,
): ReadonlyMap<AccountId, readonly Named[]> => {
  const found = new Map<AccountId, Named[]>();
  for (const { id, section } of linesOf(layout))
    for (const account of named.get(id) ?? [])
      found.set(account, [...(found.get(account) ?? []), { id, section }]);
  return found;
};

/** Puts every posting account of the statement into the rows of the nearest account above it that a line names. */
const placed = (
  chart: Chart,
  layout: OwnLayout,
  named: ReadonlyMap<OwnRowId, readonly AccountId[]>,
): Map<AccountId, readonly OwnRowId[]> => {
  const naming = byAccount(layout, named);
  const rests = new Map<SectionCode, OwnRowId[]>();
  for (const row of layout.rows)
    if (row.type === 'rest') rests.set(row.section, [...(rests.get(row.section) ?? []), row.id]);
  const rowsOf = new Map<AccountId, readonly OwnRowId[]>();
  const walk = (node: ChartNode, above: readonly (readonly Named[])[]): void => {
    const own = naming.get(node.account.id);
    const path = own === undefined ? above : [own, ...above];
    const section = sectionOf(node.account.kind);
    if (
      section !== null &&
      node.account.role === 'posting' &&
      statementOf(node.account.kind) === layout.statement
    ) {
      const lines = path
        .map((names) => names.filter((one) => one.section === null || one.section === section))
        .find((names) => names.length > 0);
      rowsOf.set(node.account.id, lines?.map(({ id }) => id) ?? rests.get(section) ?? NONE);
    }
    for (const child of node.children) walk(child, path);
  };
  for (const root of chart.roots) walk(root, []);
  return rowsOf;
};

const accountFaults = (
  chart: Chart,
  rowsOf: ReadonlyMap<AccountId, readonly OwnRowId[]>,
): readonly OwnFault[] => {
  const faults: OwnFault[] = [];
  const look = (node: ChartNode): void => {
    const accountId = node.account.id;
    const rows = rowsOf.get(accountId);
    const counts = node.account.retiredOn === null || hasPostings(chart, node);
    if (rows !== undefined && counts) {
      if (rows.length === 0) faults.push({ is: 'missing', accountId });
      if (rows.length > 1) faults.push({ is: 'twice', accountId, rows });
    }
    node.children.forEach(look);
  };
  chart.roots.forEach(look);
  return faults;
};

const resultFaults = ({ statement, rows }: OwnLayout): readonly OwnFault[] => {
  const results = rows.flatMap((row) => (row.type === 'result' ? row.id : []));
  if (statement === 'profitAndLoss') return [];
  if (results.length === 0) return [{ is: 'resultMissing' }];
  return results.length > 1 ? [{ is: 'resultTwice', rows: results }] : [];
};

const sumFaults = ({ rows }: OwnLayout): readonly OwnFault[] =>
  rows.flatMap((row): readonly OwnFault[] => {
    if (row.type !== 'sum') return [];
    const leaves = leavesOf(rows, row.id);
    const counted = leaves.find((id, at) => leaves.indexOf(id) !== at);
    return counted === undefined ? [] : [{ is: 'summedTwice', row: row.id, counted }];
  });

/**
 * Where accounts stand on a layout, and what keeps it from being complete. A layout follows the chart: what is added below
 * a named account counts with it, what is merged with what it was merged into, and what gets another kind leaves a line
 * of one section.
 */
export const ownPlaces = (chart: Chart, layout: OwnLayout): OwnPlaces => {
  const lines = linesOf(layout);
  const directly = new Set(lines.flatMap(({ accounts }) => accounts));
  const named = new Map(lines.map((line) => [line.id, namedBy(chart, line, directly)] as const));
  const rowsOf = placed(chart, layout, named);
  return {
    rowsOf,
    named,
    faults: [...accountFaults(chart, rowsOf), ...resultFaults(layout), ...sumFaults(layout)],
  };
};
