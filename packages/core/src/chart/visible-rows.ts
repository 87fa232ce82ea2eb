import { ELEMENTS, type Element } from '../kinds/element';
import { elementOf } from '../kinds/kinds';
import type { Account, AccountId } from './account';
import type { Chart, ChartNode } from './chart';
import { findKey, holder } from '../text/find-key';

/** One row of the chart as listed: the band of an element, or an account. */
export type VisibleRow =
  | { readonly type: 'element'; readonly element: Element }
  | {
      readonly type: 'account';
      readonly node: ChartNode;
      /** 1 for a main account. */
      readonly level: number;
      readonly open: boolean;
    };

/** What is shown: levels down to `depth`, and the accounts that were opened or closed by hand. */
export interface View {
  readonly depth: number;
  readonly opened: ReadonlySet<AccountId>;
  readonly closed: ReadonlySet<AccountId>;
  /** Parts of a number or name; empty for no filter. */
  readonly filter: string;
  /** What else finds an account, as it compares (`findKey`): the numbers and names that it, or what was merged into it, once bore. */
  readonly also: ReadonlyMap<AccountId, string>;
}

/** Whether the account's children are shown in a view. */
export const isOpen = (view: View, id: AccountId, level: number): boolean =>
  !view.closed.has(id) && (level < view.depth || view.opened.has(id));

/** The keys by which accounts are found; an account is a value, so that its key never changes. */
const KEYS = new WeakMap<Account, string>();

const keyOf = (account: Account): string => {
  const known = KEYS.get(account);
  if (known !== undefined) return known;
  const key = findKey(`${account.number ?? ''} ${account.name}`);
  KEYS.set(account, key);
  return key;
};

/** Tells whether number, name, or what else finds an account, holds every word of the filter. */
export const matcherOf = ({
  filter,
  also,
}: Pick<View, 'filter' | 'also'>): ((node: ChartNode) => boolean) => {
  const holds = holder(filter);
  return ({ account }) => {
    const more = also.get(account.id);
    return holds(more === undefined ? keyOf(account) : `${keyOf(account)} ${more}`);
  };
};

const pushAll = (rows: VisibleRow[], nodes: readonly ChartNode[], level: number, view: View) => {
  for (const node of nodes) {
    const open = node.children.length > 0 && isOpen(view, node.account.id, level);
    rows.push({ type: 'account', node, level, open });
    if (open) pushAll(rows, node.children, level + 1, view);
  }
};

const pushMatching = (
  rows: VisibleRow[],
  nodes: readonly ChartNode[],
  level: number,
  matches: (node: ChartNode) => boolean,
): void => {
  for (const node of nodes) {
    const below: VisibleRow[] = [];
    pushMatching(below, node.children, level + 1, matches);
    if (below.length === 0 && !matches(node)) continue;
    rows.push({ type: 'account', node, level, open: below.length > 0 });
    for (const row of below) rows.push(row);
  }
};

/**
 * The rows of a chart as listed: a band for each element that has accounts, then its accounts.
 * With a filter, the matching accounts and all above them, whatever is open.
 */
export const visibleRows = (chart: Chart, view: View): readonly VisibleRow[] => {
  const rows: VisibleRow[] = [];
  const matches = view.filter.trim() === '' ? null : matcherOf(view);
  for (const element of ELEMENTS) {
    const roots = chart.roots.filter(({ account }) => elementOf(account.kind) === element);
    const below: VisibleRow[] = [];
    if (matches === null) pushAll(below, roots, 1, view);
    else pushMatching(below, roots, 1, matches);
    if (below.length > 0) rows.push({ type: 'element', element });
    for (const row of below) rows.push(row);
  }
  return rows;
};
