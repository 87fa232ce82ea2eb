import type { Chart } from '../chart/chart';
import { fiscalYearStart, type Month } from '../dates/month';
import type { Period } from '../dates/period';
import {
  ledgerOf,
  rollUpOver,
  type AmountsTuple,
  type Ledger,
  type RollUp,
} from '../ledger/amounts';
import { budgetsWithin } from '../ledger/budgets';
import { cashFlowRollUp, type CashFlowSection } from '../ledger/cash-flow';
import { amountsWithin, summedMonths, type MonthlyAmounts } from '../ledger/monthly';
import { openingAmounts, type PlannedOpening } from '../ledger/pending-openings';

/** The books by period, each roll-up kept: after an edit of the chart only what it touched is computed again. */
export interface TableBooks {
  /** The first month of the fiscal year in which a period ends. */
  yearStart(period: Period): Month;
  rollUp(period: Period): RollUp;
  cashFlow(period: Period): RollUp<CashFlowSection>;
  budget(chart: Chart, period: Period): RollUp;
}

const kept = <V>(compute: (period: Period) => V): ((period: Period) => V) => {
  const known = new Map<string, V>();
  return (period) => {
    const key = `${period.first} ${period.last}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    const value = compute(period);
    known.set(key, value);
    return value;
  };
};

/** Books over amounts by month, with what planned openings add to them. `startsIn` is the month (1–12) of the fiscal year. */
export const tableBooks = (
  monthly: MonthlyAmounts,
  startsIn: number,
  planned: readonly PlannedOpening[] = [],
): TableBooks => {
  const summed = summedMonths(monthly);
  const ledger = kept((period): Ledger => {
    const amounts: readonly AmountsTuple[] = amountsWithin(summed, period, startsIn);
    return ledgerOf([...amounts, ...openingAmounts(planned, period, startsIn)]);
  });
  return {
    yearStart: ({ last }) => fiscalYearStart(last, startsIn),
    rollUp: kept((period) => rollUpOver(ledger(period))),
    cashFlow: kept((period) => cashFlowRollUp(ledger(period))),
    budget: (chart, period) => rollUpOver(ledgerOf(budgetsWithin(chart, period, startsIn))),
  };
};
