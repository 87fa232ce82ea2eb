import type { Side } from '../kinds/element';
import { negate, sum, type Minor } from '../money/minor';
import type { ImportEntry } from './entry';
import type { ColumnUse } from './source';

/** How lists write the two sides, in pairs that belong together; common practice, no source. */
const PAIRS: readonly (readonly [debit: string, credit: string])[] = [
  ['debit', 'credit'],
  ['dr', 'cr'],
  ['d', 'c'],
  ['debits', 'credits'],
  ['soll', 'haben'],
  ['s', 'h'],
  ['débit', 'crédit'],
];

const written = (text: string): string => text.trim().toLowerCase().replace(/\.$/, '');

/** The side that a cell names: “Cr”, “Debit”; `null` for anything else. */
export const sideOfText = (text: string): Side | null => {
  const word = written(text);
  const pair = PAIRS.find((both) => both.includes(word));
  return pair === undefined ? null : pair[0] === word ? 'debit' : 'credit';
};

/** Whether texts are sides, both of one pair among them; H and D may as well be headings and details. */
export const areSides = (texts: readonly string[]): boolean => {
  const words = new Set(texts.map(written));
  return PAIRS.some((pair) => words.size === 2 && pair.every((word) => words.has(word)));
};

/** What speaks of the side of an account: its balance, else the side that the list names; a cent of it, debit positive. */
export const balanceOrSide = ({ balance, side }: ImportEntry): Minor => {
  if ((balance ?? 0) !== 0 || side === null) return balance ?? 0;
  return side === 'debit' ? 1 : -1;
};

/**
 * Entries whose amounts stand without a sign beside a column with their sides: those in credit below zero. Where they
 * come to nothing as they are, they have their sign already, and the column says on which side accounts are as a rule.
 * `isSum` tells lines of totals, which have no side.
 */
export const withSidesSaid = (
  entries: readonly ImportEntry[],
  columns: ReadonlySet<ColumnUse>,
  isSum: (entry: ImportEntry) => boolean,
): readonly ImportEntry[] => {
  if (!columns.has('side') || !columns.has('balance')) return entries;
  const signed = entries.filter((entry) => !isSum(entry)).map(({ balance }) => balance ?? 0);
  if (sum(signed) === 0) return entries;
  return entries.map((entry) =>
    entry.side === 'credit' && entry.balance !== null
      ? { ...entry, balance: negate(entry.balance) }
      : entry,
  );
};
