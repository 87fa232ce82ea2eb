import { AMOUNT_LIMIT, minor, subtract, type Minor } from '../money/minor';

/** What a holding is worth, and what it gained over what it cost. */
export interface Worth {
  readonly value: Minor;
  readonly gain: Minor;
}

const UNITS = /^(\d{1,15})(?:\.(\d{1,9}))?$/;

/**
 * What so many units are worth at a price, rounded to the minor unit with halves up, and the gain over their cost that
 * nobody has realised yet. `null` for units that are no decimal number, and for more than can be counted.
 * @param units as a decimal text, never rounded
 * @param price of one unit, in minor units
 * @param cost  what the account has, debit positive
 */
export const worthOf = (
  units: string,
  { price, cost }: { readonly price: Minor; readonly cost: Minor },
): Worth | null => {
  const match = UNITS.exec(units.trim());
  if (match === null) return null;
  const [, whole = '', fraction = ''] = match;
  const scale = 10n ** BigInt(fraction.length);
  const value = (2n * BigInt(`${whole}${fraction}`) * BigInt(price) + scale) / (2n * scale);
  if (value > BigInt(AMOUNT_LIMIT)) return null;
  return { value: minor(Number(value)), gain: subtract(minor(Number(value)), cost) };
};
