import type { AccountId, Role } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import type { Place } from '../chart/edit';
import { childrenOf, nodeOf, parentIdOf, previousIdOf } from '../chart/queries';
import type { Element } from '../kinds/element';
import { elementOf, isContra, kindsOfElement, type KindCode } from '../kinds/kinds';
import { suggestNumber, type Suggestion } from '../numbering/suggest';

/** What to offer for a new account: its place, a number there, and a kind. */
export interface AddPlan extends Place {
  readonly number: Suggestion;
  readonly kind: KindCode;
  readonly role: Role;
}

/** The neighbour after which something new stands last in its group, before any contra. */
export const lastBeforeContra = (siblings: readonly ChartNode[]): AccountId | null =>
  siblings.findLast(({ account }) => !isContra(account.kind))?.account.id ?? null;

const kindAmong = (nodes: readonly ChartNode[], fallback: KindCode): KindCode =>
  nodes.findLast(({ account }) => !isContra(account.kind))?.account.kind ?? fallback;

const planAt = (chart: Chart, place: Place, kind: KindCode): AddPlan => ({
  parentId: place.parentId,
  afterId: place.afterId,
  kind,
  role: 'posting',
  number: suggestNumber(chart, { ...place, kind }),
});

/** A new account right after the one at the cursor; before it when that one is a contra, which stands last. */
export const planSibling = (chart: Chart, cursorId: AccountId): AddPlan | null => {
  const node = nodeOf(chart, cursorId);
  if (node === undefined) return null;
  const parentId = parentIdOf(chart, cursorId);
  const contra = isContra(node.account.kind);
  const afterId = contra ? previousIdOf(chart, cursorId) : cursorId;
  const kind = contra
    ? kindAmong(childrenOf(chart, parentId), node.account.kind)
    : node.account.kind;
  return planAt(chart, { parentId, afterId }, kind);
};

/** A new account as the last one below the one at the cursor, before any contra there. */
export const planChild = (chart: Chart, cursorId: AccountId): AddPlan | null => {
  const node = nodeOf(chart, cursorId);
  if (node === undefined) return null;
  const place = { parentId: cursorId, afterId: lastBeforeContra(node.children) };
  return planAt(chart, place, kindAmong(node.children, node.account.kind));
};

/** A new main account, last in its element. */
export const planMain = (chart: Chart, element: Element): AddPlan => {
  const roots = chart.roots.filter(({ account }) => elementOf(account.kind) === element);
  const afterId = roots.at(-1)?.account.id ?? null;
  const [first = 'memorandum'] = kindsOfElement(element);
  return planAt(chart, { parentId: null, afterId }, kindAmong(roots, first));
};

/** A heading in the place of the first of several accounts, to stand above them all; `null` for none. */
export const planAbove = (chart: Chart, ids: readonly AccountId[]): AddPlan | null => {
  const [first] = ids;
  const node = first === undefined ? undefined : nodeOf(chart, first);
  if (first === undefined || node === undefined) return null;
  const place = { parentId: parentIdOf(chart, first), afterId: previousIdOf(chart, first) };
  return { ...planAt(chart, place, node.account.kind), role: 'heading' };
};
