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
import { accountOf, parentIdOf, pathTo, placeAmong, standsFor } from './queries';

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
): readonly ChartNode[] => {
  const [head, ...rest] = path;
  if (head === undefined) return edit(siblings);
  const at = placeAmong(siblings, head);
  const node = siblings[at];
  if (node === undefined) return siblings;
  return siblings.with(at, { ...node, children: editAlong(node.children, rest, edit) });
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
  editChildren(chart, parentIdOf(chart, id), (siblings) =>
    siblings.filter((node) => node.account.id !== id),
  );

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
    siblings.map((node) => (node.account.id === id ? { ...node, account: after } : node)),
  );
  if (before.number === after.number && before.name === after.name) return edited;
  return indexed(unindexed(edited, before), after);
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

/** The accounts that were merged into one, directly or by way of others, by id. */
export const absorbedBy = (merged: Chart['merged'], id: AccountId): readonly AccountId[] => {
  const direct = entriesOf(merged).filter(([, { into }]) => into === id);
  return direct.flatMap(([one]) => [one, ...absorbedBy(merged, one)]).sort();
};

/** What decides where postings count. */
type Standing = Pick<Chart, 'merged' | 'splits'>;

/** What counts with an account: what was merged into it, and what splits take from or bring to either. */
export const countedWith = (
  { merged, splits }: Standing,
  id: AccountId,
): Pick<ChartNode, 'absorbed' | 'splits'> => {
  const absorbed = absorbedBy(merged, id);
  const own = new Set([id, ...absorbed]);
  const shares = entriesOf(splits).flatMap(([splitId, { from, into }]): SplitShare[] => [
    ...(own.has(from) ? [{ id: splitId, sign: -1 } as const] : []),
    ...(own.has(into) ? [{ id: splitId, sign: 1 } as const] : []),
  ]);
  return { absorbed, splits: shares.sort((a, b) => a.id.localeCompare(b.id) || a.sign - b.sign) };
};

/** An account without sub-accounts, with what counts with it. */
export const leaf = (account: Account, standing: Standing): ChartNode => ({
  account,
  children: [],
  ...countedWith(standing, account.id),
});

const recount = (chart: Chart, id: AccountId): Chart =>
  editChildren(chart, parentIdOf(chart, id), (siblings) =>
    siblings.map((node) =>
      node.account.id === id ? { ...node, ...countedWith(chart, id) } : node,
    ),
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

/** Points an account that left the tree at the one into which it is merged. */
export const absorbInto = (chart: Chart, account: Account, into: AccountId): Chart =>
  recount({ ...chart, merged: setIn(chart.merged, account.id, { account, into }) }, into);

/** Forgets that an account was merged; `target` is the account in the tree that counts its postings now. */
export const releaseFrom = (chart: Chart, id: AccountId, target: AccountId): Chart =>
  recount({ ...chart, merged: removeIn(chart.merged, id) }, target);
