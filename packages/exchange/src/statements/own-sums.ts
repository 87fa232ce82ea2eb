import {
  isLeaf,
  leavesOf,
  ownKey,
  ownRowOf,
  type OwnLayout,
  type OwnRow,
  type OwnRowId,
  type ShownSide,
  type StatementTable,
} from '@iunctus/core';
import type { CellName } from './live-sums';

/** Most cells that one formula names; spreadsheets take 8,192 characters. */
const NAMED = 400;

interface OwnTable {
  readonly table: StatementTable;
  readonly layout: OwnLayout;
}

/** Where a row's amount stands: in its own line, or in the sum that closes it when it is open; -1 where it is left out. */
const placeOf = ({ table: { rows } }: OwnTable, id: OwnRowId): number => {
  const key = ownKey(id);
  const at = rows.findIndex(({ row }) => row.key === key);
  const row = rows[at]?.row;
  return row?.type === 'ownLine' && row.open
    ? rows.findIndex((one) => one.row.key === `${key}/subtotal`)
    : at;
};

const sideOf = (row: OwnRow | undefined): ShownSide | null => {
  if (row?.type === 'result') return 'credit';
  return row !== undefined && 'shows' in row ? row.shows : null;
};

const sumOf = (own: OwnTable, sum: OwnRow, name: (row: number) => string): string | null => {
  const { rows } = own.layout;
  const terms = leavesOf(rows, sum.id).flatMap((id) => {
    const place = placeOf(own, id);
    const leaf = rows.find((row) => row.id === id && isLeaf(row));
    return place < 0 ? [] : `${sideOf(leaf) === sideOf(sum) ? '+' : '-'}${name(place)}`;
  });
  return terms.length === 0 || terms.length > NAMED ? null : terms.join('').replace(/^\+/, '');
};

/** The formula of a cell that a layout of the client's own reckons from others of its column; `null` for any other. */
export const ownFormula = (
  own: OwnTable,
  { at, column }: { readonly at: number; readonly column: number },
  cell: CellName,
): string | null => {
  const { rows } = own.table;
  const row = rows[at]?.row;
  const name = (place: number): string => cell(column, place);
  if (row === undefined) return null;
  if (row.key.endsWith('/subtotal')) {
    const from = rows.findIndex((one) => `${one.row.key}/subtotal` === row.key) + 1;
    return `SUBTOTAL(9,${name(from)}:${name(at - 1)})`;
  }
  const laidOut = own.layout.rows.find(({ id }) => id === ownRowOf(row.key));
  if (laidOut?.type === 'sum' && row.type === 'ownSum') return sumOf(own, laidOut, name);
  if (laidOut?.type !== 'ratio') return null;
  const [of, to] = [placeOf(own, laidOut.of), placeOf(own, laidOut.to)];
  return of < 0 || to < 0 ? null : `${name(of)}/ABS(${name(to)})`;
};
