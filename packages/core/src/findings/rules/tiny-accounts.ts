import { accountOf, childrenOf, parentIdOf } from '../../chart/queries';
import type { Chart, ChartNode } from '../../chart/chart';
import { elementOf } from '../../kinds/kinds';
import { add } from '../../money/minor';
import { applyAll } from '../../operations/apply';
import type { Operation } from '../../operations/operation';
import { planMerge } from '../../planning/plan-merge';
import { atStake, openAccounts } from '../accounts';
import type { FindingRule, LookedAt } from '../finding';

/** The operations that merge accounts into one, one after the other. */
const mergeAll = (chart: Chart, from: readonly string[], into: string): readonly Operation[] => {
  let at = chart;
  const operations: Operation[] = [];
  for (const id of from) {
    const next = planMerge(at, id, { into, acrossKinds: false });
    const outcome = applyAll(at, next);
    if (!outcome.ok) return [];
    at = outcome.chart;
    operations.push(...next);
  }
  return operations;
};

/** The costs of a year below one account and of one kind that are each next to nothing, by what they stand below. */
const tinyBeside = ({ chart, use, limits }: LookedAt): readonly (readonly ChartNode[])[] => {
  const costs = openAccounts(chart).filter(({ account }) => elementOf(account.kind) === 'expense');
  const all = costs.reduce((so, node) => add(so, atStake(use, node)), 0);
  const groups = new Map<string, ChartNode[]>();
  for (const node of costs) {
    const stake = atStake(use, node);
    const isTiny = stake > 0 && stake * 1000 < all * limits.tinyPart && node.children.length === 0;
    const key = `${parentIdOf(chart, node.account.id) ?? ''} ${node.account.kind}`;
    if (isTiny) groups.set(key, [...(groups.get(key) ?? []), node]);
  }
  return [...groups.values()].filter((nodes) => nodes.length >= limits.tinyAccounts);
};

/** Many costs beside one another that take next to nothing each: one line would say as much. */
export const tinyAccounts: FindingRule<'tinyAccounts'> = (lookedAt) => {
  const { chart, use } = lookedAt;
  if (use === null) return [];
  return tinyBeside(lookedAt).map((nodes) => {
    const sorted = [...nodes].sort((a, b) => atStake(use, b) - atStake(use, a));
    const [largest, ...others] = sorted.map(({ account }) => account.id);
    const parentId = parentIdOf(chart, largest ?? '');
    const beside = childrenOf(chart, parentId).length;
    const operations = largest === undefined ? [] : mergeAll(chart, others, largest);
    return {
      code: 'tinyAccounts',
      severity: 'couldBeNeater',
      accountIds: sorted.map(({ account }) => account.id),
      amount: nodes.reduce((so, node) => add(so, atStake(use, node)), 0),
      facts: { count: nodes.length, under: accountOf(chart, parentId ?? '')?.id ?? null },
      fixes:
        largest === undefined || beside < nodes.length
          ? []
          : [{ says: { does: 'mergeAll', into: largest, count: others.length }, operations }],
    };
  });
};
