import { USE_MONTHS, type HowUsed } from '../../ledger/chart-use';
import { subtract } from '../../money/minor';
import { openAccounts } from '../accounts';
import type { FindingRule } from '../finding';

/** For how many months in a row, the last one included, something was left. */
const monthsLeft = ({ balance, months }: HowUsed): number => {
  let at = balance;
  let count = 0;
  for (const change of [...months].reverse()) {
    if (at === 0) break;
    count += 1;
    at = subtract(at, change);
  }
  return Math.min(count, USE_MONTHS);
};

/** What only passes through: clearing accounts, and the equity that opening balances leave. It has to come to nothing. */
export const leftToClear: FindingRule<'leftToClear'> = ({ chart, use, limits }) =>
  use === null
    ? []
    : openAccounts(chart).flatMap((node) => {
        const { id, kind } = node.account;
        if (kind !== 'clearing' && kind !== 'openingBalanceEquity') return [];
        const months = monthsLeft(use.of(node));
        if (months < limits.clearingMonths) return [];
        return [
          {
            code: 'leftToClear',
            severity: kind === 'openingBalanceEquity' ? 'wrong' : 'doubtful',
            accountIds: [id],
            amount: Math.abs(use.of(node).balance),
            facts: { months },
            fixes: [],
          },
        ];
      });
