import { asWritten } from '@iunctus/core';
import { unzipSync, zipSync, type Unzipped } from 'fflate';
import readXlsxFile, { type CellValue } from 'read-excel-file/universal';
import { indenterOf } from './cell-indents';
import { unreadable } from './file-problem';
import { LIMITS } from './limits';
import { sheetOf, type Sheet } from './sheet';

/** Unpacks the parts that hold cells, once their sizes are known to be bearable. */
const unpacked = (bytes: Uint8Array): Unzipped => {
  let total = 0;
  try {
    return unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        total += originalSize;
        if (total > LIMITS.unpackedBytes) unreadable({ code: 'unpacksTooLarge' });
        return /\.(xml|rels)$/.test(name);
      },
    });
  } catch (error) {
    if (error instanceof Error && 'problem' in error) throw error;
    return unreadable({ code: 'damaged' });
  }
};

const ROW = '<row ';
/** A cell whose own place is far below every row that is read, whatever its row says. */
const FAR_ROW = /<(?:\w+:)?c\s[^>]*\br="[A-Z]{1,3}(\d{6,7})"/;
const FAR_COLUMN = /<(?:\w+:)?c\s[^>]*\br="(?:[A-Z]{3}|[H-Z][A-Z]|G[S-Z])(\d{1,7})"/;
const PLACED = /^[^>]*?\br="(\d{1,7})"/;

/** The last row that a part says it has; found by jumping from row to row, for parts are large. */
const lastRowOf = (part: string): number => {
  let last = 0;
  for (let at = part.indexOf(ROW); at >= 0; at = part.indexOf(ROW, at + ROW.length)) {
    const placed = PLACED.exec(part.slice(at, at + 200));
    last = placed === null ? last + 1 : Math.max(last, Number(placed[1]));
  }
  return last;
};

/**
 * Refuses a sheet with a cell beyond what is read: whoever makes rows of it would fill all that lies before. 200
 * columns end with GR.
 */
const refuseFarCells = (files: Unzipped): void => {
  for (const [name, bytes] of Object.entries(files)) {
    if (!/worksheets\/[^/]*\.xml$/.test(name)) continue;
    const part = new TextDecoder().decode(bytes);
    const rows = Math.max(lastRowOf(part), Number(FAR_ROW.exec(part)?.[1] ?? 0));
    if (rows > LIMITS.rows) unreadable({ code: 'tooManyRows', rows });
    const far = FAR_COLUMN.exec(part);
    if (far !== null) unreadable({ code: 'tooManyColumns', line: Number(far[1]) });
  }
};

/** A cell as text. Numbers have the fifteen digits that a spreadsheet shows: 12.3, not 12.299999999999999. */
const textOf = (value: CellValue | null): string => {
  if (value === null) return '';
  if (value instanceof Date) return value.toISOString().slice(0, 10);
  if (typeof value === 'number') return String(Number(value.toPrecision(15)));
  return String(value);
};

const withEntities = (files: Unzipped): boolean => {
  const head = new TextDecoder();
  return Object.values(files).some((part) =>
    /<!(DOCTYPE|ENTITY)/i.test(head.decode(part.subarray(0, 4_000))),
  );
};

/**
 * Reads every sheet of a workbook: values alone, with the indents of their cells; formulas are never run. Source of the format: ISO/IEC
 * 29500. Refuses unpacksTooLarge, xmlEntities, damaged, tooManyRows, tooManyColumns, and what a sheet refuses.
 */
export const readWorkbook = async (bytes: Uint8Array): Promise<readonly Sheet[]> => {
  const files = unpacked(bytes);
  if (withEntities(files)) unreadable({ code: 'xmlEntities' });
  refuseFarCells(files);
  // Packed again without compression: the library would start workers of its own to inflate large parts.
  const stored = zipSync(files, { level: 0 });
  const book = await readXlsxFile(stored.buffer).catch(() => unreadable({ code: 'damaged' }));
  const indented = indenterOf(files);
  return book.map(({ sheet, data }) => {
    const cells = data.map((row) => row.map((value) => asWritten(textOf(value))));
    return sheetOf(sheet, indented(sheet, cells));
  });
};
