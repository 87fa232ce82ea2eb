import { eachNode } from '../../chart/queries';
import { nameKey } from '../../text/name-key';
import type { FindingRule } from '../finding';

/** So many sub-accounts in common are no coincidence. */
const COMMON = 2;

/**
 * The same sub-accounts under several accounts: two things are told apart at once, and each new one of either asks for
 * an account under each of the other. A dimension tells the second thing apart for all of them.
 */
export const repeatedBelow: FindingRule<'repeatedBelow'> = ({ chart }) => {
  const parents = [...eachNode(chart.roots)].filter(({ children }) => children.length >= COMMON);
  const bySet = new Map<string, string[]>();
  const below = new Map<string, readonly string[]>();
  for (const { account, children } of parents) {
    const open = children.filter((child) => child.account.retiredOn === null);
    if (open.length < COMMON || open.some((child) => child.children.length > 0)) continue;
    const names = open.map((child) => nameKey(child.account.name)).sort();
    const key = names.join('\n');
    bySet.set(key, [...(bySet.get(key) ?? []), account.id]);
    below.set(
      key,
      open.map((child) => child.account.name),
    );
  }
  return [...bySet].flatMap(([key, accountIds]) => {
    const values = below.get(key) ?? [];
    if (accountIds.length < 2) return [];
    return [
      {
        code: 'repeatedBelow',
        severity: 'couldBeNeater',
        accountIds,
        amount: 0,
        facts: {
          values,
          before: accountIds.length * (values.length + 1),
          after: accountIds.length,
        },
        fixes: [],
      },
    ];
  });
};
