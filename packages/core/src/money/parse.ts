import { minor, type Minor } from './minor';
import { minorDigits } from './currency';

/**
 * Reads a plain decimal text ("1234.50", "-7") as minor units of `currency`.
 * Gives `null` when it is no decimal number or has more digits than the currency has.
 */
export const parseAmount = (text: string, currency: string): Minor | null => {
  const match = /^(-?)(\d+)(?:\.(\d+))?$/.exec(text.trim());
  if (match === null) return null;
  const [, sign, whole, fraction = ''] = match;
  const digits = minorDigits(currency);
  if (fraction.length > digits) return null;
  const value = Number(`${whole}${fraction.padEnd(digits, '0')}`);
  return minor(sign === '-' && value !== 0 ? -value : value);
};
