import { eachNode, hasPostings } from '../../chart/queries';
import type { FindingRule } from '../finding';

/** Headings under which nothing stands. */
export const emptyHeadings: FindingRule<'emptyHeading'> = ({ chart }) =>
  [...eachNode(chart.roots)]
    .filter((node) => node.account.role === 'heading' && node.children.length === 0)
    .map((node) => ({
      code: 'emptyHeading',
      severity: 'couldBeNeater',
      accountIds: [node.account.id],
      amount: 0,
      facts: {},
      fixes: hasPostings(chart, node)
        ? []
        : [
            {
              says: { does: 'remove' },
              operations: [{ type: 'deleteAccount', id: node.account.id }],
            },
          ],
    }));
