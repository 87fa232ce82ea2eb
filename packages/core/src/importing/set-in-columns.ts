import { decimalSignOf, readListedAmount } from './amounts';
import { useOfHeading } from './column-words';
import { CURRENCY, periodHeading } from './period-headings';
import { isSetIn, readSetIn } from './set-in';

/** A column of a list: its heading and what stands in each row, empty for nothing. */
export interface HeadedColumn {
  readonly heading: string;
  readonly cells: readonly string[];
}

/** The places of the inner and the outer column of amounts of a print. */
export interface SetInColumns {
  readonly inner: number;
  readonly outer: number;
}

/** Amounts are read alike in any currency as long as they are only compared; this one has the most decimals. */
const FINEST = 'BHD';
/** One with two decimals, so that “1.234” and “10.000” are thousands. */
const USUAL = 'USD';

const AMOUNTS = 0.9;
const HEADED_AS_AMOUNT = ['balance', 'innerBalance'];

/** The amounts of a column; `null` where it holds something else, or is headed as something else. */
const amountsIn = ({ heading, cells }: HeadedColumn): readonly (number | null)[] | null => {
  const named = useOfHeading(heading)?.use;
  const headed = heading !== '' && periodHeading(heading) === null;
  if (headed && (named === undefined || !HEADED_AS_AMOUNT.includes(named))) return null;
  const filled = cells.filter((cell) => cell !== '' && !CURRENCY.test(cell));
  const decimal = decimalSignOf(filled, USUAL);
  const amounts = cells.map((cell) => readListedAmount(cell, { currency: FINEST, decimal }));
  const read = amounts.filter((amount) => amount !== null).length;
  return filled.length > 0 && read >= AMOUNTS * filled.length ? amounts : null;
};

/**
 * Finds the two columns of a print whose inner one holds details and whose outer one what they come to: side by side, under
 * one period, of several such pairs that of the latest; `null` for a list that has no such pair.
 */
export const setInColumns = (columns: readonly HeadedColumn[]): SetInColumns | null => {
  const held = columns.flatMap((column, at) => {
    const amounts = amountsIn(column);
    return amounts === null ? [] : [{ at, amounts, rank: periodHeading(column.heading)?.rank }];
  });
  const rows = held[0]?.amounts.length ?? 0;
  const names = Array.from(
    { length: rows },
    (_row, row) =>
      columns.map(({ cells }) => cells[row] ?? '').find((cell) => /\p{L}{2}/u.test(cell)) ?? '',
  );
  const pairs = held.flatMap((inner, place) => {
    const outer = held[place + 1];
    const ranks = [inner.rank ?? 0, outer?.rank ?? 0].filter((rank) => rank > 0);
    if (outer === undefined || new Set(ranks).size > 1) return [];
    const lines = names.map((name, row) => ({
      name,
      inner: inner.amounts[row] ?? null,
      outer: outer.amounts[row] ?? null,
    }));
    const pair = { inner: inner.at, outer: outer.at, rank: ranks[0] ?? 0 };
    return isSetIn(readSetIn(lines)) ? [pair] : [];
  });
  const latest = Math.max(...pairs.map(({ rank }) => rank));
  const found = pairs.find(({ rank }) => rank === latest);
  return found === undefined ? null : { inner: found.inner, outer: found.outer };
};
