import type { AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import { eachNode } from '../chart/queries';
import { daysFrom, lastDayOf } from '../dates/calendar-date';
import type { Month } from '../dates/month';
import { normalSideOfKind, statementOf, type KindCode } from '../kinds/kinds';
import { add, type Minor } from '../money/minor';
import { resolvedSettings } from '../settings/rules';
import { sumOfItems, type OpenItemList } from './open-item';

/** What the open items of an account come to at the end of a month; debit positive. */
export interface OpenItemSum {
  readonly accountId: AccountId;
  readonly month: Month;
  readonly amount: Minor;
}

/** What lists of open items come to, account by account. */
export const openItemSums = (
  lists: readonly { readonly accountId: AccountId; readonly list: OpenItemList }[],
): readonly OpenItemSum[] =>
  lists.map(({ accountId, list: { month, items } }) => ({
    accountId,
    month,
    amount: sumOfItems(items),
  }));

/** The accounts that are to equal lists of open items, by what they are set to; those that have a list already, too. */
export const itemAccounts = (chart: Chart, listed: ReadonlySet<AccountId>): readonly ChartNode[] =>
  [...eachNode(chart.roots)].filter((node) => {
    const { account } = node;
    if (account.role !== 'posting' || statementOf(account.kind) !== 'balanceSheet') return false;
    if ([account.id, ...node.absorbed].some((id) => listed.has(id))) return true;
    const { openItems, controls } = resolvedSettings(account);
    const holdsItems = openItems || controls === 'receivables' || controls === 'payables';
    return holdsItems && account.retiredOn === null;
  });

/**
 * The newest lists of an account and of what was merged into it, of one month; none where there is none up to `through`.
 * Together they say what stood open in it then.
 */
export const newestLists = <L extends { readonly accountId: AccountId; readonly month: Month }>(
  { account, absorbed }: ChartNode,
  lists: readonly L[],
  through: Month,
): readonly L[] => {
  const own = lists.filter(
    ({ accountId, month }) =>
      month <= through && (accountId === account.id || absorbed.includes(accountId)),
  );
  const newest = own.reduce((so, { month }) => (month > so ? month : so), '');
  return own.filter(({ month }) => month === newest);
};

/** `1` where what is owed stands in debit in accounts of that kind, `-1` where it stands in credit. */
export const owedSign = (kind: KindCode): 1 | -1 => (normalSideOfKind(kind) === 'debit' ? 1 : -1);

/** Up to how many days old each age is; the last has no end. Usual in reports of who owes what: common practice, no source. */
export const AGES = [30, 60, 90, Infinity] as const;

/** What one party's items come to. */
export interface PartyItems {
  readonly party: string;
  readonly count: number;
  readonly amount: Minor;
  /** By `AGES`, as of the end of the month; what has no date is in none. */
  readonly aged: readonly Minor[];
  /** What has no date. */
  readonly undated: Minor;
}

/** A list's items by party, in the order of their names. Parties are one that differ in capitals and blanks alone. */
export const itemsByParty = ({ month, items }: OpenItemList): readonly PartyItems[] => {
  const day = lastDayOf(month);
  const parties = new Map<string, PartyItems>();
  for (const { party, date, amount } of items) {
    const key = party.trim().replace(/\s+/g, ' ').toLowerCase();
    const had = parties.get(key) ?? {
      party,
      count: 0,
      amount: 0,
      aged: AGES.map(() => 0),
      undated: 0,
    };
    const age = date === null ? -1 : AGES.findIndex((most) => daysFrom(date, day) <= most);
    parties.set(key, {
      party: had.party,
      count: had.count + 1,
      amount: add(had.amount, amount),
      aged: had.aged.map((sum, at) => (at === age ? add(sum, amount) : sum)),
      undated: date === null ? add(had.undated, amount) : had.undated,
    });
  }
  return [...parties.values()].sort((a, b) => a.party.localeCompare(b.party, 'en'));
};
