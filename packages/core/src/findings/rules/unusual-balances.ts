import type { KindCode } from '../../kinds/kinds';
import { normalSideOfKind, statementOf } from '../../kinds/kinds';
import { subtract, type Minor } from '../../money/minor';
import type { HowUsed } from '../../ledger/chart-use';
import { openAccounts } from '../accounts';
import type { FindingRule, Severity } from '../finding';

/** Balances that come to stand on either side: what is passed through, what years leave, what is owed between owners. */
const EITHER_SIDE: readonly KindCode[] = [
  'clearing',
  'retainedEarnings',
  'openingBalanceEquity',
  'dueToOwner',
  'deferredTax',
  'netAssetsWithoutRestrictions',
  'netAssetsWithRestrictions',
];

/** Balances that stand on the other side now and then, as a bank that is overdrawn. */
const NOW_AND_THEN: readonly KindCode[] = [
  'bank',
  'tradePayable',
  'tradeReceivable',
  'cardPayable',
  'salesTaxPayable',
  'salesTaxRecoverable',
  'ownersCapital',
];

/** For how many months in a row, the last one included, a balance stood on the side that is not its own. */
const monthsOnOther = ({ balance, months }: HowUsed, side: 'debit' | 'credit'): number => {
  const isOther = (amount: Minor): boolean => (side === 'debit' ? amount < 0 : amount > 0);
  let at = balance;
  let count = 0;
  for (const change of [...months].reverse()) {
    if (!isOther(at)) break;
    count += 1;
    at = subtract(at, change);
  }
  return count;
};

/** Balances that have stood on the unusual side for months: a stock that owes, a loan that was paid down below nothing. */
export const unusualBalances: FindingRule<'unusualBalance'> = ({ chart, use, limits }) =>
  use === null
    ? []
    : openAccounts(chart).flatMap((node) => {
        const { id, kind } = node.account;
        if (statementOf(kind) !== 'balanceSheet' || EITHER_SIDE.includes(kind)) return [];
        const months = monthsOnOther(use.of(node), normalSideOfKind(kind));
        if (months < limits.unusualMonths) return [];
        const severity: Severity = NOW_AND_THEN.includes(kind) ? 'doubtful' : 'wrong';
        const amount = Math.abs(use.of(node).balance);
        return [
          {
            code: 'unusualBalance',
            severity,
            accountIds: [id],
            amount,
            facts: { months },
            fixes: [],
          },
        ];
      });
