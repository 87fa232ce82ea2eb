import type { Account, AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { accountsById, standsFor } from '../chart/queries';
import { add, negate, subtract, sum, type Minor } from '../money/minor';
import type { DimensionUse, DimensionValues } from '../dimensions/dimension';
import { ledgerOf, rollUpOver, type AmountsTuple } from './amounts';
import { trialBalance } from './trial-balance';

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

/** What the list wants of each account; of one that was merged, the account that counts for it. */
const sumsOf = (chart: Chart, wanted: readonly WantedBalance[]): ReadonlyMap<AccountId, Minor> => {
  const sums = new Map<AccountId, Minor>();
  for (const { accountId, amount } of wanted) {
    const id = standsFor(chart, accountId) ?? accountId;
    sums.set(id, add(sums.get(id) ?? 0, amount));
  }
  return sums;
};

const valuesOf = (account: Account | undefined): DimensionValues =>
  Object.fromEntries(
    usesOf(account).flatMap(({ dimensionId, valueId }) =>
      valueId === null ? [] : [[dimensionId, valueId]],
    ),
  );

/**
 * Plans the entry that brings accounts to the balances of a list: only what differs from the books is
 * posted, so that the same list again posts nothing. What the changes leave open goes to the account for
 * opening balances. `books` are the amounts over the fiscal year up to the day. Law: after it, each account
 * that was not refused has what was wanted.
 */
export const planOpening = (
  chart: Chart,
  books: readonly AmountsTuple[],
  wanted: readonly WantedBalance[],
): OpeningPlan => {
  const accounts = accountsById(chart);
  const now = trialBalance(chart, rollUpOver(ledgerOf(books)), false);
  const lines: OpeningLine[] = [];
  const refused: { accountId: AccountId; why: OpeningRefusal }[] = [];
  for (const [accountId, amount] of sumsOf(chart, wanted)) {
    const has = now.get(accountId) ?? 0;
    if (has === amount) continue;
    const account = accounts.get(accountId);
    const why = refusalOf(account);
    if (why !== null) refused.push({ accountId, why });
    else
      lines.push({
        accountId,
        now: has,
        wanted: amount,
        change: subtract(amount, has),
        values: valuesOf(account),
      });
  }
  const difference = negate(lines.reduce((sum, { change }) => add(sum, change), 0));
  return { lines, difference, equityId: equityOf(accounts), refused };
};

/** Whether an entry can be posted as it is planned: nothing is refused, and what is left open has a place. */
export const isPostable = ({ refused, difference, equityId }: OpeningPlan): boolean =>
  refused.length === 0 && (difference === 0 || equityId !== null);

/** The lines of the entry, what is left open included; debit positive. */
export const entryOf = ({
  lines,
  difference,
  equityId,
}: OpeningPlan): readonly { accountId: AccountId; amount: Minor; values: DimensionValues }[] => [
  ...lines.map(({ accountId, change: amount, values }) => ({ accountId, amount, values })),
  ...(difference === 0 || equityId === null
    ? []
    : [{ accountId: equityId, amount: difference, values: {} }]),
];
