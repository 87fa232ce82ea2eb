import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { eachNode } from '../chart/queries';
import { statementOf } from '../kinds/kinds';
import { add, negate, type Minor } from '../money/minor';
import type { RollUp } from './amounts';

/** One line of a closing entry; debit-positive. */
export interface ClosingLine {
  readonly accountId: AccountId;
  readonly amount: Minor;
}

/**
 * The entry that closes a fiscal year for whoever wants one: it takes the year's change of every account of the profit and
 * loss back, and brings their sum, the result, to retained earnings. `rollUp` ends with the year. Statements need none:
 * they have the result of themselves. Empty where nothing is to be closed, or no account keeps earnings.
 */
export const closingLines = (chart: Chart, rollUp: RollUp): readonly ClosingLine[] => {
  const nodes = [...eachNode(chart.roots)];
  const keeper = nodes.find(({ account }) => account.systemUse === 'retainedEarnings')?.account;
  if (keeper === undefined) return [];
  const closed = nodes
    .filter(({ account }) => statementOf(account.kind) === 'profitAndLoss')
    .map((node) => ({
      accountId: node.account.id,
      amount: negate(rollUp.amounts(node).yearChange),
    }))
    .filter(({ amount }) => amount !== 0);
  const result = closed.reduce((sum, { amount }) => add(sum, amount), 0);
  if (closed.length === 0) return [];
  return [...closed, ...(result === 0 ? [] : [{ accountId: keeper.id, amount: negate(result) }])];
};
