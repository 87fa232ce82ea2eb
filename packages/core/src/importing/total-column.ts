import { amountColumns, type AmountColumn, type HeadedColumn } from './amount-columns';

/** The places of a column of totals and of the first of those, side by side before it, which it sums up. */
export interface TotalColumn {
  readonly first: number;
  readonly total: number;
}

/** Fewer sums than these come out by chance. */
const FEWEST = 3;
const FEWEST_PARTS = 2;
/** A print has a slip of the pen, or an amount that is rounded. */
const APART = 0.1;

interface Sums {
  /** Rows of which at least two parts come to the total. */
  readonly agreed: number;
  readonly apart: number;
  readonly filled: number;
}

const sumsOf = (parts: readonly AmountColumn[], total: AmountColumn): Sums => {
  let [agreed, apart, filled] = [0, 0, 0];
  total.amounts.forEach((whole, row) => {
    const held = parts.map(({ amounts }) => amounts[row] ?? 0);
    const several = held.filter((amount) => amount !== 0).length >= FEWEST_PARTS;
    if (whole === null && held.every((amount) => amount === 0)) return;
    filled += 1;
    const same = held.reduce((sum, amount) => sum + amount, 0) === (whole ?? 0);
    if (same && several) agreed += 1;
    if (!same) apart += 1;
  });
  return { agreed, apart, filled };
};

const isTotal = ({ agreed, apart, filled }: Sums): boolean =>
  agreed >= FEWEST && apart <= APART * filled;

/**
 * Finds the first column of totals whose parts, at least two, stand side by side before it: funds, departments, months.
 * Common practice, no source. `null` for a list that has none.
 */
export const totalColumn = (columns: readonly HeadedColumn[]): TotalColumn | null => {
  const held = amountColumns(columns, () => true);
  for (const [place, total] of held.entries())
    for (let from = place - FEWEST_PARTS; from >= 0; from -= 1) {
      const parts = held.slice(from, place);
      const first = parts[0]?.at ?? 0;
      if (isTotal(sumsOf(parts, total))) return { first, total: total.at };
    }
  return null;
};
