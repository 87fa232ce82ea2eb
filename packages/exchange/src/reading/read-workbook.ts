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

/** A cell as text. Numbers have the fifteen digits that a spreadsheet shows: 12.3, not 12.299999999999999. */
const textOf = (value: CellValue | null): string => {
  if (value === null) return '';
  if (value instanceof Date) return value.toISOString().slice(0, 10);
  if (typeof value === 'number') return String(Number(value.toPrecision(15)));
  return String(value);
};

const withEntities = (files: Unzipped): boolean => {
  const head = new TextDecoder();
  return Object.values(files).some((part) => /<!(DOCTYPE|ENTITY)/i.test(head.decode(part.subarray(0, 4_000))));
}; // prettier-ignore

/**
 * Reads every sheet of a workbook: values alone, with the indents of their cells; formulas are never run. Source of the format: ISO/IEC
 * 29500. Refuses unpacksTooLarge, xmlEntities, damaged, and what a sheet refuses.
 */
export const readWorkbook = async (bytes: Uint8Array): Promise<readonly Sheet[]> => {
  const files = unpacked(bytes);
  if (withEntities(files)) unreadable({ code: 'xmlEntities' });
  // Packed again without compression: the library would start workers of its own to inflate large parts.
  const stored = zipSync(files, { level: 0 });
  const book = await readXlsxFile(stored.buffer as ArrayBuffer).catch(() =>
    unreadable({ code: 'damaged' }),
  );
  const indented = indenterOf(files);
  return book.map(({ sheet, data }) => {
    const cells = data.map((row) => row.map((value) => asWritten(textOf(value))));
    return sheetOf(sheet, indented(sheet, cells));
  });
};
