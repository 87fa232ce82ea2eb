import {
  entriesOf,
  getIn,
  removeIn,
  setIn,
  type PersistentMap,
} from '../collections/persistent-map';
import type { Account, AccountId } from './account';
import type { Chart, ChartNode, Split, SplitShare } from './chart';
import { nameKey } from '../text/name-key';
import { accountOf, nodeOf, parentIdOf, pathTo, placeAmong, standsFor } from './queries';

/** Where an account stands: under `parentId` (`null` for a main account), right after `afterId` (`null` when first). */
export interface Place {
  readonly parentId: AccountId | null;
  readonly afterId: AccountId | null;
}

type EditSiblings = (siblings: readonly ChartNode[]) => readonly ChartNode[];

const editAlong = (
  siblings: readonly ChartNode[],
  path: readonly AccountId[],
  edit: EditSiblings,
  depth = 0,
): readonly ChartNode[] => {
  const head = path[depth];
  if (head === undefined) return edit(siblings);
  const at = placeAmong(siblings, head);
  const node = siblings[at];
  if (node === undefined) return siblings;
  return siblings.with(at, {
    ...node,
    children: editAlong(node.children, path, edit, depth + 1),
  });
};

/** One of several siblings replaced; the same ones when it is not among them. */
const replaced = (
  siblings: readonly ChartNode[],
  id: AccountId,
  by: (node: ChartNode) => ChartNode,
): readonly ChartNode[] => {
  const at = placeAmong(siblings, id);
  const node = siblings[at];
  return node === undefined ? siblings : siblings.with(at, by(node));
};

const editChildren = (chart: Chart, parentId: AccountId | null, edit: EditSiblings): Chart => ({
  ...chart,
  roots: editAlong(chart.roots, parentId === null ? [] : pathTo(chart, parentId), edit),
});

const inserted = (
  siblings: readonly ChartNode[],
  node: ChartNode,
  afterId: AccountId | null,
): readonly ChartNode[] => {
  const index = placeAmong(siblings, afterId) + 1;
  return siblings.toSpliced(index, 0, node);
};

const removeOwn = (
  map: PersistentMap<AccountId>,
  key: string,
  id: AccountId,
): PersistentMap<AccountId> => (getIn(map, key) === id ? removeIn(map, key) : map);

const indexed = (chart: Chart, account: Account): Chart => ({
  ...chart,
  numbers:
    account.number === null ? chart.numbers : setIn(chart.numbers, account.number, account.id),
  names:
    chart.settings.uniqueNames === 'chart'
      ? setIn(chart.names, nameKey(account.name), account.id)
      : chart.names,
});

const unindexed = (chart: Chart, account: Account): Chart => ({
  ...chart,
  numbers:
    account.number === null ? chart.numbers : removeOwn(chart.numbers, account.number, account.id),
  names: removeOwn(chart.names, nameKey(account.name), account.id),
});

/** The indices after an account got another number or name; what stays as it was is not touched. */
const reindexed = (chart: Chart, before: Account, after: Account): Chart => {
  if (before.number !== after.number) return indexed(unindexed(chart, before), after);
  if (before.name === after.name || chart.settings.uniqueNames !== 'chart') return chart;
  const bare = removeOwn(chart.names, nameKey(before.name), before.id);
  return { ...chart, names: setIn(bare, nameKey(after.name), after.id) };
};

/** Puts a node in its place. The caller has made sure that the place exists. */
export const insertNode = (chart: Chart, node: ChartNode, place: Place): Chart => {
  const grown = editChildren(chart, place.parentId, (siblings) =>
    inserted(siblings, node, place.afterId),
  );
  const parents = setIn(grown.parents, node.account.id, place.parentId ?? '');
  return indexed({ ...grown, parents }, node.account);
};

/** Takes a node, and with it everything below, out of its siblings; the indices of what is below stay. */
const detach = (chart: Chart, id: AccountId): Chart =>
  editChildren(chart, parentIdOf(chart, id), (siblings) => {
    const at = placeAmong(siblings, id);
    return at < 0 ? siblings : siblings.toSpliced(at, 1);
  });

/** Removes an account that has no children. */
export const removeLeaf = (chart: Chart, account: Account): Chart => {
  const shrunk = unindexed(detach(chart, account.id), account);
  return { ...shrunk, parents: removeIn(shrunk.parents, account.id) };
};

/** Moves a node and all below it to another place. */
export const relocate = (chart: Chart, node: ChartNode, place: Place): Chart =>
  insertNode(detach(chart, node.account.id), node, place);

/** Replaces what is kept of an account; its place stays. Gives the same chart when it is unknown. */
export const updateAccount = (chart: Chart, id: AccountId, change: Partial<Account>): Chart => {
  const before = accountOf(chart, id);
  if (before === undefined) return chart;
  const after = { ...before, ...change, id };
  const edited = editChildren(chart, parentIdOf(chart, id), (siblings) =>
    replaced(siblings, id, (node) => ({ ...node, account: after })),
  );
  return reindexed(edited, before, after);
};

/** Replaces what is kept of many accounts at once, so that they may swap numbers; places stay. */
export const updateAccounts = (
  chart: Chart,
  changes: ReadonlyMap<AccountId, Partial<Account>>,
): Chart => {
  const edit = (nodes: readonly ChartNode[]): readonly ChartNode[] => {
    let touched = false;
    const edited = nodes.map((node) => {
      const change = changes.get(node.account.id);
      const children = edit(node.children);
      if (change === undefined && children === node.children) return node;
      touched = true;
      return { ...node, account: { ...node.account, ...change }, children };
    });
    return touched ? edited : nodes;
  };
  const former = [...changes.keys()].flatMap((id) => accountOf(chart, id) ?? []);
  const bare = former.reduce(unindexed, { ...chart, roots: edit(chart.roots) });
  return former.reduce(
    (so, account) => indexed(so, { ...account, ...changes.get(account.id) }),
    bare,
  );
};

/** What decides where postings count. */
type Standing = Pick<Chart, 'merged' | 'splits'>;
type Counted = Pick<ChartNode, 'absorbed' | 'splits'>;

const grouped = <T>(pairs: Iterable<readonly [AccountId, T]>): ReadonlyMap<AccountId, T[]> => {
  const groups = new Map<AccountId, T[]>();
  for (const [id, one] of pairs) {
    const group = groups.get(id);
    if (group === undefined) groups.set(id, [one]);
    else group.push(one);
  }
  return groups;
};

const inOrder = (shares: readonly SplitShare[]): readonly SplitShare[] =>
  shares.toSorted((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : a.sign - b.sign));

/**
 * What counts with each account: what was merged into it, directly or by way of others, and what splits
 * take from or bring to any of them. Reads merges and splits once, however many accounts are asked about.
 */
export const countedOver = ({ merged, splits }: Standing): ((id: AccountId) => Counted) => {
  const into = grouped(entriesOf(merged).map(([id, one]) => [one.into, id] as const));
  const shares = grouped(
    entriesOf(splits).flatMap(([id, split]): (readonly [AccountId, SplitShare])[] => [
      [split.from, { id, sign: -1 }],
      [split.into, { id, sign: 1 }],
    ]),
  );
  return (id) => {
    const own = [id];
    for (let at = 0; at < own.length; at += 1)
      for (const one of into.get(own[at] ?? '') ?? []) own.push(one);
    return {
      absorbed: own.slice(1).sort(),
      splits: inOrder(own.flatMap((one) => shares.get(one) ?? [])),
    };
  };
};

const countedWith = (standing: Standing, id: AccountId): Counted =>
  standing.merged.size === 0 && standing.splits.size === 0
    ? { absorbed: [], splits: [] }
    : countedOver(standing)(id);

/** An account without sub-accounts, with which nothing else counts. */
export const leaf = (account: Account): ChartNode => ({
  account,
  children: [],
  absorbed: [],
  splits: [],
});

const recount = (chart: Chart, id: AccountId): Chart =>
  editChildren(chart, parentIdOf(chart, id), (siblings) =>
    replaced(siblings, id, (node) => ({ ...node, ...countedWith(chart, id) })),
  );

const recountStanding = (chart: Chart, ids: readonly AccountId[]): Chart => {
  const standing = new Set(ids.flatMap((id) => standsFor(chart, id) ?? []));
  return [...standing].reduce(recount, chart);
};

/** Lets a split's postings count where it says. */
export const putSplit = (chart: Chart, split: Split): Chart =>
  recountStanding({ ...chart, splits: setIn(chart.splits, split.id, split) }, [
    split.from,
    split.into,
  ]);

/** Lets a split's postings count where they did before. */
export const removeSplit = (chart: Chart, split: Split): Chart =>
  recountStanding({ ...chart, splits: removeIn(chart.splits, split.id) }, [split.from, split.into]);

/**
 * Points an account that left the tree, with what counted with it, at the one into which it is merged;
 * `target` is the account in the tree that stands for that one, itself perhaps merged meanwhile.
 */
export const absorbInto = (
  chart: Chart,
  from: ChartNode,
  { into, target }: { readonly into: AccountId; readonly target: AccountId },
): Chart => {
  const { account } = from;
  const pointed = { ...chart, merged: setIn(chart.merged, account.id, { account, into }) };
  return editChildren(pointed, parentIdOf(pointed, target), (siblings) =>
    replaced(siblings, target, (node) => ({
      ...node,
      absorbed: [...node.absorbed, account.id, ...from.absorbed].sort(),
      splits: inOrder([...node.splits, ...from.splits]),
    })),
  );
};

/** Whether what was merged into a chain of others came there by way of `id`; told once for each on the way. */
const wayBy = (chart: Chart, id: AccountId): ((one: AccountId) => boolean) => {
  const told = new Map<AccountId, boolean>([[id, true]]);
  return (one) => {
    const way: AccountId[] = [];
    let at: AccountId | undefined = one;
    for (; at !== undefined && !told.has(at); at = getIn(chart.merged, at)?.into) way.push(at);
    const found = at !== undefined && told.get(at) === true;
    for (const passed of way) told.set(passed, found);
    return found;
  };
};

/**
 * Forgets that an account was merged; `target` is the account in the tree that counts its postings now.
 * Gives the chart without it and the node as it is to stand, with what counts with it.
 */
export const releaseFrom = (
  chart: Chart,
  account: Account,
  target: AccountId,
): { readonly chart: Chart; readonly node: ChartNode } => {
  const counted = nodeOf(chart, target) ?? leaf(account);
  const alone = counted.absorbed.every((id) => getIn(chart.merged, id)?.into !== account.id);
  const gone = alone ? (id: AccountId) => id === account.id : wayBy(chart, account.id);
  const leaves = ({ id, sign }: SplitShare): boolean => {
    const split = getIn(chart.splits, id);
    return split !== undefined && gone(sign === -1 ? split.from : split.into);
  };
  const rest = {
    absorbed: counted.absorbed.filter((id) => !gone(id)),
    splits: counted.splits.filter((share) => !leaves(share)),
  };
  const node = {
    ...leaf(account),
    absorbed: counted.absorbed.filter((id) => id !== account.id && gone(id)),
    splits: counted.splits.filter(leaves),
  };
  const released = { ...chart, merged: removeIn(chart.merged, account.id) };
  return {
    node,
    chart: editChildren(released, parentIdOf(chart, target), (siblings) =>
      replaced(siblings, target, (one) => ({ ...one, ...rest })),
    ),
  };
};
