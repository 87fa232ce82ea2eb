import type { AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import { eachNode, nodeOf } from '../chart/queries';
import { rollUpOver, type Ledger, type RollUp } from '../ledger/amounts';
import { cashFlowRollUp } from '../ledger/cash-flow';
import { subtract, type Minor } from '../money/minor';
import { buildStatement } from './build';
import { SHEETS } from './fill-sheet';
import { leadsTo } from './section-lines';
import type { SheetCode, SheetRow } from './sheets';
import type { RowKey, StatementOptions } from './statement';
import type { TableBooks } from './table-books';
import { landingRows, type RowsByKey } from './trace';

/** A sheet with one column, as it stands beside the chart. */
export interface ShownSheet {
  readonly code: SheetCode;
  readonly rows: readonly SheetRow[];
}

/** The sheets that stand beside the chart; the chart itself is there already. */
export const SHOWN_SHEETS = [
  'profitAndLoss',
  'balanceSheet',
  'cashFlow',
  'changesInEquity',
  'trialBalance',
] as const satisfies readonly SheetCode[];
export type ShownCode = (typeof SHOWN_SHEETS)[number];

/** Stand-ins for the months of which the amounts are: nothing but which is earlier is asked of them. */
const YEAR = '2000-01';
const BEFORE = '2000-02';
const NOW = '2000-03';

type Amounts = ReturnType<RollUp['amounts']>;

/** What counts with each account, merged and split ones settled, under its own id. */
const ledgerWith = (chart: Chart, rollUp: RollUp, turned: (amounts: Amounts) => Amounts): Ledger =>
  new Map(
    [...eachNode(chart.roots)].map((node) => [node.account.id, turned(rollUp.amounts(node))]),
  );

/** Books of one period alone, told from what its accounts hold and by how much they changed. */
const booksOf = (chart: Chart, rollUp: RollUp): TableBooks => {
  const of = (turned: (amounts: Amounts) => Amounts): Ledger => ledgerWith(chart, rollUp, turned);
  const before = rollUpOver(
    of(({ balance, change }) => ({
      balance: subtract(balance, change),
      change: 0,
      yearChange: 0,
    })),
  );
  const year = rollUpOver(of((amounts) => ({ ...amounts, change: amounts.yearChange })));
  return {
    yearStart: () => YEAR,
    rollUp: ({ first, last }) => (last === BEFORE ? before : first === YEAR ? year : rollUp),
    cashFlow: () => cashFlowRollUp(of((amounts) => amounts)),
    budget: () => rollUp,
    carrying: () => rollUp,
  };
};

const isStandard = (code: ShownCode): code is 'profitAndLoss' | 'balanceSheet' =>
  code === 'profitAndLoss' || code === 'balanceSheet';

/** Of equity what changed, which is what its statement is about. */
const changesBetween = (
  start: readonly SheetRow[],
  end: readonly SheetRow[],
): readonly SheetRow[] =>
  end.map((row, at) => {
    const before = start[at];
    if (!('amount' in row) || row.amount === null || before === undefined) return row;
    return 'amount' in before ? { ...row, amount: subtract(row.amount, before.amount ?? 0) } : row;
  });

/**
 * Any sheet over the amounts of one period, with one column: balances and results as the statements have them, of
 * equity its changes, and the trial balance debit positive, from the start of the fiscal year.
 */
export const shownSheet = (
  code: ShownCode,
  { chart, rollUp }: { readonly chart: Chart; readonly rollUp: RollUp },
  options: StatementOptions,
): ShownSheet => {
  if (isStandard(code)) return buildStatement(code, { chart, rollUp }, options);
  const source = { chart, books: booksOf(chart, rollUp), options };
  const period = { first: NOW, last: NOW };
  const [first, second] = SHEETS[code](source, [{ period, budget: false }]);
  const rows = first?.rows ?? [];
  return { code, rows: second === undefined ? rows : changesBetween(rows, second.rows) };
};

const amountsByKey = ({ rows }: ShownSheet): ReadonlyMap<RowKey, Minor> =>
  new Map(rows.flatMap((row) => ('amount' in row ? [[row.key, row.amount ?? 0] as const] : [])));

/** By how much the rows of a sheet move from one to another; only rows that move. */
export const movedBetween = (
  before: ShownSheet,
  after: ShownSheet,
): Readonly<Record<RowKey, Minor>> => {
  const [former, latter] = [amountsByKey(before), amountsByKey(after)];
  const moved = [...new Set([...former.keys(), ...latter.keys()])].map(
    (key) => [key, subtract(latter.get(key) ?? 0, former.get(key) ?? 0)] as const,
  );
  return Object.fromEntries(moved.filter(([, amount]) => amount !== 0));
};

/** The structure alone decides where an account lands; amounts do not matter here. */
const BY_KIND = rollUpOver(new Map());
const BY_CASH_FLOW = cashFlowRollUp(new Map());

/** The rows of a shown sheet on which a branch lands: `path` leads from its main account down to it. */
export const landingOn = (
  code: SheetCode,
  path: readonly ChartNode[],
  keys: RowsByKey,
): readonly RowKey[] => {
  if (code === 'cashFlow') return landingRows(path, keys, BY_CASH_FLOW);
  if (code !== 'trialBalance') return landingRows(path, keys, BY_KIND);
  const [last] = path.slice(-1);
  const key = `account/${last?.account.id ?? ''}`;
  return keys.has(key) ? [key] : [];
};

/** The accounts that a row of a shown sheet is about: those that count in it, and what stands above them below it. */
export const accountsOn = (code: SheetCode, chart: Chart, key: RowKey): ReadonlySet<AccountId> => {
  const [first = '', second = ''] = key.split('/');
  if (first === 'account') return new Set([second]);
  const isWhole = first === 'sum' || first === 'title';
  const [section, id] = isWhole ? [second, null] : [first, second];
  const top = id === null ? undefined : nodeOf(chart, id);
  if (id !== null && top === undefined) return new Set();
  const rollUp: RollUp<string> = code === 'cashFlow' ? BY_CASH_FLOW : BY_KIND;
  const nodes = [...eachNode(top === undefined ? chart.roots : [top])];
  return new Set(
    nodes.filter((node) => leadsTo(node, section, rollUp)).map(({ account }) => account.id),
  );
};
