import type { Chart, ChartNode } from '../chart/chart';
import { eachNode } from '../chart/queries';
import { elementOf } from '../kinds/kinds';
import { chartResults, type RollUp } from '../ledger/amounts';
import { add, negate, subtract, type Minor } from '../money/minor';

/** What a return reckons from the whole chart, each as the form reads it, in minor units. */
export interface Reckoned {
  readonly stockAtStart: Minor;
  readonly stockAtEnd: Minor;
  /** Results of the years that no entry has closed, this one included: a profit is positive. */
  readonly openResults: Minor;
  readonly capitalAtStart: Minor;
  readonly resultOfYear: Minor;
  readonly capitalAtEnd: Minor;
}

const sumOf = (nodes: readonly ChartNode[], amount: (node: ChartNode) => Minor): Minor =>
  nodes.reduce((sum, node) => add(sum, amount(node)), 0);

/**
 * Stock and capital of the year over which the roll-up is. Law: the capital at the start, the result, and what
 * owners put in less what they took out make the capital at the end.
 */
export const reckonedOf = (chart: Chart, rollUp: RollUp): Reckoned => {
  const nodes = [...eachNode(chart.roots)];
  const stock = nodes.filter(({ account }) => account.kind === 'inventory');
  const equity = nodes.filter(({ account }) => elementOf(account.kind) === 'equity');
  const atEnd = (node: ChartNode): Minor => rollUp.amounts(node).balance;
  const atStart = (node: ChartNode): Minor =>
    subtract(atEnd(node), rollUp.amounts(node).yearChange);
  const { earlierYears, thisYear } = chartResults(chart, rollUp);
  return {
    stockAtStart: sumOf(stock, atStart),
    stockAtEnd: sumOf(stock, atEnd),
    openResults: add(earlierYears, thisYear),
    capitalAtStart: add(negate(sumOf(equity, atStart)), earlierYears),
    resultOfYear: thisYear,
    capitalAtEnd: add(negate(sumOf(equity, atEnd)), add(earlierYears, thisYear)),
  };
};
