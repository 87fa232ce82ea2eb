import type { Minor } from '../money/minor';
import { decimalSignOf, readListedAmount } from './amounts';

/** What a block of cells from a spreadsheet holds: rows of amounts, `null` for an empty cell. */
export type PastedAmounts =
  | { readonly ok: true; readonly rows: readonly (readonly (Minor | null)[])[] }
  /** The first cell that is no amount; its row and column count from 1. */
  | { readonly ok: false; readonly row: number; readonly column: number; readonly text: string };

/** Reads cells as spreadsheets hand them over: a line each row, tabs between cells. Amounts are read one way throughout. */
export const readPastedAmounts = (text: string, currency: string): PastedAmounts => {
  const lines = text.replace(/\r?\n$/, '').split(/\r?\n/);
  const cells = lines.map((line) => line.split('\t').map((cell) => cell.trim()));
  const decimal = decimalSignOf(cells.flat(), currency);
  const rows: (Minor | null)[][] = [];
  for (const [row, line] of cells.entries()) {
    const amounts: (Minor | null)[] = [];
    for (const [column, cell] of line.entries()) {
      const amount = /^[-–—]?$/.test(cell) ? null : readListedAmount(cell, { currency, decimal });
      if (amount === null && !/^[-–—]?$/.test(cell))
        return { ok: false, row: row + 1, column: column + 1, text: cell };
      amounts.push(cell === '' ? null : (amount ?? 0));
    }
    rows.push(amounts);
  }
  return { ok: true, rows };
};
