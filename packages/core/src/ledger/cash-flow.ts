import type { Account } from '../chart/account';
import type { Chart } from '../chart/chart';
import { eachNode } from '../chart/queries';
import { statementOf, type KindCode } from '../kinds/kinds';
import { add, negate, subtract, type Minor } from '../money/minor';
import { resolvedSettings } from '../settings/rules';
import { placedAmounts, rollUpPlaced, type Ledger, type Placing, type RollUp } from './amounts';

/** The sections of a cash flow statement by the indirect method; the first and the last have no lines. Source: IAS 7.10 and 7.18 (from memory). */
export type CashFlowSection =
  | 'result'
  | 'adjustments'
  | 'workingCapital'
  | 'investing'
  | 'financing'
  | 'withoutCash'
  | 'cashAtStart';

/** Balances that change by what the result counts without any cash moving. Source: IAS 7.20 (from memory). */
const MOVES_NO_CASH: readonly KindCode[] = [
  'accumulatedDepreciation',
  'accumulatedAmortisation',
  'receivableAllowance',
  'provision',
  'deferredTax',
];

/** What is earned or spent elsewhere than in operations leaves the result and stands there. */
const placedResult = (account: Account, change: Minor): ReturnType<Placing<CashFlowSection>> => {
  const { cashFlow } = resolvedSettings(account);
  if (cashFlow === 'operating' || cashFlow === 'cash') return [];
  const section = cashFlow === 'none' ? 'withoutCash' : cashFlow;
  return [
    ['adjustments', negate(change)],
    [section, change],
  ];
};

/** Where the change of an account over a period stands, debit positive: what goes up with a debit takes cash. */
const placedInCashFlow: Placing<CashFlowSection> = (account, { change }) => {
  const statement = statementOf(account.kind);
  if (statement === null) return [];
  if (statement === 'profitAndLoss') return placedResult(account, change);
  const { cashFlow } = resolvedSettings(account);
  switch (cashFlow) {
    case 'cash':
      return [];
    case 'operating':
      return [[MOVES_NO_CASH.includes(account.kind) ? 'adjustments' : 'workingCapital', change]];
    case 'none':
      return [['withoutCash', change]];
    default:
      return [[cashFlow, change]];
  }
};

/** A roll-up by the sections of the cash flow. */
export const cashFlowRollUp = (ledger: Ledger): RollUp<CashFlowSection> =>
  rollUpPlaced(ledger, placedInCashFlow);

/** Cash and what counts as cash, at the start and at the end of a period; debit positive. */
export interface CashHeld {
  readonly start: Minor;
  readonly end: Minor;
}

const isCash = (account: Account): boolean =>
  account.role === 'posting' &&
  statementOf(account.kind) === 'balanceSheet' &&
  resolvedSettings(account).cashFlow === 'cash';

/** What is held in cash by the accounts whose cash flow class says so. */
export const cashHeld = (chart: Chart, rollUp: RollUp<CashFlowSection>): CashHeld => {
  let [start, end] = [0, 0];
  for (const node of eachNode(chart.roots)) {
    if (!isCash(node.account)) continue;
    const { balance, change } = rollUp.amounts(node);
    start = add(start, subtract(balance, change));
    end = add(end, balance);
  }
  return { start, end };
};

/**
 * What each section of the cash flow comes to, debit positive: an inflow is negative.
 * Law: over books that balance, all sections but cash at the start come to the change in cash, with its sign turned.
 */
export const cashFlowAmounts = (
  chart: Chart,
  rollUp: RollUp<CashFlowSection>,
): ReadonlyMap<CashFlowSection, Minor> => {
  const amounts = placedAmounts(chart, rollUp);
  let result = 0;
  for (const node of eachNode(chart.roots))
    if (node.account.role === 'posting' && statementOf(node.account.kind) === 'profitAndLoss')
      result = add(result, rollUp.amounts(node).change);
  amounts.set('result', result);
  amounts.set('cashAtStart', negate(cashHeld(chart, rollUp).start));
  return amounts;
};
