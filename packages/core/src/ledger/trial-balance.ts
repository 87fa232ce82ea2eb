import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { eachNode } from '../chart/queries';
import { statementOf } from '../kinds/kinds';
import { add, negate, type Minor } from '../money/minor';
import type { RollUp } from './amounts';

/**
 * What every account stands at, debit positive: balance sheet accounts with their balance, profit and loss
 * accounts with the change of the fiscal year, and the account for the results of closed years with those
 * that no entry has closed. `rollUp` is over a fiscal year up to the day; `closed` says that the year is
 * over, so that its result too is one of closed years. Law: with such an account the balances sum to zero.
 */
export const trialBalance = (
  chart: Chart,
  rollUp: RollUp,
  closed: boolean,
): ReadonlyMap<AccountId, Minor> => {
  const balances = new Map<AccountId, Minor>();
  let results = 0;
  for (const root of chart.roots) {
    const { earlierYears, thisYear } = rollUp.results(root);
    results = add(results, closed ? add(earlierYears, thisYear) : earlierYears);
  }
  for (const node of eachNode(chart.roots)) {
    const { id, kind, systemUse } = node.account;
    const nothing = closed && statementOf(kind) === 'profitAndLoss';
    const own = nothing ? 0 : rollUp.own(node);
    balances.set(id, systemUse === 'retainedEarnings' ? add(own, negate(results)) : own);
  }
  return balances;
};
