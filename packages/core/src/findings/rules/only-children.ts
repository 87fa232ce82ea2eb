import { eachNode, hasPostings, parentIdOf } from '../../chart/queries';
import type { FindingRule } from '../finding';

/**
 * Headings over one account alone: the account can stand in their place. Where all main accounts are headings, each is a
 * group of the statement, and may have one account for now.
 */
export const onlyChildren: FindingRule<'onlyChild'> = ({ chart }) => {
  const isGrouped = chart.roots.every(({ account }) => account.role === 'heading');
  return [...eachNode(chart.roots)].flatMap((node) => {
    const [child, ...others] = node.children;
    const { id, role } = node.account;
    if (role !== 'heading' || child === undefined || others.length > 0) return [];
    if (isGrouped && parentIdOf(chart, id) === null) return [];
    const childId = child.account.id;
    const parentId = parentIdOf(chart, id);
    return [
      {
        code: 'onlyChild',
        severity: 'couldBeNeater',
        accountIds: [id],
        amount: 0,
        facts: { childId },
        fixes: hasPostings(chart, node)
          ? []
          : [
              {
                says: { does: 'dissolve' },
                operations: [
                  { type: 'moveNode', id: childId, parentId, afterId: id },
                  { type: 'deleteAccount', id },
                ],
              },
            ],
      },
    ];
  });
};
