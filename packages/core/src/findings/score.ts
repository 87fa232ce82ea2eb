import type { AccountId } from '../chart/account';
import { add, type Minor } from '../money/minor';
import { atStake, openAccounts } from './accounts';
import type { Finding, FindingCode, LookedAt } from './finding';

/** What keeps an amount from its line, or from being sure of it. */
const DOUBTS: readonly FindingCode[] = [
  'kindDoubt',
  'unusualBalance',
  'leftToClear',
  'controlApart',
  'misplacedLine',
  'contraApart',
  'duplicate',
  'catchAll',
  'nameSaysNothing',
  'postedParent',
];

/** What part of all amounts lands on its lines without doubt. */
export interface TidyScore {
  /** Tenths of a per cent. */
  readonly part: number;
  readonly whole: Minor;
  readonly doubted: Minor;
  /** What keeps most from it; `null` for nothing. */
  readonly most: Finding | null;
}

/** The part of what accounts hold, or took in a year, that no finding casts doubt on; each account counts once. */
export const tidyScore = (
  { chart, use }: LookedAt,
  findings: readonly Finding[],
): TidyScore | null => {
  if (use === null) return null;
  const stakes = new Map(
    openAccounts(chart).map((node) => [node.account.id, atStake(use, node)] as const),
  );
  const doubting = findings.filter(({ code }) => DOUBTS.includes(code));
  const doubtedIds = new Set<AccountId>(doubting.flatMap(({ accountIds: [id] }) => id ?? []));
  const sumOf = (ids: Iterable<AccountId>): Minor =>
    [...ids].reduce((so, id) => add(so, stakes.get(id) ?? 0), 0);
  const [whole, doubted] = [sumOf(stakes.keys()), sumOf(doubtedIds)];
  const part = whole === 0 ? 1000 : Math.floor(((whole - doubted) * 1000) / whole);
  const most = doubting.reduce<Finding | null>(
    (so, one) => (one.amount > (so?.amount ?? 0) ? one : so),
    null,
  );
  return { part, whole, doubted, most };
};
