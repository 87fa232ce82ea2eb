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
import { negate } from '../money/minor';
import { openingAmounts, type PlannedOpening } from '../ledger/pending-openings';

/** The books by period, each roll-up kept: after an edit of the chart only what it touched is computed again. */
export interface TableBooks {
  /** The first month of the fiscal year in which a period ends. */
  yearStart(period: Period): Month;
  rollUp(period: Period): RollUp;
  cashFlow(period: Period): RollUp<CashFlowSection>;
  budget(chart: Chart, period: Period): RollUp;
  /** What carries one of some values of a dimension, or the whole without it. */
  carrying(values: CarriedValues, period: Period): RollUp;
}

/** Some values of a dimension: what carries one of them, or everything else. */
export type CarriedValues =
  { readonly only: readonly string[] } | { readonly without: readonly string[] };

/** What was posted with each value of a dimension, month by month. */
export type MonthlyByValue = ReadonlyMap<string, MonthlyAmounts>;

/** What is added to the books that are posted, and how they are told apart. */
export interface MoreBooks {
  /** Openings of a proposal, as if they were posted. */
  readonly planned?: readonly PlannedOpening[];
  readonly byValue?: MonthlyByValue;
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

const turned = ([id, balance, change, yearChange]: AmountsTuple): AmountsTuple => [
  id,
  negate(balance),
  negate(change),
  negate(yearChange),
];

/** Books over amounts by month, with what planned openings add to them. `startsIn` is the month (1–12) of the fiscal year. */
export const tableBooks = (
  monthly: MonthlyAmounts,
  startsIn: number,
  { planned = [], byValue = new Map<string, MonthlyAmounts>() }: MoreBooks = {},
): TableBooks => {
  const values = new Map([...byValue].map(([id, of]) => [id, summedMonths(of)] as const));
  const carried = (valueId: string, period: Period): readonly AmountsTuple[] => {
    const summed = values.get(valueId);
    return summed === undefined ? [] : amountsWithin(summed, period, startsIn);
  };
  const summed = summedMonths(monthly);
  const ledger = kept((period): Ledger => {
    const amounts: readonly AmountsTuple[] = amountsWithin(summed, period, startsIn);
    return ledgerOf([...amounts, ...openingAmounts(planned, period, startsIn)]);
  });
  return {
    yearStart: ({ last }) => fiscalYearStart(last, startsIn),
    rollUp: kept((period) => rollUpOver(ledger(period))),
    cashFlow: kept((period) => cashFlowRollUp(ledger(period))),
    carrying: (which, period) => {
      if ('only' in which)
        return rollUpOver(ledgerOf(which.only.flatMap((one) => carried(one, period))));
      const whole = [...ledger(period)].map(
        ([id, { balance, change, yearChange }]) => [id, balance, change, yearChange] as const,
      );
      const taken = which.without.flatMap((other) => carried(other, period)).map(turned);
      return rollUpOver(ledgerOf([...whole, ...taken]));
    },
    budget: (chart, period) => rollUpOver(ledgerOf(budgetsWithin(chart, period, startsIn))),
  };
};
