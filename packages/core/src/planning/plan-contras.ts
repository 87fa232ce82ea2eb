import type { AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import { eachNode } from '../chart/queries';
import { elementOf, isContra } from '../kinds/kinds';
import type { MoveNode } from '../operations/operation';

/** Siblings that are numbered together: below a parent all of them, among main accounts those of one element. */
const groupsOf = (chart: Chart): readonly (readonly [AccountId | null, readonly ChartNode[]])[] => {
  const elements = [...new Set(chart.roots.map(({ account }) => elementOf(account.kind)))];
  const mains = elements.map((element) => {
    const own = chart.roots.filter(({ account }) => elementOf(account.kind) === element);
    return [null, own] as const;
  });
  const below = [...eachNode(chart.roots)].map((node) => [node.account.id, node.children] as const);
  return [...mains, ...below];
};

/** The contras that stand before a sibling which is none, each to follow whatever then stands last. */
const movesWithin = (
  parentId: AccountId | null,
  siblings: readonly ChartNode[],
  movable: (id: AccountId) => boolean,
): readonly MoveNode[] => {
  const lastOther = siblings.findLastIndex(({ account }) => !isContra(account.kind));
  const early = siblings
    .slice(0, Math.max(lastOther, 0))
    .filter(({ account }) => isContra(account.kind) && movable(account.id));
  let afterId = siblings[lastOther]?.account.id ?? null;
  return early.map(({ account: { id } }) => {
    const move: MoveNode = { type: 'moveNode', id, parentId, afterId };
    afterId = id;
    return move;
  });
};

/**
 * The operations that let contras stand last among their siblings, as their numbers do. They keep
 * their order. `movable` are the accounts that may move; `null` for all.
 */
export const planContrasLast = (
  chart: Chart,
  movable: ReadonlySet<AccountId> | null = null,
): readonly MoveNode[] =>
  groupsOf(chart).flatMap(([parentId, siblings]) =>
    movesWithin(parentId, siblings, (id) => movable === null || movable.has(id)),
  );
