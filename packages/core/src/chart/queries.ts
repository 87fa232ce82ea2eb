import { entriesOf, getIn, hasIn } from '../collections/persistent-map';
import type { Account, AccountId, AccountRecord } from './account';
import type { Chart, ChartNode, MergedAccount, Split } from './chart';
import { nameKey } from '../text/name-key';

/** Whether the chart has the account. */
export const hasAccount = (chart: Chart, id: AccountId): boolean => hasIn(chart.parents, id);

/** The account into which one was merged; `undefined` when it was not. */
export const mergedInto = (chart: Chart, id: AccountId): AccountId | undefined =>
  getIn(chart.merged, id)?.into;

/** An account that was merged, as it was; `undefined` where it was not. */
export const mergedAccount = (chart: Chart, id: AccountId): Account | undefined =>
  getIn(chart.merged, id)?.account;

/** The account in the tree that stands for `id` now: itself, or what it was merged into; `null` when it is gone. */
export const standsFor = (chart: Chart, id: AccountId): AccountId | null => {
  let at: AccountId | undefined = id;
  while (at !== undefined && !hasAccount(chart, at)) at = mergedInto(chart, at);
  return at ?? null;
};

/** The account, also when it was merged into another; or `undefined`. */
export const knownAccount = (chart: Chart, id: AccountId): Account | undefined =>
  accountOf(chart, id) ?? getIn(chart.merged, id)?.account;

/** All merged accounts. */
export const mergedAccounts = (chart: Chart): readonly MergedAccount[] =>
  entriesOf(chart.merged).map(([, merged]) => merged);

/** All splits. */
export const splitsOf = (chart: Chart): readonly Split[] =>
  entriesOf(chart.splits).map(([, split]) => split);

/** Whether an account, or one that was merged into it, has postings, or a split takes some from it or brings some to it. */
export const hasPostings = (chart: Chart, { account, absorbed, splits }: ChartNode): boolean =>
  chart.posted.has(account.id) || absorbed.some((id) => chart.posted.has(id)) || splits.length > 0;

/** How many accounts the chart has. */
export const accountCount = (chart: Chart): number => chart.parents.size;

/** The parent's id; `null` for a main account or an unknown one. */
export const parentIdOf = (chart: Chart, id: AccountId): AccountId | null =>
  getIn(chart.parents, id) || null;

/** The ids from the main account down to the account itself; empty when it is unknown. */
export const pathTo = (chart: Chart, id: AccountId): readonly AccountId[] => {
  const path: AccountId[] = [];
  if (!hasAccount(chart, id)) return path;
  for (let at: AccountId | null = id; at !== null; at = parentIdOf(chart, at)) path.push(at);
  return path.reverse();
};

/** Where among neighbours an account stands; from behind, where what was just added stands. -1 for nowhere. */
export const placeAmong = (siblings: readonly ChartNode[], id: AccountId | null): number => {
  for (let at = siblings.length - 1; at >= 0; at -= 1)
    if (siblings[at]?.account.id === id) return at;
  return -1;
};

/** The nodes from the main account down to the account itself; empty when it is unknown. */
export const nodesTo = (chart: Chart, id: AccountId): readonly ChartNode[] => {
  const nodes: ChartNode[] = [];
  let siblings = chart.roots;
  for (const step of pathTo(chart, id)) {
    const node = siblings[placeAmong(siblings, step)];
    if (node === undefined) return [];
    nodes.push(node);
    siblings = node.children;
  }
  return nodes;
};

/** The account's node, or `undefined`. */
export const nodeOf = (chart: Chart, id: AccountId): ChartNode | undefined =>
  nodesTo(chart, id).at(-1);

/** The account, or `undefined`. */
export const accountOf = (chart: Chart, id: AccountId): Account | undefined =>
  nodeOf(chart, id)?.account;

/** The accounts directly under `parentId`; the main accounts for `null`. */
export const childrenOf = (chart: Chart, parentId: AccountId | null): readonly ChartNode[] =>
  parentId === null ? chart.roots : (nodeOf(chart, parentId)?.children ?? []);

/** The accounts that share the account's parent, itself included. */
export const siblingsOf = (chart: Chart, id: AccountId): readonly ChartNode[] =>
  childrenOf(chart, parentIdOf(chart, id));

/** The id of the sibling right before the account; `null` when it is the first. */
export const previousIdOf = (chart: Chart, id: AccountId): AccountId | null => {
  const siblings = siblingsOf(chart, id);
  return siblings[placeAmong(siblings, id) - 1]?.account.id ?? null;
};

/** How deep the account stands: 1 for a main account. */
export const levelOf = (chart: Chart, id: AccountId): number => pathTo(chart, id).length;

/** How many levels a node has, itself included. */
export const heightOf = (node: ChartNode): number => {
  let height = 0;
  for (let level: readonly ChartNode[] = [node]; level.length > 0; height += 1)
    level = level.flatMap(({ children }) => children);
  return height;
};

/** Whether `id` is `ancestorId` or stands somewhere below it. */
export const isWithin = (chart: Chart, id: AccountId, ancestorId: AccountId): boolean =>
  pathTo(chart, id).includes(ancestorId);

/** The account that bears the number, or `undefined`. */
export const idByNumber = (chart: Chart, number: string): AccountId | undefined =>
  getIn(chart.numbers, number);

/** An account, other than `exceptId`, whose name would clash with `name` under `parentId`. */
export const idByClashingName = (
  chart: Chart,
  name: string,
  place: { parentId: AccountId | null; exceptId: AccountId },
): AccountId | undefined => {
  const key = nameKey(name);
  if (chart.settings.uniqueNames === 'chart') {
    const id = getIn(chart.names, key);
    return id === place.exceptId ? undefined : id;
  }
  return childrenOf(chart, place.parentId).find(
    ({ account }) => account.id !== place.exceptId && nameKey(account.name) === key,
  )?.account.id;
};

/** Every node below and including the given ones, parents before children, in chart order. */
export function* eachNode(nodes: readonly ChartNode[]): Generator<ChartNode> {
  // A path instead of recursion: a chart may have tens of thousands of nodes.
  const path = [{ nodes, next: 0 }];
  for (let at = path.at(-1); at !== undefined; at = path.at(-1)) {
    const node = at.nodes[at.next];
    at.next += 1;
    if (node === undefined) path.pop();
    else {
      yield node;
      if (node.children.length > 0) path.push({ nodes: node.children, next: 0 });
    }
  }
}

/** Every account by its id: for asking after many of them at once. */
export const accountsById = (chart: Chart): ReadonlyMap<AccountId, Account> =>
  new Map([...eachNode(chart.roots)].map(({ account }) => [account.id, account]));

/** All accounts with their parents, parents before children, siblings in order. */
export const recordsOf = (chart: Chart): readonly AccountRecord[] =>
  [...eachNode(chart.roots)].map(({ account }) => ({
    ...account,
    parentId: parentIdOf(chart, account.id),
  }));

/** What a chart may grow to. More is refused in words, so that nobody waits for what would not end. */
export const CHART_LIMITS = { accounts: 25_000, depth: 40 } as const;
