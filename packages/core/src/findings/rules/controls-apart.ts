import type { ChartNode } from '../../chart/chart';
import { monthsBetween, type Month } from '../../dates/month';
import { USE_MONTHS, type ChartUse } from '../../ledger/chart-use';
import type { OpenItemSum } from '../../ledger/open-items';
import { add, subtract, type Minor } from '../../money/minor';
import { openAccounts } from '../accounts';
import type { FindingRule } from '../finding';

/** What an account held at the end of a month; `null` where that is further back than is known. */
const balanceAt = (use: ChartUse, node: ChartNode, month: Month): Minor | null => {
  const since = monthsBetween(month, use.through);
  if (since < 1 || since > USE_MONTHS) return null;
  const { balance, months } = use.of(node);
  return since === 1 ? balance : subtract(balance, months.slice(1 - since).reduce(add, 0));
};

/** The newest list of an account that is looked at, with those of what was merged into it. */
const listOf = (
  { account, absorbed }: ChartNode,
  lists: readonly OpenItemSum[],
  through: Month,
): Omit<OpenItemSum, 'accountId'> | null => {
  const own = lists.filter(
    ({ accountId, month }) =>
      month <= through && (accountId === account.id || absorbed.includes(accountId)),
  );
  const newest = own.reduce((so, { month }) => (month > so ? month : so), '');
  const same = own.filter(({ month }) => month === newest);
  if (same.length === 0) return null;
  return { month: newest, amount: same.reduce((sum, { amount }) => add(sum, amount), 0) };
};

/** An account that stands for what many owe, or are owed, and does not come to what their open items come to. */
export const controlsApart: FindingRule<'controlApart'> = ({ chart, use, openItems }) =>
  use === null
    ? []
    : openAccounts(chart).flatMap((node) => {
        const list = listOf(node, openItems, use.through);
        const books = list === null ? null : balanceAt(use, node, list.month);
        if (list === null || books === null || books === list.amount) return [];
        return [
          {
            code: 'controlApart',
            severity: 'wrong',
            accountIds: [node.account.id],
            amount: Math.abs(subtract(books, list.amount)),
            facts: { month: list.month, items: list.amount, books },
            fixes: [],
          },
        ];
      });
