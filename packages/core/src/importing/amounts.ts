import { minorDigits } from '../money/currency';
import { minor, type Minor } from '../money/minor';

/** The sign before the decimals of a list: 1,234.50 or 1.234,50. */
export type DecimalSign = '.' | ',';

const bare = (text: string): string => text.replace(/[\s\u00a0\u202f'’]|\p{Sc}/gu, '');

/** How often the last sign of a text is a point, and how often a comma. */
const lastSigns = (
  texts: readonly string[],
  before: RegExp,
): Readonly<Record<DecimalSign, number>> => {
  const counts = { '.': 0, ',': 0 };
  for (const text of texts) {
    const [, sign] = before.exec(bare(text)) ?? [];
    if (sign === '.' || sign === ',') counts[sign] += 1;
  }
  return counts;
};

/**
 * The decimal sign that the amounts of a list speak for. Where all have three digits behind their last sign,
 * as “1.234” and “10.000” have, that sign groups thousands, unless the currency has three decimals; a point
 * where nothing speaks.
 */
export const decimalSignOf = (texts: readonly string[], currency: string): DecimalSign => {
  const decimals = lastSigns(texts, /([.,])(?:\d{1,2}|\d{4,})\D*$/);
  if (decimals['.'] !== decimals[',']) return decimals[','] > decimals['.'] ? ',' : '.';
  const thousands = lastSigns(texts, /([.,])\d{3}\D*$/);
  const grouping = decimals['.'] === 0 && minorDigits(currency) !== 3;
  return grouping && thousands['.'] > thousands[','] ? ',' : '.';
};

/** Whether a text is an amount of more digits than can be counted exactly. */
export const isBeyondCounting = (text: string): boolean =>
  /^[(\-+−]?[\d.,]+[)\-−]?(dr|cr|d|c)?$/i.test(bare(text)) && text.replace(/\D/g, '').length > 15;

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
