import { KIND_CODES, KINDS, minorDigits, type Paper } from '@iunctus/core';
import { cellText } from './cell-text';
import ExcelJS from 'exceljs';
import type { ChartRow } from './chart-table';
import { packedWorkbook } from './packed-workbook';

/** One line of the crosswalk sheet. */
export interface CrosswalkLine {
  readonly revision: number;
  readonly from: string;
  readonly to: string;
  readonly name: string;
}

/** What a workbook is made of. `amounts` names the column of amounts, where there is one. */
export interface WorkbookParts {
  readonly client: string;
  /** Who hands it out: the practice. */
  readonly author: string;
  readonly paper: Paper;
  readonly currency: string;
  readonly rows: readonly ChartRow[];
  readonly amounts: string | null;
  readonly crosswalk: readonly CrosswalkLine[];
}

/** Sizes of paper by the numbers that the format has for them. Source: ISO/IEC 29500-1, ST_PaperSize (from memory). */
export const PAPER_SIZES = { letter: 1, a4: 9 } as const;

const COLUMNS = [
  { header: 'Number', width: 12 },
  { header: 'Name', width: 42 },
  { header: 'Kind', width: 32 },
  { header: 'Role', width: 10 },
  { header: 'Parent', width: 12 },
  { header: 'Statement line', width: 44 },
  { header: 'Short label', width: 18 },
  { header: 'Guidance', width: 60 },
  { header: 'Notes', width: 30 },
  { header: 'Retired on', width: 12 },
] as const;

/** The column whose long texts are wrapped. */
const GUIDANCE = COLUMNS.findIndex(({ header }) => header === 'Guidance') + 1;

/** A currency as spreadsheets print it: grouped, negatives in parentheses, a dash for zero. */
export const amountFormat = (currency: string): string => {
  const digits = minorDigits(currency);
  const decimals = digits === 0 ? '' : `.${'0'.repeat(digits)}`;
  return `#,##0${decimals};(#,##0${decimals});"–"`;
};

const cellsOf = (row: ChartRow): string[] =>
  [
    row.number,
    row.name,
    row.kind,
    row.role,
    row.parent,
    row.landing,
    row.shortLabel,
    row.guidance,
    row.notes,
    row.retiredOn,
  ].map(cellText);

/** A bold, frozen head with filters. */
export const styleHead = (sheet: ExcelJS.Worksheet, columns: number): void => {
  sheet.getRow(1).font = { bold: true };
  sheet.getRow(1).border = { bottom: { style: 'thin' } };
  sheet.views = [{ state: 'frozen', ySplit: 1 }];
  sheet.autoFilter = { from: { row: 1, column: 1 }, to: { row: 1, column: columns } };
};

/** Outline levels of a spreadsheet go from 0 to 7. */
const DEEPEST = 7;

const addAccount = (sheet: ExcelJS.Worksheet, row: ChartRow, parts: WorkbookParts): void => {
  const added = sheet.addRow(cellsOf(row));
  added.outlineLevel = Math.min(row.level - 1, DEEPEST);
  added.getCell(2).alignment = { indent: row.level - 1 };
  added.getCell(GUIDANCE).alignment = { wrapText: true, vertical: 'top' };
  added.font = { bold: row.role === 'heading' };
  if (row.amount === null) return;
  const cell = added.getCell(COLUMNS.length + 1);
  cell.value = row.amount / 10 ** minorDigits(parts.currency);
  cell.numFmt = amountFormat(parts.currency);
};

/** Rules of whole ranges; the library has them and does not say so. */
interface Validations {
  add(range: string, rule: ExcelJS.DataValidation): void;
}

/** Kinds are chosen from a list that stands on a sheet of its own: there are more than a cell's rule holds. */
const offerKinds = (book: ExcelJS.Workbook, sheet: ExcelJS.Worksheet, rows: number): void => {
  const kinds = book.addWorksheet('Kinds');
  kinds.columns = [
    { header: 'Kind', width: 36 },
    { header: 'What belongs there', width: 90 },
  ];
  styleHead(kinds, 2);
  for (const code of KIND_CODES) kinds.addRow([KINDS[code].name, KINDS[code].sentence]);
  if (rows === 0) return;
  const validations = (sheet as ExcelJS.Worksheet & { dataValidations: Validations })
    .dataValidations;
  validations.add(`C2:C${rows + 1}`, {
    type: 'list',
    allowBlank: false,
    formulae: [`Kinds!$A$2:$A$${KIND_CODES.length + 1}`],
    showErrorMessage: true,
    errorTitle: 'No such kind',
    error: 'Choose one of the kinds in the list.',
  });
};

const addCrosswalk = (book: ExcelJS.Workbook, lines: readonly CrosswalkLine[]): void => {
  const sheet = book.addWorksheet('Crosswalk');
  sheet.columns = [
    { header: 'Revision', width: 10 },
    { header: 'Old number', width: 14 },
    { header: 'New number', width: 14 },
    { header: 'Name', width: 42 },
  ];
  styleHead(sheet, 4);
  for (const { revision, from, to, name } of lines)
    sheet.addRow([revision, cellText(from), cellText(to), cellText(name)]);
};

/**
 * A chart as a workbook: the accounts as an indented outline with headings in bold, filters and a
 * frozen head; the kinds to choose from; the crosswalk of every revision. Source of the format:
 * ISO/IEC 29500.
 */
export const writeWorkbook = async (parts: WorkbookParts): Promise<Uint8Array> => {
  const book = new ExcelJS.Workbook();
  book.title = `${parts.client}: chart of accounts`;
  book.creator = parts.author;
  book.lastModifiedBy = parts.author;
  const deepest = Math.max(0, ...parts.rows.map(({ level }) => Math.min(level - 1, DEEPEST)));
  const sheet = book.addWorksheet('Chart of accounts', {
    properties: { outlineLevelRow: deepest },
    pageSetup: {
      paperSize: PAPER_SIZES[parts.paper] as ExcelJS.PaperSize,
      orientation: 'landscape',
      fitToPage: true,
      fitToHeight: 0,
      printTitlesRow: '1:1',
    },
  });
  const amounts = parts.amounts === null ? [] : [{ header: parts.amounts, width: 18 }];
  sheet.columns = [...COLUMNS, ...amounts];
  // The account above stands before what is below it.
  sheet.properties.outlineProperties = { summaryBelow: false, summaryRight: false };
  styleHead(sheet, COLUMNS.length + amounts.length);
  for (const row of parts.rows) addAccount(sheet, row, parts);
  offerKinds(book, sheet, parts.rows.length);
  if (parts.crosswalk.length > 0) addCrosswalk(book, parts.crosswalk);
  return packedWorkbook(book);
};
