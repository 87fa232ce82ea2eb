import type { Chart, ChartNode } from '../chart/chart';
import { eachNode } from '../chart/queries';
import { statementOf } from '../kinds/kinds';
import type { ChartUse } from '../ledger/chart-use';
import { add, type Minor } from '../money/minor';

/** Accounts that take postings and are open to new ones. */
export const openAccounts = (chart: Chart): readonly ChartNode[] =>
  [...eachNode(chart.roots)].filter(
    ({ account }) => account.role === 'posting' && account.retiredOn === null,
  );

const YEAR = 12;

/** What was posted to an account in the last twelve months; debit positive. */
export const ofYear = (use: ChartUse, node: ChartNode): Minor =>
  use.of(node).months.slice(-YEAR).reduce(add, 0);

/** The same of the twelve months before. */
export const ofYearBefore = (use: ChartUse, node: ChartNode): Minor =>
  use.of(node).months.slice(0, -YEAR).reduce(add, 0);

/** What an account holds, or what was posted to it in a year, as a plain amount. */
export const atStake = (use: ChartUse | null, node: ChartNode): Minor => {
  if (use === null) return 0;
  const isBalance = statementOf(node.account.kind) !== 'profitAndLoss';
  return Math.abs(isBalance ? use.of(node).balance : ofYear(use, node));
};
