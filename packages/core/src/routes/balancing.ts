import type { AccountId } from '../chart/account';
import type { NewEntry } from '../entries/entry';
import { minorDigits } from '../money/currency';
import type { Minor } from '../money/minor';
import type { Purpose } from './purpose';
import { defaultAccount, type RouteContext } from './route-line';

/** Where what an entry is out of balance by is likely to belong. */
export interface Balancing {
  readonly purpose: Purpose;
  readonly accountId: AccountId;
}

const purposeOf = (
  { lines }: Pick<NewEntry, 'lines'>,
  difference: Minor,
  currency: string,
): Purpose | null => {
  if (difference === 0) return null;
  if (lines.some(({ foreign }) => foreign !== null)) return 'exchangeDifference';
  return Math.abs(difference) < 10 ** minorDigits(currency) ? 'rounding' : null;
};

/**
 * The account to which the difference of an entry is offered: that for exchange differences where a line is in another
 * currency, that for rounding where it is less than one whole unit of the books' currency; `null` for any other, and
 * where the client has no such default.
 */
export const balancingFor = (
  entry: Pick<NewEntry, 'lines'>,
  { difference, currency }: { readonly difference: Minor; readonly currency: string },
  context: RouteContext,
): Balancing | null => {
  const purpose = purposeOf(entry, difference, currency);
  const accountId = purpose === null ? null : defaultAccount(purpose, context);
  return purpose === null || accountId === null ? null : { purpose, accountId };
};
