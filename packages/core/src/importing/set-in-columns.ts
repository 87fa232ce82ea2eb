import { amountColumns, type HeadedColumn } from './amount-columns';
import { useOfHeading } from './column-words';
import { periodHeading } from './period-headings';
import { isSetIn, readSetIn } from './set-in';

/** The places of the inner and the outer column of amounts of a print. */
export interface SetInColumns {
  readonly inner: number;
  readonly outer: number;
}

const HEADED_AS_AMOUNT = ['balance', 'innerBalance'];

const mayHead = (heading: string): boolean =>
  heading === '' ||
  periodHeading(heading) !== null ||
  HEADED_AS_AMOUNT.includes(useOfHeading(heading)?.use ?? '');

/**
 * Finds the two columns of a print whose inner one holds details and whose outer one what they come to: side by side, under
 * one period, of several such pairs that of the latest; `null` for a list that has no such pair.
 */
export const setInColumns = (columns: readonly HeadedColumn[]): SetInColumns | null => {
  const held = amountColumns(columns, mayHead).map((column) => ({
    ...column,
    rank: periodHeading(column.heading)?.rank ?? 0,
  }));
  const rows = held[0]?.amounts.length ?? 0;
  const names = Array.from(
    { length: rows },
    (_row, row) =>
      columns.map(({ cells }) => cells[row] ?? '').find((cell) => /\p{L}{2}/u.test(cell)) ?? '',
  );
  const pairs = held.flatMap((inner, place) => {
    const outer = held[place + 1];
    const ranks = [inner.rank, outer?.rank ?? 0].filter((rank) => rank > 0);
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
