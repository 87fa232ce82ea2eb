import type { AccountId } from '../chart/account';
import type { Month } from '../dates/month';
import type { WantedBalance } from './opening';

/** Longest name of a list, in characters. */
export const LIST_NAME_LIMIT = 200;

/** Balances that accounts are to have at the end of a month, as a list gave them. */
export interface OpeningBalances {
  /** The month at whose end the list was drawn up. */
  readonly last: Month;
  /** What the list is called: its file, say. */
  readonly list: string;
  readonly balances: readonly WantedBalance[];
}

/** The balances without those of some accounts. */
export const withoutBalances = (
  opening: OpeningBalances,
  gone: readonly AccountId[],
): OpeningBalances => {
  const ids = new Set(gone);
  return {
    ...opening,
    balances: opening.balances.filter(({ accountId }) => !ids.has(accountId)),
  };
};
