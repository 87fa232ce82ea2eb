import type { ChartNode } from '../../chart/chart';
import { monthsBetween, type Month } from '../../dates/month';
import { USE_MONTHS, type ChartUse } from '../../ledger/chart-use';
import { newestLists } from '../../ledger/open-items';
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

/** An account that stands for what many owe, or are owed, and does not come to what their open items come to. */
export const controlsApart: FindingRule<'controlApart'> = ({ chart, use, openItems }) =>
  use === null
    ? []
    : openAccounts(chart).flatMap((node) => {
        const lists = newestLists(node, openItems, use.through);
        const month = lists[0]?.month;
        const books = month === undefined ? null : balanceAt(use, node, month);
        const items = lists.reduce((sum, { amount }) => add(sum, amount), 0);
        if (month === undefined || books === null || books === items) return [];
        return [
          {
            code: 'controlApart',
            severity: 'wrong',
            accountIds: [node.account.id],
            amount: Math.abs(subtract(books, items)),
            facts: { month, items, books },
            fixes: [],
          },
        ];
      });
