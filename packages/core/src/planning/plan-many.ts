import type { Account, AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import type { Place } from '../chart/edit';
import { childrenOf, idByClashingName, nodeOf, parentIdOf, pathTo } from '../chart/queries';
import { copiedSettings } from '../settings/account-settings';
import { applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import type { Refusal } from '../operations/refusal';
import { planAdding } from './adding';

/** Operations for several accounts, or the first refusal: all or none. */
export type ManyPlan =
  | { readonly ok: true; readonly operations: readonly Operation[] }
  | { readonly ok: false; readonly refusal: Refusal };

/** Of several accounts those that do not stand below another of them, in the order given. */
export const headsOf = (chart: Chart, ids: readonly AccountId[]): readonly AccountId[] => {
  const all = new Set(ids);
  return ids.filter(
    (id) =>
      !pathTo(chart, id)
        .slice(0, -1)
        .some((above) => all.has(above)),
  );
};

/** Plans one account after the other, each on the chart that the ones before leave. */
export const planEach = (
  chart: Chart,
  ids: readonly AccountId[],
  plan: (chart: Chart, id: AccountId) => readonly Operation[],
): ManyPlan => {
  const operations: Operation[] = [];
  let current = chart;
  for (const id of ids) {
    const own = plan(current, id);
    const outcome = applyAll(current, own);
    if (!outcome.ok) return { ok: false, refusal: outcome.refusal };
    operations.push(...own);
    current = outcome.chart;
  }
  return { ok: true, operations };
};

/** A name like the given one that no account bears: “Rent 2”, “Rent 3”. */
const freeName = (chart: Chart, name: string, parentId: AccountId | null): string => {
  const base = name.replace(/ \d{1,3}$/, '');
  for (let count = 2; ; count += 1) {
    const candidate = `${base} ${count}`;
    if (idByClashingName(chart, candidate, { parentId, exceptId: '' }) === undefined)
      return candidate;
  }
};

const copyOf = (
  chart: Chart,
  { account }: ChartNode,
  { id, parentId }: { readonly id: AccountId; readonly parentId: AccountId | null },
): Account => ({
  ...account,
  id,
  name: freeName(chart, account.name, parentId),
  number: null,
  retiredOn: null,
  systemUse: null,
  settings: copiedSettings(account.settings),
});

const unnumbered = (account: Account, place: Place): Operation => ({
  type: 'addAccount',
  account,
  ...place,
});

/**
 * The operations that copy an account, and all below it, right after itself: under free names,
 * with the next numbers, open; neighbours give way where there is no room. `newId` gives a fresh id
 * at each call. Refuses numberMissing where the plan has no number at all.
 */
export const planDuplicate = (chart: Chart, id: AccountId, newId: () => AccountId): ManyPlan => {
  const operations: Operation[] = [];
  let current = chart;
  const copy = (node: ChartNode, place: Place): Refusal | null => {
    const account = copyOf(current, node, { id: newId(), parentId: place.parentId });
    const own =
      node.account.number === null
        ? [unnumbered(account, place)]
        : planAdding(current, account, place);
    const outcome = applyAll(current, own);
    if (!outcome.ok) return outcome.refusal;
    current = outcome.chart;
    operations.push(...own);
    return copyBelow(node.children, account.id);
  };
  const copyBelow = (nodes: readonly ChartNode[], parentId: AccountId): Refusal | null => {
    for (const node of nodes) {
      const afterId = childrenOf(current, parentId).at(-1)?.account.id ?? null;
      const refusal = copy(node, { parentId, afterId });
      if (refusal !== null) return refusal;
    }
    return null;
  };
  const head = nodeOf(chart, id);
  if (head === undefined) return { ok: false, refusal: { code: 'accountMissing', accountId: id } };
  const refusal = copy(head, { parentId: parentIdOf(chart, id), afterId: id });
  return refusal === null ? { ok: true, operations } : { ok: false, refusal };
};
