import {
  columnName,
  columnNote,
  lookOf,
  minorDigits,
  rowName,
  type ColumnSpec,
  type StatementTable,
} from '@iunctus/core';
import ExcelJS from 'exceljs';
import { cellText } from '../cell-text';
import { packedWorkbook } from '../packed-workbook';
import { amountFormat, PAPER_SIZES } from '../workbook';
import { sumFormula, type CellName } from './live-sums';
import { ownFormula } from './own-sums';
import type { StatementFile } from './statement-file';

/** Rows above the first line: title, subtitle, a blank one, the head. */
const ABOVE = 4;

const letters = (column: number): string =>
  column < 26
    ? String.fromCharCode(65 + column)
    : `${letters(Math.floor(column / 26) - 1)}${letters(column % 26)}`;

/** Names begin behind the column of names, and below the head. */
const cellName: CellName = (column, row) => `${letters(column + 1)}${row + ABOVE + 1}`;

const PARTS = '0.0%;(0.0%);"–"';

/** What stands at the head of the statement, of which others are shares. */
const wholeOf = ({ rows }: StatementTable): number =>
  rows.findIndex(({ row: { key } }) => key === 'sum/revenue' || key === 'total/totalAssets');

/** The formula of a cell that is reckoned from others of its row; `null` for any other. */
const reckoned = (
  table: StatementTable,
  specs: readonly ColumnSpec[],
  { at, column }: { readonly at: number; readonly column: number },
): string | null => {
  const head = table.columns[column];
  if (head?.is === 'change') return `${cellName(column + 1, at)}-${cellName(column - 1, at)}`;
  const spec = head === undefined ? undefined : specs[head.spec];
  if (spec === undefined || 'words' in spec) return null;
  const of = cellName(spec.of, at);
  if (spec.is === 'share') {
    const whole = wholeOf(table);
    return whole < 0 ? null : `${of}/ABS(${cellName(spec.of, whole)})`;
  }
  const from = cellName(spec.from, at);
  return spec.is === 'difference' ? `${of}-${from}` : `(${of}-${from})/ABS(${from})`;
};

const fillCell = (
  target: ExcelJS.Cell,
  { table, specs, currency, layout }: StatementFile,
  place: { readonly at: number; readonly column: number },
): void => {
  const head = table.columns[place.column];
  const cell = table.rows[place.at]?.cells[place.column] ?? null;
  if (head === undefined || cell === null) return;
  const parts = head.shows === 'parts' || table.rows[place.at]?.parts === true;
  const result = parts ? cell / 1000 : cell / 10 ** minorDigits(currency);
  const formula =
    reckoned(table, specs, place) ??
    (layout === undefined
      ? sumFormula(table, place, cellName)
      : ownFormula({ table, layout }, place, cellName));
  target.value = formula === null ? result : { formula, result };
  target.numFmt = parts ? PARTS : amountFormat(currency);
};

const addLine = (sheet: ExcelJS.Worksheet, file: StatementFile, at: number): void => {
  const line = file.table.rows[at];
  if (line === undefined) return;
  const { row } = line;
  const { depth, bold, rule } = lookOf(row);
  const added = sheet.addRow([cellText(rowName(row, file.terms))]);
  added.getCell(1).alignment = { indent: depth };
  added.font = { bold };
  if (row.type === 'pageBreak') added.addPageBreak();
  line.cells.forEach((_cell, column) => fillCell(added.getCell(column + 2), file, { at, column }));
  if (rule === 'none') return;
  const border: Partial<ExcelJS.Borders> = {
    top: { style: 'thin' },
    ...(rule === 'double' ? { bottom: { style: 'double' } } : {}),
  };
  line.cells.forEach((_cell, column) => (added.getCell(column + 2).border = border));
};

/** A title as spreadsheets allow it: 31 characters, some of them not, each name once. Source: what ExcelJS refuses. */
const sheetName = (title: string, book: ExcelJS.Workbook): string => {
  const plain = title
    .replace(/[*?:\\/[\]]/g, ' ')
    .replace(/^[\s']+|[\s']+$/g, '')
    .trim();
  const base = plain === '' || /^history$/i.test(plain) ? 'Statement' : plain;
  const taken = new Set(book.worksheets.map(({ name }) => name.toLowerCase()));
  for (let count = 1; ; count += 1) {
    const behind = count === 1 ? '' : ` ${count}`;
    const name =
      [...base]
        .slice(0, 31 - behind.length)
        .join('')
        .trim() + behind;
    if (!taken.has(name.toLowerCase()) && name.toLowerCase() !== 'notes') return name;
  }
};

/** A sheet of a workbook for one statement. */
const addStatement = (book: ExcelJS.Workbook, file: StatementFile): void => {
  const { table, client, author, title, subtitle, currency, dateOrder, paper, made } = file;
  const sheet = book.addWorksheet(sheetName(title, book), {
    views: [{ state: 'frozen', ySplit: ABOVE, xSplit: 1 }],
    pageSetup: {
      paperSize: PAPER_SIZES[paper] as ExcelJS.PaperSize,
      orientation: table.columns.length > 5 ? 'landscape' : 'portrait',
      fitToPage: true,
      fitToHeight: 0,
      printTitlesRow: `${ABOVE}:${ABOVE}`,
    },
  });
  sheet.headerFooter.oddFooter = `&L${cellText(author)}&C${cellText(client)}&R&P of &N`;
  sheet.getColumn(1).width = 44;
  table.columns.forEach((_column, at) => (sheet.getColumn(at + 2).width = 17));
  sheet.addRow([cellText(client)]).font = { bold: true, size: 15 };
  sheet.addRow([cellText(`${title}, ${subtitle}`)]);
  sheet.addRow([made]).font = { size: 9, color: { argb: 'FF5F566A' } };
  const heads = table.columns.map((column) =>
    [columnName(table.sheet, column, dateOrder), columnNote(table.sheet, column, dateOrder)]
      .filter((part) => part !== '')
      .join(', '),
  );
  const head = sheet.addRow([currency, ...heads.map(cellText)]);
  head.font = { bold: true };
  head.border = { bottom: { style: 'thin' } };
  table.columns.forEach((_column, at) => {
    head.getCell(at + 2).alignment = { horizontal: 'right', wrapText: true };
  });
  table.rows.forEach((_row, at) => addLine(sheet, file, at));
};

/** What the preparer notes, on a sheet of its own. */
const addNotes = (book: ExcelJS.Workbook, notes: string): void => {
  if (notes.trim() === '') return;
  const sheet = book.addWorksheet('Notes');
  sheet.getColumn(1).width = 100;
  for (const line of notes.split(/\r?\n/))
    sheet.addRow([cellText(line)]).alignment = { wrapText: true, vertical: 'top' };
};

/** Statements as a workbook, a sheet each, whose sums, differences and shares are formulas over what was posted. */
export const writeStatementWorkbook = async (
  files: readonly [StatementFile, ...StatementFile[]],
  notes = '',
): Promise<Uint8Array> => {
  const [{ client, author }] = files;
  const book = new ExcelJS.Workbook();
  book.title = `${client}: ${files.map(({ title }) => title).join(', ')}`;
  book.creator = author;
  book.lastModifiedBy = author;
  for (const file of files) addStatement(book, file);
  addNotes(book, notes);
  return packedWorkbook(book);
};
