import { minorDigits } from '../money/currency';
import { minor, type Minor } from '../money/minor';

/** The sign before the decimals of a list: 1,234.50 or 1.234,50. */
export type DecimalSign = '.' | ',';

const bare = (text: string): string => text.replace(/[\s\u00a0\u202f'’]|\p{Sc}/gu, '');

/** The decimal sign that the amounts of a list speak for; a point where nothing does. */
export const decimalSignOf = (texts: readonly string[]): DecimalSign => {
  let [points, commas] = [0, 0];
  for (const text of texts) {
    const last = /([.,])(\d+)\D*$/.exec(bare(text));
    if (last === null || last[2]?.length === 3) continue;
    if (last[1] === '.') points += 1;
    else commas += 1;
  }
  return commas > points ? ',' : '.';
};

/**
 * Reads an amount as lists have them: grouped digits, a currency's sign, a minus before or behind,
 * parentheses for negative, Dr or Cr behind. Gives minor units, debit positive; `null` when it is no
 * amount, or has more decimals than the currency.
 */
export const readListedAmount = (
  text: string,
  { currency, decimal }: { readonly currency: string; readonly decimal: DecimalSign },
): Minor | null => {
  const group = decimal === '.' ? ',' : '.';
  const match = /^(\(?)([-+−]?)([\d.,]+)([-−]?)(\)?)(dr|cr|d|c)?\.?$/i.exec(
    bare(text).replace(/^([-−(]?)[A-Z]{3}(?=[\d\-(])/, '$1'),
  );
  if (match === null) return null;
  const [, open = '', before = '', digits = '', behind = '', close = '', side = ''] = match;
  if ((open === '') !== (close === '')) return null;
  const [whole = '', fraction = '', ...more] = digits.split(decimal);
  const grouped = new RegExp(`^\\d{1,3}(\\${group}\\d{2,3})*\\${group}\\d{3}$|^\\d*$`);
  if (more.length > 0 || !grouped.test(whole) || fraction.includes(group)) return null;
  const places = minorDigits(currency);
  const kept = fraction.replace(/0+$/, '');
  if (kept.length > places || whole + fraction === '') return null;
  const value = Number(`${whole.replaceAll(group, '')}${kept.padEnd(places, '0')}`);
  if (!Number.isSafeInteger(value)) return null;
  const negative = [/[-−]/.test(before), behind !== '', open !== '', /^c/i.test(side)];
  const minus = negative.filter(Boolean).length % 2 === 1;
  return minor(minus && value !== 0 ? -value : value);
};
