import type { ChartNode } from '../../chart/chart';
import { planStep } from '../../planning/plan-move';
import type { FindingOf, FindingRule } from '../finding';

/** Accounts that stand deeper than a chart can be read. */
export const tooDeep: FindingRule<'tooDeep'> = ({ chart, limits }) => {
  const found: FindingOf<'tooDeep'>[] = [];
  const walk = (node: ChartNode, level: number): void => {
    const { id } = node.account;
    if (level === limits.levels + 1) {
      const operations = planStep(chart, id, 'shallower') ?? [];
      found.push({
        code: 'tooDeep',
        severity: 'couldBeNeater',
        accountIds: [id],
        amount: 0,
        facts: { level },
        fixes: [
          {
            says: {
              does: 'moveUnder',
              parentId: operations[0]?.type === 'moveNode' ? operations[0].parentId : null,
            },
            operations,
          },
        ],
      });
    }
    for (const child of node.children) walk(child, level + 1);
  };
  for (const root of chart.roots) walk(root, 1);
  return found;
};
