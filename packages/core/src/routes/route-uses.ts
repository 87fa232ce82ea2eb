import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { accountOf, standsFor } from '../chart/queries';
import type { RouteItem } from './route-item';
import { accountsIn } from './routes';

/** The pieces of the routes that lead to an account, also by way of accounts that were merged into it. */
export const routesTo = (
  items: readonly RouteItem[],
  chart: Chart,
  id: AccountId,
): readonly RouteItem[] =>
  items.filter(({ content }) => accountsIn(content).some((one) => standsFor(chart, one) === id));

/** A piece of the routes that leads nowhere, and the account that it names. */
export interface LostRoute {
  readonly itemId: string;
  readonly accountId: AccountId;
}

const takes = (chart: Chart, id: AccountId, isProof: boolean): boolean => {
  const standing = standsFor(chart, id);
  const account = standing === null ? undefined : accountOf(chart, standing);
  if (account === undefined) return false;
  // A proof may name a heading: that is where it expects something to count.
  return isProof || (account.role === 'posting' && account.retiredOn === null);
};

/** The pieces that lead nowhere on a chart: their account is gone, a heading by now, or retired. A merge carries them along. */
export const lostOn = (items: readonly RouteItem[], chart: Chart): readonly LostRoute[] =>
  items.flatMap(({ id: itemId, content }) => {
    const accountId = accountsIn(content).find((id) => !takes(chart, id, content.type === 'proof'));
    return accountId === undefined ? [] : [{ itemId, accountId }];
  });

/** The pieces that lead somewhere on one chart and nowhere on another. */
export const lostBetween = (
  items: readonly RouteItem[],
  { before, after }: { readonly before: Chart; readonly after: Chart },
): readonly LostRoute[] => {
  const known = new Set(lostOn(items, before).map(({ itemId }) => itemId));
  return lostOn(items, after).filter(({ itemId }) => !known.has(itemId));
};

/** What of a standing entry leads to accounts. */
interface Standing {
  readonly entry: { readonly lines: readonly { readonly accountId: AccountId | null }[] };
}

/** The standing entries that post on an account, also by way of accounts that were merged into it. */
export const standingsOn = <S extends Standing>(
  standings: readonly S[],
  chart: Chart,
  id: AccountId,
): readonly S[] =>
  standings.filter(({ entry }) =>
    entry.lines.some(({ accountId }) => accountId !== null && standsFor(chart, accountId) === id),
  );

/** The standing entries that can be posted on one chart and not on another: an account of theirs is gone or takes none. */
export const standingsLost = <S extends Standing>(
  standings: readonly S[],
  { before, after }: { readonly before: Chart; readonly after: Chart },
): readonly S[] => {
  const stands = (chart: Chart, { entry }: S): boolean =>
    entry.lines.every(({ accountId }) => accountId === null || takes(chart, accountId, false));
  return standings.filter((one) => stands(before, one) && !stands(after, one));
};
