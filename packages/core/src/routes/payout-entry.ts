import type { AccountId } from '../chart/account';
import type { NewEntry } from '../entries/entry';
import { entryOfLines } from './line-entry';
import { PURPOSE_OF_SORT, type Gathered, type MarketLine } from './payouts';
import type { Purpose } from './purpose';
import { defaultAccount, routeLine, type RouteContext } from './route-line';

/** The purposes that a statement has lines for and that lead nowhere. A reserve without an account stays with what is held. */
export const missingFor = (
  lines: readonly MarketLine[],
  context: RouteContext,
): readonly Purpose[] => {
  const wanted = new Set<Purpose>(['holding']);
  for (const { sort } of lines) {
    const purpose = PURPOSE_OF_SORT[sort];
    if (purpose !== null && purpose !== 'heldBack') wanted.add(purpose);
  }
  return [...wanted].filter((purpose) => defaultAccount(purpose, context) === null);
};

/** Where a line of a statement goes; a reserve without an account stays with what is held. */
const targetOf = (line: MarketLine, atId: AccountId, context: RouteContext) => {
  const found = routeLine({ ...line, purpose: PURPOSE_OF_SORT[line.sort] }, context);
  const accountId = found.accountId ?? (line.sort === 'reserve' ? atId : null);
  const code = context.routes.taxCodes.find(({ id }) => id === found.taxCodeId);
  return accountId === null ? null : { atId, accountId, taxCode: code?.content ?? null };
};

/** The entry that gathered lines are posted as; `null` while one of them, or what holds them, leads nowhere. */
export const payoutEntry = (
  { lines, date }: Gathered,
  comment: string,
  context: RouteContext,
): NewEntry | null => {
  const atId = defaultAccount('holding', context);
  if (atId === null) return null;
  const targeted = lines.flatMap((line) => {
    const target = targetOf(line, atId, context);
    return target === null ? [] : [{ line, target }];
  });
  return targeted.length < lines.length ? null : entryOfLines(targeted, { date, comment }, context);
};
