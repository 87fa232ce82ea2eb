import { minorDigits, type Minor, type Paper } from '@iunctus/core';
import { cellText } from './cell-text';
import ExcelJS from 'exceljs';
import { packedWorkbook } from './packed-workbook';
import { amountFormat, PAPER_SIZES, styleHead } from './workbook';

/** An account of a line as a tax preparer reads it. */
export interface ReturnAccountRow {
  readonly title: string;
  readonly amount: Minor;
}

/** A line of the return as a tax preparer reads it. */
export interface ReturnRow {
  readonly line: string;
  readonly words: string;
  readonly copy: number;
  readonly amount: Minor;
  readonly accounts: readonly ReturnAccountRow[];
}

/** A return as a workbook is made of it. */
export interface ReturnWorkbook {
  readonly client: string;
  /** Who hands it out: the practice. */
  readonly author: string;
  readonly paper: Paper;
  /** “Form 1120, print of 2024”. */
  readonly form: string;
  readonly currency: string;
  /** “January to December 2026”. */
  readonly year: string;
  /** What must be looked at before the amounts are used, an account and the reason each. */
  readonly toLookAt: readonly {
    readonly title: string;
    readonly why: string;
    readonly amount: Minor;
  }[];
  readonly rows: readonly ReturnRow[];
}

const setAmount = (cell: ExcelJS.Cell, amount: Minor, currency: string): void => {
  cell.value = amount / 10 ** minorDigits(currency);
  cell.numFmt = amountFormat(currency);
};

const addToLookAt = (book: ExcelJS.Workbook, { toLookAt, currency }: ReturnWorkbook): void => {
  if (toLookAt.length === 0) return;
  const sheet = book.addWorksheet('To look at first');
  sheet.columns = [
    { header: 'The account', width: 44 },
    { header: 'Why', width: 60 },
    { header: 'Amount', width: 16 },
  ];
  styleHead(sheet, 3);
  for (const { title, why, amount } of toLookAt)
    setAmount(sheet.addRow([cellText(title), why]).getCell(3), amount, currency);
};

/** A return as a sheet: a row for each line and copy, the accounts that make it up folded below. */
export const writeReturnWorkbook = async (parts: ReturnWorkbook): Promise<Uint8Array> => {
  const book = new ExcelJS.Workbook();
  book.title = `${parts.client}: ${parts.form}`;
  book.creator = parts.author;
  book.lastModifiedBy = parts.author;
  addToLookAt(book, parts);
  const sheet = book.addWorksheet('Return lines', {
    properties: { outlineLevelRow: 1 },
    pageSetup: {
      paperSize: PAPER_SIZES[parts.paper] as ExcelJS.PaperSize,
      fitToPage: true,
      fitToHeight: 0,
      printTitlesRow: '1:1',
    },
  });
  sheet.columns = [
    { header: 'Line', width: 10 },
    { header: 'Words', width: 52 },
    { header: 'Copy', width: 7 },
    { header: parts.currency, width: 18 },
  ];
  sheet.properties.outlineProperties = { summaryBelow: false, summaryRight: false };
  styleHead(sheet, 4);
  sheet.headerFooter.oddHeader = `&L${parts.client}, ${parts.year}&R${parts.form}`;
  for (const { line, words, copy, amount, accounts } of parts.rows) {
    const row = sheet.addRow([line, words, copy]);
    row.font = { bold: true };
    setAmount(row.getCell(4), amount, parts.currency);
    for (const { title, amount: own } of accounts) {
      const below = sheet.addRow(['', cellText(title)]);
      below.outlineLevel = 1;
      below.getCell(2).alignment = { indent: 1 };
      setAmount(below.getCell(4), own, parts.currency);
    }
  }
  return packedWorkbook(book);
};
