import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { standsFor } from '../chart/queries';
import { add, negate, subtract, type Minor } from '../money/minor';

/** What was posted to an account in debit and in credit, both positive. */
export interface Movement {
  readonly debit: Minor;
  readonly credit: Minor;
}

const NONE: Movement = { debit: 0, credit: 0 };

/** Movements by the accounts that count them now: those of a merged account count with what it was merged into. */
export const movementsIn = (
  chart: Chart,
  posted: ReadonlyMap<AccountId, Movement>,
): ReadonlyMap<AccountId, Movement> => {
  const counted = new Map<AccountId, Movement>();
  for (const [id, { debit, credit }] of posted) {
    const at = standsFor(chart, id);
    if (at === null) continue;
    const known = counted.get(at) ?? NONE;
    counted.set(at, { debit: add(known.debit, debit), credit: add(known.credit, credit) });
  }
  return counted;
};

/**
 * Debits and credits as far as they lead from one balance to the other, debit positive. Where they do not, since
 * part of them is hidden or a fiscal year ended between, what the balances tell by themselves: the difference, on
 * its side.
 */
export const movementBetween = (
  { opening, closing }: { readonly opening: Minor; readonly closing: Minor },
  { debit, credit }: Movement = NONE,
): Movement => {
  const net = subtract(closing, opening);
  if (subtract(debit, credit) === net) return { debit, credit };
  return net > 0 ? { debit: net, credit: 0 } : { debit: 0, credit: negate(net) };
};
