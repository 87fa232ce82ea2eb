import type { Minor } from './minor';
import { minorDigits } from './currency';

/** How an amount is written: `negatives` as printed statements do, or with a sign in front. */
export interface AmountStyle {
  readonly currency: string;
  readonly negatives?: 'parentheses' | 'sign';
  /** Written for zero; a dash on statements. */
  readonly zero?: string;
}

const grouped = (digits: string): string => digits.replace(/\B(?=(\d{3})+$)/g, ',');

const magnitude = (amount: Minor, digits: number): string => {
  const text = String(Math.abs(amount)).padStart(digits + 1, '0');
  if (digits === 0) return grouped(text);
  return `${grouped(text.slice(0, -digits))}.${text.slice(-digits)}`;
};

/** Writes an amount of minor units with thousands grouped and all digits of its currency. */
export const formatAmount = (amount: Minor, style: AmountStyle): string => {
  if (amount === 0 && style.zero !== undefined) return style.zero;
  const text = magnitude(amount, minorDigits(style.currency));
  if (style.negatives === 'sign') return `${amount < 0 ? '−' : '+'}${text}`;
  return amount < 0 ? `(${text})` : text;
};

/** Tenths of a per cent as a decimal number with one digit behind the point; negatives in parentheses or with a sign. */
export const formatTenths = (
  tenths: number,
  negatives: NonNullable<AmountStyle['negatives']>,
): string => {
  const text = `${Math.trunc(Math.abs(tenths) / 10)}.${Math.abs(tenths) % 10}`;
  if (tenths >= 0) return text;
  return negatives === 'sign' ? `-${text}` : `(${text})`;
};
