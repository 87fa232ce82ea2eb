import { decimalSignOf, readListedAmount } from './amounts';
import { CURRENCY } from './period-headings';

/** A column of a list: its heading and what stands in each row, empty for nothing. */
export interface HeadedColumn {
  readonly heading: string;
  readonly cells: readonly string[];
}

/** Amounts are read alike in any currency as long as they are only compared; this one has the most decimals. */
const FINEST = 'BHD';
/** One with two decimals, so that “1.234” and “10.000” are thousands. */
const USUAL = 'USD';

const AMOUNTS = 0.9;
/** An empty cell, or the dash that stands for no amount. */
const NOTHING = /^[-–—]?$/;

/** A column of amounts among the columns of a list. */
export interface AmountColumn {
  readonly at: number;
  readonly heading: string;
  /** `null` for none. */
  readonly amounts: readonly (number | null)[];
}

const amountsIn = ({ cells }: HeadedColumn): AmountColumn['amounts'] | null => {
  const filled = cells.filter((cell) => !NOTHING.test(cell) && !CURRENCY.test(cell));
  const decimal = decimalSignOf(filled, USUAL);
  const amounts = cells.map((cell) => readListedAmount(cell, { currency: FINEST, decimal }));
  const read = amounts.filter((amount) => amount !== null).length;
  return filled.length > 0 && read >= AMOUNTS * filled.length ? amounts : null;
};

/** The columns that hold amounts, to be compared with one another, of those whose heading may be. */
export const amountColumns = (
  columns: readonly HeadedColumn[],
  mayHead: (heading: string) => boolean,
): readonly AmountColumn[] =>
  columns.flatMap((column, at) => {
    const amounts = mayHead(column.heading) ? amountsIn(column) : null;
    return amounts === null ? [] : [{ at, heading: column.heading, amounts }];
  });
