import { minorDigits, type Minor } from '@iunctus/core';
import { cellText } from './cell-text';
import type { ChartRow } from './chart-table';

/** A text as a field between separators, in quotes where it needs them. Source: RFC 4180. */
export const fieldBetween = (separator: string, text: string): string =>
  /["\r\n]/.test(text) || text.includes(separator) ? `"${text.replaceAll('"', '""')}"` : text;

const field = (text: string): string => fieldBetween(',', cellText(text));

/** An amount as a plain decimal number, with all digits of its currency: -1234.50. */
export const plainAmount = (amount: Minor, currency: string): string => {
  const digits = minorDigits(currency);
  const text = String(Math.abs(amount)).padStart(digits + 1, '0');
  const whole = digits === 0 ? text : `${text.slice(0, -digits)}.${text.slice(-digits)}`;
  return amount < 0 ? `-${whole}` : whole;
};

const HEADINGS = [
  'Number',
  'Name',
  'Level',
  'Parent',
  'Role',
  'Kind',
  'Statement line',
  'Short label',
  'Guidance',
  'Notes',
  'Retired on',
] as const;

const cellsOf = (row: ChartRow, currency: string): readonly string[] => [
  ...[
    row.number,
    row.name,
    String(row.level),
    row.parent,
    row.role,
    row.kind,
    row.landing,
    row.shortLabel,
    row.guidance,
    row.notes,
    row.retiredOn,
  ].map(field),
  // A number of our own making, which may well begin with a minus.
  ...(row.amount === null ? [] : [plainAmount(row.amount, currency)]),
];

/** A chart as CSV. Source: RFC 4180; a byte order mark in front, so that spreadsheets read UTF-8. */
export const writeCsv = (rows: readonly ChartRow[], currency: string): string => {
  const withAmounts = rows.some(({ amount }) => amount !== null);
  const headings = [...HEADINGS, ...(withAmounts ? [`Amount ${currency}`] : [])];
  const lines = [headings.join(','), ...rows.map((row) => cellsOf(row, currency).join(','))];
  return `\ufeff${lines.map((line) => `${line}\r\n`).join('')}`;
};
