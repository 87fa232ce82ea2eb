import { minorDigits } from '../money/currency';
import { dividedHalfAway, readDecimal, tens, type Decimal } from '../money/decimal';
import { AMOUNT_LIMIT, minor, type Minor } from '../money/minor';

const readRate = (text: string): Decimal | null => {
  const rate = readDecimal(text, { whole: 9, places: 10 });
  return rate === null || rate.digits === 0n ? null : rate;
};

/** Whether the text is a rate: a decimal number above zero, with at most nine digits before the point and ten after it. */
export const isRate = (text: string): boolean => readRate(text) !== null;

/**
 * An amount of one currency in another, exactly multiplied and then rounded to the minor unit, halves away from zero.
 * `null` for what is no rate, and for more than can be entered.
 * @param amount minor units of `from`
 * @param rate   so many of `into` for one of `from`, as a decimal text
 */
export const converted = (
  amount: Minor,
  { from, into, rate }: { readonly from: string; readonly into: string; readonly rate: string },
): Minor | null => {
  const read = readRate(rate);
  if (read === null) return null;
  const value = dividedHalfAway(
    BigInt(amount) * read.digits * tens(minorDigits(into)),
    tens(read.places + minorDigits(from)),
  );
  return value > BigInt(AMOUNT_LIMIT) || value < -BigInt(AMOUNT_LIMIT)
    ? null
    : minor(Number(value));
};
