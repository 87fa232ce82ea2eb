import { eachNode, parentIdOf } from '../../chart/queries';
import { atStake } from '../accounts';
import type { FindingRule } from '../finding';

/** Accounts with sub-accounts to which something is posted all the same: it is seen in none of them. */
export const postedParents: FindingRule<'postedParent'> = ({ chart, use }) =>
  use === null
    ? []
    : [...eachNode(chart.roots)].flatMap((node) => {
        const below = node.children.length;
        const amount = atStake(use, node);
        if (below === 0 || amount === 0 || node.account.role !== 'posting') return [];
        return [
          {
            code: 'postedParent',
            severity: 'doubtful',
            accountIds: [node.account.id],
            amount,
            facts: { below },
            fixes: [
              {
                says: { does: 'moveOut', count: below },
                operations: [...node.children].reverse().map(({ account: { id } }) => ({
                  type: 'moveNode' as const,
                  id,
                  parentId: parentIdOf(chart, node.account.id),
                  afterId: node.account.id,
                })),
              },
            ],
          },
        ];
      });
