import type { Account, AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { accountsById } from '../chart/queries';
import { add, negate, subtract, sum, type Minor } from '../money/minor';
import type { DimensionUse, DimensionValues } from '../dimensions/dimension';

/** A balance that an account should have; debit positive. */
export interface WantedBalance {
  readonly accountId: AccountId;
  readonly amount: Minor;
}

/** What balances come to on each side; both positive. */
export const sidesOf = (
  balances: readonly WantedBalance[],
): { readonly debit: Minor; readonly credit: Minor } => ({
  debit: sum(balances.map(({ amount }) => Math.max(amount, 0))),
  credit: sum(balances.map(({ amount }) => Math.max(negate(amount), 0))),
});

/** What an account has, should have, and what is posted so that it does; debit positive. */
export interface OpeningLine {
  readonly accountId: AccountId;
  readonly now: Minor;
  readonly wanted: Minor;
  readonly change: Minor;
  /** The dimension values that its postings get of themselves. */
  readonly values: DimensionValues;
}

/** Why nothing can be posted to an account that should have another balance. */
export type OpeningRefusal = 'gone' | 'heading' | 'retired' | 'wantsDimension';

/** The entry that gives accounts their balances. */
export interface OpeningPlan {
  /** The accounts whose balance changes. */
  readonly lines: readonly OpeningLine[];
  /** What the changes leave open; debit positive. It goes to the account for opening balances. */
  readonly difference: Minor;
  /** The account for opening balances; `null` where the chart has none that is open. */
  readonly equityId: AccountId | null;
  readonly refused: readonly { readonly accountId: AccountId; readonly why: OpeningRefusal }[];
}

const equityOf = (accounts: ReturnType<typeof accountsById>): AccountId | null => {
  for (const { id, kind, role, retiredOn } of accounts.values())
    if (kind === 'openingBalanceEquity' && role === 'posting' && retiredOn === null) return id;
  return null;
};

const usesOf = (account: Account | undefined): readonly DimensionUse[] =>
  account?.settings.dimensions ?? [];

const refusalOf = (account: Account | undefined): OpeningRefusal | null => {
  if (account === undefined) return 'gone';
  if (account.role === 'heading') return 'heading';
  if (account.retiredOn !== null) return 'retired';
  const open = usesOf(account).some(({ demanded, valueId }) => demanded && valueId === null);
  return open ? 'wantsDimension' : null;
};

/**
 * Plans the entry that brings accounts to the balances of a list: only what differs from `now` is posted,
 * so that the same list again posts nothing. What the changes leave open goes to the account for opening
 * balances. `now` is the trial balance at the day. Law: after it, each account that was not refused has
 * what was wanted.
 */
export const planOpening = (
  chart: Chart,
  now: ReadonlyMap<AccountId, Minor>,
  wanted: readonly WantedBalance[],
): OpeningPlan => {
  const accounts = accountsById(chart);
  const lines: OpeningLine[] = [];
  const refused: { accountId: AccountId; why: OpeningRefusal }[] = [];
  const sums = new Map<AccountId, Minor>();
  for (const { accountId, amount } of wanted)
    sums.set(accountId, add(sums.get(accountId) ?? 0, amount));
  for (const [accountId, amount] of sums) {
    const has = now.get(accountId) ?? 0;
    if (has === amount) continue;
    const account = accounts.get(accountId);
    const why = refusalOf(account);
    const values = Object.fromEntries(
      usesOf(account).flatMap(({ dimensionId, valueId }) => (valueId === null ? [] : [[dimensionId, valueId]])),
    ) as DimensionValues;
    if (why === null)
      lines.push({ accountId, now: has, wanted: amount, change: subtract(amount, has), values });
    else refused.push({ accountId, why });
  }
  const difference = negate(lines.reduce((sum, { change }) => add(sum, change), 0));
  return { lines, difference, equityId: equityOf(accounts), refused };
}; // prettier-ignore
