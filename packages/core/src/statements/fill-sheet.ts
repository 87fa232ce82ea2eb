import type { Chart, ChartNode } from '../chart/chart';
import { eachNode } from '../chart/queries';
import { addMonths } from '../dates/month';
import type { Period } from '../dates/period';
import { statementOf } from '../kinds/kinds';
import { chartResults, sectionAmounts, shownAmount, type RollUp } from '../ledger/amounts';
import { isBalanced } from '../ledger/balanced';
import { cashFlowAmounts, cashHeld } from '../ledger/cash-flow';
import { trialBalance } from '../ledger/trial-balance';
import { negate, sum, type Minor } from '../money/minor';
import { buildStatement, holdsIn, laidOutSource, layOut } from './build';
import { CASH_FLOW } from './definitions/cash-flow';
import { CHANGES_IN_EQUITY } from './definitions/changes-in-equity';
import { fillOwnRows } from './own/own-rows';
import type { OwnLayout } from './own/own-layout';
import { ownPlaces } from './own/own-places';
import type { SheetCode, SheetRow } from './sheets';
import type { StatementOptions } from './statement';
import type { CarriedValues, TableBooks } from './table-books';

/** Amounts that stand in a column: of a period, posted or expected. */
export interface FilledColumn {
  readonly period: Period;
  readonly budget: boolean;
  /** Some values of a dimension alone, or all without them. */
  readonly carrying?: CarriedValues;
}

/** The rows of one column, in the order of those of all others, and whether they agree with the trial balance. */
export interface Filled {
  readonly rows: readonly SheetRow[];
  readonly agrees: boolean;
  /** Of what others are shares, where no row says it. */
  readonly whole?: Minor;
}

/** What a sheet is filled from. */
export interface SheetSource {
  readonly chart: Chart;
  readonly books: TableBooks;
  readonly options: StatementOptions;
}

/** How a sheet is filled, a column each. */
export type Fill = (source: SheetSource, columns: readonly FilledColumn[]) => readonly Filled[];

/** The result of a period as the postings have it, credit positive. */
const resultPosted = (chart: Chart, rollUp: RollUp): Minor =>
  negate(
    sum(
      [...eachNode(chart.roots)]
        .filter(({ account }) => statementOf(account.kind) === 'profitAndLoss')
        .map((node) => rollUp.amounts(node).change),
    ),
  );

const rollUpsOf = (
  { chart, books }: SheetSource,
  columns: readonly FilledColumn[],
): readonly RollUp[] =>
  columns.map(({ period, budget, carrying }) => {
    if (carrying !== undefined) return books.carrying(carrying, period);
    return budget ? books.budget(chart, period) : books.rollUp(period);
  });

/** What is expected, and what carries one value, need not balance by itself: the whole beside it does. */
const standsForItself = (column: FilledColumn | undefined): boolean =>
  column?.budget === true || column?.carrying !== undefined;

const fillStandard =
  (code: 'profitAndLoss' | 'balanceSheet'): Fill =>
  (source, columns) => {
    const { chart, options } = source;
    const rollUps = rollUpsOf(source, columns);
    return rollUps.map((rollUp, at) => {
      const { rows } = buildStatement(code, { chart, rollUp, beside: rollUps }, options);
      const [last] = rows.slice(-1);
      const agrees =
        code === 'balanceSheet'
          ? isBalanced(chart, rollUp)
          : last?.type === 'total' && last.amount === resultPosted(chart, rollUp);
      return { rows, agrees: standsForItself(columns[at]) || agrees };
    });
  };

const fillCashFlow: Fill = ({ chart, books, options }, columns) => {
  const rollUps = columns.map(({ period }) => books.cashFlow(period));
  const holds = holdsIn(rollUps);
  return rollUps.map((rollUp) => {
    const amounts = cashFlowAmounts(chart, rollUp);
    const rows = layOut(CASH_FLOW, { chart, rollUp, amounts, holds }, options);
    const [last] = rows.slice(-1);
    const agrees = last?.type === 'total' && last.amount === cashHeld(chart, rollUp).end;
    return { rows, agrees };
  });
};

const upTo = ({ first }: Period): Period => {
  const last = addMonths(first, -1);
  return { first: last, last };
};

/** Equity at the start and at the end of a period; what is closed between two years is one row with what is not. */
const fillEquity: Fill = ({ chart, books, options }, columns) => {
  const ends = columns.flatMap(({ period }) => [upTo(period), period]);
  const rollUps = ends.map((period) => books.rollUp(period));
  return rollUps.map((rollUp) => {
    const source = laidOutSource({ chart, rollUp, beside: rollUps });
    const of = chartResults(chart, rollUp);
    const results = { section: 'equity', of, shown: ['allYears'] } as const;
    const rows = layOut(CHANGES_IN_EQUITY, { ...source, results }, options);
    const equity = negate(sectionAmounts(chart, rollUp).get('equity') ?? 0);
    const [last] = rows.slice(-1);
    const total = last?.type === 'sectionTotal' ? last.amount : 0;
    return { rows, agrees: total === equity && isBalanced(chart, rollUp) };
  });
};

/** Every account that takes postings with its balance; where none takes the results of closed years, they stand below. */
const fillTrialBalance: Fill = ({ chart, books, options }, columns) => {
  const nodes = [...eachNode(chart.roots)].filter(({ account }) => account.role === 'posting');
  const hasRetained = nodes.some(({ account }) => account.systemUse === 'retainedEarnings');
  const balances = columns.map(({ period }) => {
    const rollUp = books.rollUp({ first: books.yearStart(period), last: period.last });
    return { of: trialBalance(chart, rollUp, false), results: chartResults(chart, rollUp) };
  });
  const shown = nodes.filter(
    ({ account: { id, kind, retiredOn } }) =>
      statementOf(kind) !== null &&
      (balances.some(({ of }) => (of.get(id) ?? 0) !== 0) ||
        (options.zeroLines && retiredOn === null)),
  );
  const earlier = !hasRetained && balances.some(({ results }) => results.earlierYears !== 0);
  return balances.map(({ of, results }) => {
    const rows: SheetRow[] = shown.map(({ account: { id, number, name } }) => ({
      type: 'account',
      key: `account/${id}`,
      accountId: id,
      number,
      name,
      amount: of.get(id) ?? 0,
      level: 0,
      heading: false,
    }));
    const amount = negate(results.earlierYears);
    if (earlier)
      rows.push({ type: 'result', key: 'result/earlierYears', code: 'earlierYears', amount });
    const left = sum(rows.map((row) => ('amount' in row ? (row.amount ?? 0) : 0)));
    rows.push({
      type: 'total',
      key: 'total/allBalances',
      code: 'allBalances',
      amount: left,
      final: true,
    });
    return { rows, agrees: left === 0 };
  });
};

const WHOLES = {
  profitAndLoss: ['revenue'],
  balanceSheet: ['currentAssets', 'nonCurrentAssets'],
} as const;

/** A statement as its client laid it out. It agrees where its lines come to what the trial balance holds. */
export const fillOwn =
  (layout: OwnLayout): Fill =>
  (source, columns) => {
    const { chart, options } = source;
    const rollUps = rollUpsOf(source, columns);
    const places = ownPlaces(chart, layout);
    return fillOwnRows({ chart, layout, places, options, rollUps }).map(({ rows, whole }, at) => {
      const rollUp = rollUps[at];
      if (rollUp === undefined) return { rows, agrees: false };
      const ofSections = sectionAmounts(chart, rollUp);
      const of = WHOLES[layout.statement].map((section) => ofSections.get(section) ?? 0);
      const posted = layout.statement === 'balanceSheet' ? 0 : negate(resultPosted(chart, rollUp));
      const agrees = standsForItself(columns[at]) || whole === posted;
      return { rows, agrees: agrees && places.faults.length === 0, whole: sum(of) };
    });
  };

/** The chart itself: every account under its heading, with what it comes to as it is read for its kind. */
const fillChartReport: Fill = ({ chart, books, options }, columns) => {
  const rollUps = columns.map(({ period }) => books.rollUp(period));
  const holds = (node: ChartNode): boolean => rollUps.some((rollUp) => rollUp.total(node) !== 0);
  const shown: { readonly node: ChartNode; readonly level: number }[] = [];
  const walk = (node: ChartNode, level: number): void => {
    const isLive = options.zeroLines && node.account.retiredOn === null;
    if (level >= options.depth || !(isLive || holds(node) || node.children.some(holds))) return;
    shown.push({ node, level });
    for (const child of node.children) walk(child, level + 1);
  };
  for (const root of chart.roots) walk(root, 0);
  return rollUps.map((rollUp) => ({
    agrees: isBalanced(chart, rollUp),
    rows: shown.map(({ node, level }) => {
      const { id, number, name, kind, role } = node.account;
      return {
        type: 'account',
        key: `account/${id}`,
        accountId: id,
        number,
        name,
        amount: shownAmount(kind, rollUp.total(node)),
        level,
        heading: role === 'heading',
      };
    }),
  }));
};

/** How each sheet is filled: a row each. Columns of changes in equity come in pairs, the start and the end of each period. */
export const SHEETS: Readonly<Record<SheetCode, Fill>> = {
  profitAndLoss: fillStandard('profitAndLoss'),
  balanceSheet: fillStandard('balanceSheet'),
  cashFlow: fillCashFlow,
  changesInEquity: fillEquity,
  trialBalance: fillTrialBalance,
  chartReport: fillChartReport,
};
