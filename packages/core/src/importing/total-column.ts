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

/** What parts come to, row by row, and how many of them are there. */
class Parts {
  private readonly sums: number[];
  private readonly counts: number[];

  constructor(rows: number) {
    this.sums = Array.from({ length: rows }, () => 0);
    this.counts = Array.from({ length: rows }, () => 0);
  }

  add({ amounts }: AmountColumn): void {
    amounts.forEach((amount, row) => {
      if (amount === null || amount === 0) return;
      this.sums[row] = (this.sums[row] ?? 0) + amount;
      this.counts[row] = (this.counts[row] ?? 0) + 1;
    });
  }

  against({ amounts }: AmountColumn): Sums {
    let [agreed, apart, filled] = [0, 0, 0];
    amounts.forEach((whole, row) => {
      const count = this.counts[row] ?? 0;
      if (whole === null && count === 0) return;
      filled += 1;
      const same = this.sums[row] === (whole ?? 0);
      if (same && count >= FEWEST_PARTS) agreed += 1;
      if (!same) apart += 1;
    });
    return { agreed, apart, filled };
  }
}

const isTotal = ({ agreed, apart, filled }: Sums): boolean =>
  agreed >= FEWEST && apart <= APART * filled;

/**
 * Finds the first column of totals whose parts, at least two, stand side by side before it: funds, departments, months.
 * Common practice, no source. `null` for a list that has none.
 */
export const totalColumn = (columns: readonly HeadedColumn[]): TotalColumn | null => {
  const held = amountColumns(columns, () => true);
  for (const [place, total] of held.entries()) {
    const parts = new Parts(total.amounts.length);
    for (let from = place - 1; from >= 0; from -= 1) {
      const next = held[from];
      if (next === undefined) break;
      parts.add(next);
      const several = place - from >= FEWEST_PARTS;
      if (several && isTotal(parts.against(total))) return { first: next.at, total: total.at };
    }
  }
  return null;
};
