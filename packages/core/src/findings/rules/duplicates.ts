import { accountOf, hasPostings, parentIdOf } from '../../chart/queries';
import { duplicatesAmong } from '../../matching/duplicates';
import { planMerge } from '../../planning/plan-merge';
import { atStake, openAccounts } from '../accounts';
import type { FindingRule, Fix } from '../finding';

/** Accounts of one kind that say the same; the one with less goes into the one with more, for the fewest postings follow. */
export const duplicates: FindingRule<'duplicate'> = ({ chart, use, routed }) => {
  const nodes = openAccounts(chart);
  const accounts = nodes.map((node) => ({
    name: node.account.name,
    sort: node.account.kind,
    above: accountOf(chart, parentIdOf(chart, node.account.id) ?? '')?.name ?? '',
    amount: atStake(use, node),
  }));
  return duplicatesAmong(accounts).flatMap(({ at, of }) => {
    const [one, other] = [nodes[at], nodes[of]];
    if (one === undefined || other === undefined) return [];
    const less = atStake(use, one) <= atStake(use, other);
    const [goes, stays] = less ? [one, other] : [other, one];
    const [id, into] = [goes.account.id, stays.account.id];
    const merge = (from: string, to: string): Fix => ({
      says: { does: 'merge', id: from, into: to },
      operations: planMerge(chart, from, { into: to, acrossKinds: false }),
    });
    const remove: readonly Fix[] =
      // What routes send there goes along with a merge.
      hasPostings(chart, goes) || goes.children.length > 0 || routed.has(id)
        ? []
        : [{ says: { does: 'remove' }, operations: [{ type: 'deleteAccount', id }] }];
    return [
      {
        code: 'duplicate',
        severity: 'doubtful',
        accountIds: [id, into],
        amount: atStake(use, goes),
        facts: { of: into },
        fixes: [...remove, merge(id, into), merge(into, id)],
      },
    ];
  });
};
