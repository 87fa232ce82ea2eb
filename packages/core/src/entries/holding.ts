import { dividedHalfAway, readDecimal, tens } from '../money/decimal';
import { AMOUNT_LIMIT, minor, subtract, type Minor } from '../money/minor';

/** What a holding is worth, and what it gained over what it cost. */
export interface Worth {
  readonly value: Minor;
  readonly gain: Minor;
}

/**
 * What so many units are worth at a price, rounded once to the minor unit, and the gain over their cost that nobody has
 * realised yet. `null` for units that are no decimal number, and for more than can be counted.
 * @param units as a decimal text, never rounded
 * @param price of one unit, in minor units
 * @param cost  what the account has, debit positive
 */
export const worthOf = (
  units: string,
  { price, cost }: { readonly price: Minor; readonly cost: Minor },
): Worth | null => {
  const read = readDecimal(units, { whole: 15, places: 9 });
  if (read === null) return null;
  const value = dividedHalfAway(read.digits * BigInt(price), tens(read.places));
  if (value > BigInt(AMOUNT_LIMIT)) return null;
  return { value: minor(Number(value)), gain: subtract(minor(Number(value)), cost) };
};
