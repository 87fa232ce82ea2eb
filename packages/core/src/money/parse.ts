import { minor, type Minor } from './minor';
import { minorDigits } from './currency';

/**
 * Reads a plain decimal text ("1234.50", "1,234.50", "-7") as minor units of `currency`.
 * Gives `null` when it is no decimal number, has more digits than the currency has, or is too large to
 * be exact.
 */
export const parseAmount = (text: string, currency: string): Minor | null => {
  const match = /^(-?)(\d{1,3}(?:,\d{3})+|\d+)(?:\.(\d+))?$/.exec(text.trim());
  if (match === null) return null;
  const [, sign, whole = '', fraction = ''] = match;
  const digits = minorDigits(currency);
  if (fraction.length > digits) return null;
  const value = Number(`${whole.replaceAll(',', '')}${fraction.padEnd(digits, '0')}`);
  if (!Number.isSafeInteger(value)) return null;
  return minor(sign === '-' && value !== 0 ? -value : value);
};
