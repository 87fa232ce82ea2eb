import type { AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import type { Place } from '../chart/edit';
import { childrenOf, hasPostings, nodeOf, parentIdOf, siblingsOf } from '../chart/queries';
import { elementOf, isContra, type KindCode } from '../kinds/kinds';
import { suggestNumber } from '../numbering/suggest';
import { apply } from '../operations/apply';
import type { Operation } from '../operations/operation';
import { lastBeforeContra } from './plan-add';

/** The four steps by which a key moves an account. */
export type Direction = 'up' | 'down' | 'deeper' | 'shallower';

const elder = (peers: readonly ChartNode[], index: number): AccountId | null =>
  peers[index]?.account.id ?? null;

const placeBy = (chart: Chart, node: ChartNode, direction: Direction): Place | null => {
  const { id, kind } = node.account;
  const parentId = parentIdOf(chart, id);
  const peers = siblingsOf(chart, id).filter(
    ({ account }) => elementOf(account.kind) === elementOf(kind),
  );
  const index = peers.findIndex(({ account }) => account.id === id);
  const previous = peers[index - 1];
  switch (direction) {
    case 'up':
      return previous === undefined ? null : { parentId, afterId: elder(peers, index - 2) };
    case 'down':
      return peers[index + 1] === undefined ? null : { parentId, afterId: elder(peers, index + 1) };
    case 'deeper':
      return previous === undefined
        ? null
        : {
            parentId: previous.account.id,
            afterId: isContra(kind)
              ? elder(previous.children, previous.children.length - 1)
              : lastBeforeContra(previous.children),
          };
    case 'shallower':
      return parentId === null
        ? null
        : { parentId: parentIdOf(chart, parentId), afterId: parentId };
  }
};

/** The move of one step in a direction; `null` when there is nowhere to go. */
export const planStep = (
  chart: Chart,
  id: AccountId,
  direction: Direction,
): readonly Operation[] | null => {
  const node = nodeOf(chart, id);
  const place = node === undefined ? null : placeBy(chart, node, direction);
  return place === null ? null : [{ type: 'moveNode', id, ...place }];
};

/** The kind that all posting accounts directly under a parent share, contras apart. */
const commonKind = (nodes: readonly ChartNode[]): KindCode | null => {
  const kinds = new Set(
    nodes
      .filter(({ account }) => account.role === 'posting' && !isContra(account.kind))
      .map(({ account }) => account.kind),
  );
  const [only] = kinds;
  return kinds.size === 1 && only !== undefined ? only : null;
};

const kindThere = (chart: Chart, node: ChartNode, parentId: AccountId | null): KindCode => {
  const { kind, systemUse } = node.account;
  const stays = node.children.length > 0 || isContra(kind) || systemUse !== null;
  if (parentId === null || stays) return kind;
  const parent = nodeOf(chart, parentId)?.account;
  const found = commonKind(childrenOf(chart, parentId)) ?? parent?.kind ?? kind;
  return elementOf(found) === elementOf(kind) && !isContra(found) ? found : kind;
};

/** Where a moved account goes: under a parent; after a neighbour, or last before any contra. */
export interface MoveTarget {
  readonly parentId: AccountId | null;
  readonly afterId?: AccountId | null;
}

const placeOf = (chart: Chart, node: ChartNode, target: MoveTarget): Place => {
  if (target.afterId !== undefined) return { parentId: target.parentId, afterId: target.afterId };
  const others = childrenOf(chart, target.parentId).filter((other) => other !== node);
  const last = others.at(-1)?.account.id ?? null;
  const afterId = isContra(node.account.kind) ? last : lastBeforeContra(others);
  return { parentId: target.parentId, afterId };
};

/** The kind that an account of one kind takes under a parent of another element; its own under any other. */
export const kindAcross = (chart: Chart, kind: KindCode, parentId: AccountId | null): KindCode => {
  const parent = nodeOf(chart, parentId ?? '');
  if (parent === undefined || elementOf(parent.account.kind) === elementOf(kind)) return kind;
  return commonKind(parent.children) ?? parent.account.kind;
};

/**
 * Into another element: out to the main accounts, the kind that its new siblings or parent have,
 * then under the parent. Only an account on its own can cross: what stands below shares the element.
 */
const crossing = (chart: Chart, node: ChartNode, place: Place): readonly Operation[] | null => {
  const { id, kind, systemUse } = node.account;
  const wanted = kindAcross(chart, kind, place.parentId);
  if (wanted === kind || node.children.length > 0 || systemUse !== null) return null;
  const last = chart.roots.findLast(({ account }) => account.id !== id)?.account.id ?? null;
  const out: Operation = { type: 'moveNode', id, parentId: null, afterId: last };
  return [
    ...(parentIdOf(chart, id) === null ? [] : [out]),
    { type: 'changeKind', id, kind: wanted },
    { type: 'moveNode', id, ...place },
  ];
};

const withNumberThere = (
  chart: Chart,
  node: ChartNode,
  { place, kind }: { readonly place: Place; readonly kind: KindCode },
): readonly Operation[] => {
  const { id, number: former } = node.account;
  const number = suggestNumber(chart, { ...place, kind });
  return former !== null && number.ok ? [{ type: 'renumber', id, number: number.number }] : [];
};

/**
 * Moves an account under another parent, and fits it in: it takes the kind that its new
 * siblings share and a number among theirs, when there is one. Moves only, within one parent.
 * An account without others below it may cross into another element, and takes a kind of it.
 * The operations may still be refused when they are applied.
 */
export const planMoveUnder = (
  chart: Chart,
  id: AccountId,
  target: MoveTarget,
): readonly Operation[] => {
  const node = nodeOf(chart, id);
  if (node === undefined) return [];
  const place = placeOf(chart, node, target);
  const move: Operation = { type: 'moveNode', id, ...place };
  if (target.parentId === parentIdOf(chart, id)) return [move];
  const across = crossing(chart, node, place);
  if (across !== null) {
    const kind = across.find(({ type }) => type === 'changeKind');
    const wanted = kind?.type === 'changeKind' ? kind.kind : node.account.kind;
    return [...across, ...withNumberThere(chart, node, { place, kind: wanted })];
  }
  if (!apply(chart, move).ok) return [move];
  const kind = kindThere(chart, node, target.parentId);
  const rekinded: readonly Operation[] =
    kind === node.account.kind ? [] : [{ type: 'changeKind', id, kind }];
  return [move, ...rekinded, ...withNumberThere(chart, node, { place, kind })];
};

const isPosted = (chart: Chart, id: AccountId): boolean => {
  const node = nodeOf(chart, id);
  return node !== undefined && (node.absorbed.length > 0 || hasPostings(chart, node));
};

/** Removes an account where the rules allow it, and retires it from `on` where they do not. */
export const planRemoval = (chart: Chart, id: AccountId, on: string): Operation =>
  apply(chart, { type: 'deleteAccount', id }).ok || !isPosted(chart, id)
    ? { type: 'deleteAccount', id }
    : { type: 'retire', id, on };
