/**
 * An amount of money: a whole number of the currency's minor unit (cents for USD, yen for JPY,
 * fils for BHD). It is an exact integer; the functions here refuse to leave the exact range.
 */
export type Minor = number;

/** The largest amount that may be entered, either side of zero: sums of many thousands of such stay exact. */
export const AMOUNT_LIMIT = 10_000_000_000_000;

/** Thrown where amounts come to more than can be counted exactly (2⁵³ minor units, either side of zero). */
export class AmountError extends RangeError {}

const exact = (value: number): Minor => {
  if (!Number.isSafeInteger(value)) throw new AmountError(`not an exact amount: ${value}`);
  return value === 0 ? 0 : value;
};

/** Takes a number as an amount of minor units. Throws `AmountError` when it is no exact integer. */
export const minor = (value: number): Minor => exact(value);

/** Sum of two amounts of one currency. Throws `AmountError` outside the exact range. */
export const add = (a: Minor, b: Minor): Minor => exact(a + b);

/** First amount less the second. Throws `AmountError` outside the exact range. */
export const subtract = (a: Minor, b: Minor): Minor => exact(a - b);

/** The amount with its sign turned; zero stays plain zero. */
export const negate = (a: Minor): Minor => (a === 0 ? 0 : -a);

/** Sum of many amounts of one currency, zero for none. */
export const sum = (amounts: Iterable<Minor>): Minor => {
  let total = 0;
  for (const amount of amounts) total = add(total, amount);
  return total;
};
