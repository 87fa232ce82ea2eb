import { amountColumns, type AmountColumn, type HeadedColumn } from './amount-columns';
import { useOfHeading } from './column-words';
import { periodHeading } from './period-headings';

/** The places of the columns for debit and credit. */
export interface SidedColumns {
  readonly debit: number;
  readonly credit: number;
}

/** Nothing known stands over them, at most words of another language. */
const mayHead = (heading: string): boolean =>
  heading === '' || (useOfHeading(heading) === null && periodHeading(heading) === null);

/** Fewer amounts than these come to the same by chance. */
const FEWEST = 2;

/** Whether each row has an amount in one of two columns, and both come to the same; a row with both is their total. */
const areSides = (left: AmountColumn, right: AmountColumn): boolean => {
  const rows = left.amounts.map((debit, row) => [debit, right.amounts[row] ?? null] as const);
  const counts = [0, 0];
  let apart = 0;
  for (const [debit, credit] of rows) {
    if (debit !== null && credit !== null && debit !== credit) return false;
    if ((debit === null) === (credit === null)) continue;
    if ((debit ?? credit ?? 0) < 0) return false;
    counts[debit === null ? 1 : 0] = (counts[debit === null ? 1 : 0] ?? 0) + 1;
    apart += (debit ?? 0) - (credit ?? 0);
  }
  return apart === 0 && counts.every((count) => count >= FEWEST);
};

/** Finds the columns for debit and credit of a trial balance that does not say so, by their sums; `null` for any other list. */
export const sidedColumns = (columns: readonly HeadedColumn[]): SidedColumns | null => {
  const held = amountColumns(columns, mayHead);
  const at = held.findIndex((left, place) => {
    const right = held[place + 1];
    return right !== undefined && areSides(left, right);
  });
  const [debit, credit] = [held[at], held[at + 1]];
  return debit === undefined || credit === undefined
    ? null
    : { debit: debit.at, credit: credit.at };
};
