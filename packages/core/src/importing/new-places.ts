import type { Account, AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import type { Place } from '../chart/edit';
import { childrenOf } from '../chart/queries';
import { elementOf } from '../kinds/kinds';
import { lastBeforeContra } from '../planning/plan-add';

/** Where a new account of a list may go. */
export interface PlaceRequest {
  readonly parentId: AccountId | null;
  /** The account that came last to each parent, by its id; empty text for main accounts. */
  readonly lasts: ReadonlyMap<string, AccountId>;
  /** Whether the order of the list is the order: the chart had no accounts, or the list takes its place. */
  readonly asListed: boolean;
}

const before = (a: string, b: string): boolean => a.localeCompare(b, 'en', { numeric: true }) < 0;

/** The last of the neighbours whose number is lower; `undefined` where numbers say nothing. */
const lastLower = (siblings: readonly ChartNode[], number: string): ChartNode | undefined =>
  siblings.findLast(({ account }) => account.number !== null && before(account.number, number));

/** After the account before it in the list, or in a living chart where its number belongs; else last before any contra. */
export const placeFor = (chart: Chart, account: Account, request: PlaceRequest): Place => {
  const { parentId, lasts, asListed } = request;
  const last = lasts.get(parentId ?? '');
  if (asListed) return { parentId, afterId: last ?? null };
  const all = childrenOf(chart, parentId).filter((node) => node.account.id !== account.id);
  const element = elementOf(account.kind);
  const own =
    parentId === null ? all.filter((node) => elementOf(node.account.kind) === element) : all;
  const lower = account.number === null ? undefined : lastLower(own, account.number);
  const listed = own.some((node) => node.account.id === last) ? last : undefined;
  const afterId = lower?.account.id ?? listed ?? lastBeforeContra(own);
  if (afterId !== null || parentId !== null) return { parentId, afterId };
  return { parentId, afterId: all.at(-1)?.account.id ?? null };
};
