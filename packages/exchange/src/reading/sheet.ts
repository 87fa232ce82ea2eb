import type { SourceRow } from '@iunctus/core';
import { unreadable } from './file-problem';
import { LIMITS } from './limits';

/** A sheet of a file: its rows with their lines. */
export interface Sheet {
  readonly name: string;
  readonly rows: readonly SourceRow[];
}

/** What a file is, and what it holds. */
export interface FileRead {
  readonly format: 'csv' | 'text' | 'xlsx' | 'json' | 'xml';
  /** The encoding of a text file; `null` where the format has its own. */
  readonly encoding: string | null;
  /** What stands between the cells of a text file. */
  readonly separator: string | null;
  readonly sheets: readonly Sheet[];
  /** A chart that was taken out whole, as its file has it; `null` for every other format. */
  readonly whole: unknown;
}

/** Makes rows of cells a sheet, empty rows left out, or says which row breaks the limits. */
export const sheetOf = (name: string, cells: readonly (readonly string[])[]): Sheet => {
  if (cells.length > LIMITS.rows) unreadable({ code: 'tooManyRows', rows: cells.length });
  const rows = cells.flatMap((row, index): SourceRow[] => {
    const line = index + 1;
    let width = row.length;
    while (width > 0 && (row[width - 1] ?? '').trim() === '') width -= 1;
    if (width > LIMITS.columns) unreadable({ code: 'tooManyColumns', line });
    const kept = row.slice(0, width);
    if (kept.some((cell) => cell.length > LIMITS.cell)) unreadable({ code: 'cellTooLong', line });
    return width === 0 ? [] : [{ line, cells: kept }];
  });
  return { name, rows };
};
