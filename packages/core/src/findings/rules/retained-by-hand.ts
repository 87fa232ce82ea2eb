import { addMonths, fiscalYearStart, type Month } from '../../dates/month';
import type { ChartUse } from '../../ledger/chart-use';
import type { ChartNode } from '../../chart/chart';
import { openAccounts } from '../accounts';
import type { FindingRule } from '../finding';

/** The months in which something was posted, the oldest first. */
const monthsPosted = (use: ChartUse, node: ChartNode): readonly Month[] => {
  const { months } = use.of(node);
  return months.flatMap((amount, at) =>
    amount === 0 ? [] : addMonths(use.through, at + 1 - months.length),
  );
};

/**
 * The results of closed years, posted to in the middle of a fiscal year: they take what a closing, or the opening of the
 * books, leaves. What is posted there by hand passes by the profit and loss.
 */
export const retainedByHand: FindingRule<'retainedByHand'> = ({ chart, use, startsIn }) => {
  if (use === null) return [];
  const accounts = openAccounts(chart);
  const all = accounts.flatMap((node) => monthsPosted(use, node));
  const opened = all.reduce<Month | null>((so, one) => (so === null || one < so ? one : so), null);
  return accounts.flatMap((node) => {
    if (node.account.kind !== 'retainedEarnings') return [];
    const strays = monthsPosted(use, node).filter((month) => {
      const starts = fiscalYearStart(month, startsIn) === month;
      const ends = fiscalYearStart(addMonths(month, 1), startsIn) === addMonths(month, 1);
      return month !== opened && !starts && !ends;
    });
    const [first] = strays;
    if (first === undefined) return [];
    return [
      {
        code: 'retainedByHand',
        severity: 'doubtful',
        accountIds: [node.account.id],
        amount: Math.abs(use.of(node).balance),
        facts: { month: first, count: strays.length },
        fixes: [],
      },
    ];
  });
};
