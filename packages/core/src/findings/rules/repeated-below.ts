import { eachNode, nodeOf } from '../../chart/queries';
import { nameKey } from '../../text/name-key';
import { dimensionForAccounts, toldApart } from '../../planning/dimension-for-accounts';
import type { FindingRule, Fix, LookedAt } from '../finding';

/** So many sub-accounts in common are no coincidence. */
const COMMON = 2;

/** Where something leads to a sub-account, or one is of another kind than what stands above it, they stay. */
const dimensionFix = (
  { chart, routed, newId }: LookedAt,
  parents: readonly string[],
  count: { readonly before: number; readonly after: number },
): readonly Fix[] => {
  const nodes = parents.flatMap((id) => nodeOf(chart, id) ?? []);
  const isFit = nodes.every(({ account, children }) =>
    children.every((child) => child.account.kind === account.kind && !routed.has(child.account.id)),
  );
  return isFit
    ? [
        {
          says: { does: 'dimension', ...count },
          operations: dimensionForAccounts(chart, parents, { newId }),
        },
      ]
    : [];
};

/**
 * The same sub-accounts under several accounts: two things are told apart at once, and each new one of either asks for
 * an account under each of the other. A dimension tells the second thing apart for all of them.
 */
export const repeatedBelow: FindingRule<'repeatedBelow'> = (lookedAt) => {
  const { chart } = lookedAt;
  const parents = [...eachNode(chart.roots)].filter(({ children }) => children.length >= COMMON);
  const bySet = new Map<string, string[]>();
  const below = new Map<string, readonly string[]>();
  for (const { account, children } of parents) {
    const open = children.filter((child) => child.account.retiredOn === null);
    if (open.length < COMMON || open.some((child) => child.children.length > 0)) continue;
    const told = open.map((child) => toldApart(child.account.name, account.name));
    const names = told.map(nameKey).sort();
    const key = names.join('\n');
    bySet.set(key, [...(bySet.get(key) ?? []), account.id]);
    below.set(key, told);
  }
  return [...bySet].flatMap(([key, accountIds]) => {
    const values = below.get(key) ?? [];
    if (accountIds.length < 2) return [];
    const count = {
      before: accountIds.length * (values.length + 1),
      after: accountIds.length,
    };
    return [
      {
        code: 'repeatedBelow',
        severity: 'couldBeNeater',
        accountIds,
        amount: 0,
        facts: { values, ...count },
        fixes: dimensionFix(lookedAt, accountIds, count),
      },
    ];
  });
};
