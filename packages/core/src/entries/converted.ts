import { minorDigits } from '../money/currency';
import { AMOUNT_LIMIT, minor, type Minor } from '../money/minor';

const RATE = /^(\d{1,9})(?:\.(\d{1,10}))?$/;

/** Whether the text is a rate: a decimal number above zero, with at most nine digits before the point and ten after it. */
export const isRate = (text: string): boolean => RATE.test(text) && /[1-9]/.test(text);

const power = (digits: number): bigint => 10n ** BigInt(digits);

const halfAway = (numerator: bigint, denominator: bigint): bigint => {
  const sign = numerator < 0n ? -1n : 1n;
  return sign * ((2n * sign * numerator + denominator) / (2n * denominator));
};

/**
 * An amount of one currency in another, exactly multiplied and then rounded to the minor unit, halves away from zero
 * (common practice, no source). `null` for what is no rate, and for more than can be entered.
 * @param amount minor units of `from`
 * @param rate   so many of `into` for one of `from`, as a decimal text
 */
export const converted = (
  amount: Minor,
  { from, into, rate }: { readonly from: string; readonly into: string; readonly rate: string },
): Minor | null => {
  const match = RATE.exec(rate);
  if (match === null || !isRate(rate)) return null;
  const [, whole = '', fraction = ''] = match;
  const value = halfAway(
    BigInt(amount) * BigInt(`${whole}${fraction}`) * power(minorDigits(into)),
    power(fraction.length) * power(minorDigits(from)),
  );
  return value > BigInt(AMOUNT_LIMIT) || value < -BigInt(AMOUNT_LIMIT)
    ? null
    : minor(Number(value));
};
