import { eachNode } from '../../chart/queries';
import { atStake, openAccounts } from '../accounts';
import type { FindingRule } from '../finding';

/** Land is not used up. */
const LAND = /\bland\b/i;

/** Equipment that holds something in a chart that has no account for how far it is worn. */
export const assetsNotDepreciated: FindingRule<'assetsNotDepreciated'> = ({ chart, use }) => {
  const isWorn = [...eachNode(chart.roots)].some(
    ({ account }) => account.kind === 'accumulatedDepreciation',
  );
  if (use === null || isWorn) return [];
  const assets = openAccounts(chart).filter(
    (node) =>
      node.account.kind === 'propertyAndEquipment' &&
      !LAND.test(node.account.name) &&
      use.of(node).balance > 0,
  );
  if (assets.length === 0) return [];
  return [
    {
      code: 'assetsNotDepreciated',
      severity: 'doubtful',
      accountIds: assets.map(({ account }) => account.id),
      amount: assets.reduce((so, node) => so + atStake(use, node), 0),
      facts: {},
      fixes: [],
    },
  ];
};
