import type { AccountId } from '../chart/account';
import type { CalendarDate } from '../dates/calendar-date';
import type { Operation } from '../operations/operation';
import type { Refusal } from '../operations/refusal';
import type { ChartInWork } from './chart-in-work';
import type { ClashRule } from './clashes';
import type { Fate, MissingAccount } from './import-plan';

/** Deletes or retires what the list lacks, from below; gives what is refused, by account. */
export const disposeMissing = (
  work: ChartInWork,
  missing: readonly MissingAccount[],
  { fate, today }: { readonly fate: 'delete' | 'retire'; readonly today: CalendarDate },
): ReadonlyMap<AccountId, Refusal> => {
  const refusals = new Map<AccountId, Refusal>();
  for (const { account, fate: wanted } of [...missing].reverse()) {
    if (wanted !== fate) continue;
    const { id } = account;
    const operation: Operation =
      fate === 'delete' ? { type: 'deleteAccount', id } : { type: 'retire', id, on: today };
    const refusal = work.try([operation]);
    if (refusal !== null) refusals.set(id, refusal);
  }
  return refusals;
};

/** What a list that replaces the chart cannot delete is retired, unless the user says what becomes of it. */
export const retiredInstead = (
  missing: readonly MissingAccount[],
  refused: ReadonlyMap<AccountId, Refusal>,
  said: { readonly clashes: ClashRule | null; readonly fates: ReadonlyMap<AccountId, Fate> },
): readonly MissingAccount[] =>
  said.clashes !== 'replace'
    ? missing
    : missing.map((one) => {
        const { id } = one.account;
        return refused.has(id) && !said.fates.has(id) ? { ...one, fate: 'retire' } : one;
      });
