import { chartFrom, recordsOf, type Chart } from '@iunctus/core';
import { aChart, anAccount } from '@iunctus/core/testing';
import { parse } from 'csv-parse/sync';
import ExcelJS from 'exceljs';
import { strFromU8, unzipSync } from 'fflate';
import { readSheet } from 'read-excel-file/node';
import { chartTable } from './chart-table';
import { plainAmount, writeCsv } from './csv';
import { writeJson } from './json';
import { writeWorkbook } from './workbook';

const CHART = aChart(
  '1010 Bank\n5000 Cost of sales:\n  5010 Fruit\n    5011 Pears\n6010 Rent, "yard"\n6020 Strom – Öl',
);
const amountOf = () => -123_450;

const HOSTILE = chartFrom(
  ['=1+1', '+SUM(A1)', '-2', '@cmd', '\tx'].map((name, index) => ({
    ...anAccount(String(6010 + index), name),
    guidance: '=HYPERLINK("http://example.invalid")',
  })),
);

const csvOf = (chart: Chart, amounts = false) =>
  writeCsv(chartTable(chart, amounts ? amountOf : null), 'USD');
const readCsv = (text: string): string[][] => parse(text, { bom: true });

const workbookOf = (chart: Chart, more: Partial<Parameters<typeof writeWorkbook>[0]> = {}) =>
  writeWorkbook({
    client: 'Cider works',
    author: 'Quill Row',
    paper: 'letter',
    currency: 'USD',
    rows: chartTable(chart, null),
    amounts: null,
    crosswalk: [],
    ...more,
  });

const opened = async (bytes: Uint8Array): Promise<ExcelJS.Workbook> => {
  const book = new ExcelJS.Workbook();
  await book.xlsx.load(bytes.buffer as ArrayBuffer);
  return book;
};

describe('a chart as a table', () => {
  it('has a row for every account, parents first, with level and parent', () => {
    expect(
      chartTable(CHART, null).map(({ number, level, parent, role }) => [
        number,
        level,
        parent,
        role,
      ]),
    ).toEqual([
      ['1010', 1, '', 'posting'],
      ['5000', 1, '', 'heading'],
      ['5010', 2, '5000', 'posting'],
      ['5011', 3, '5010', 'posting'],
      ['6010', 1, '', 'posting'],
      ['6020', 1, '', 'posting'],
    ]);
  });

  it('says kind and statement line in words', () => {
    expect(chartTable(CHART, null)[0]).toMatchObject({
      kind: 'Bank',
      landing: 'Cash and cash equivalents',
    });
  });
});

describe('a chart as CSV', () => {
  // Source: RFC 4180; read by csv-parse, which did not write it.
  it('reads back equal, quotes, commas and letters of other languages included', () => {
    const [head, ...lines] = readCsv(csvOf(CHART));
    expect(head?.slice(0, 3)).toEqual(['Number', 'Name', 'Level']);
    expect(lines.map(([number, name]) => [number, name])).toEqual(
      recordsOf(CHART).map(({ number, name }) => [number, name]),
    );
  });

  it('bears amounts as plain numbers with all digits of the currency', () => {
    const [head, first] = readCsv(csvOf(CHART, true));
    expect(head?.at(-1)).toBe('Amount USD');
    expect(first?.at(-1)).toBe('-1234.50');
    expect(plainAmount(5, 'USD')).toBe('0.05');
    expect(plainAmount(-1234, 'JPY')).toBe('-1234');
    expect(plainAmount(1, 'BHD')).toBe('0.001');
  });

  it('holds no text that a spreadsheet would run', () => {
    for (const line of readCsv(csvOf(HOSTILE)).slice(1))
      expect(line.filter((cell) => /^[=+\-@\t\r]/.test(cell))).toEqual([]);
  });
});

describe('a chart as a workbook', () => {
  const partsOf = async (more: Parameters<typeof workbookOf>[1] = {}) => {
    const files = unzipSync(await workbookOf(CHART, more));
    return (name: string) => strFromU8(files[name] ?? new Uint8Array());
  };

  // Source: ISO/IEC 29500-1, CT_SheetPr: tabColor, outlinePr, pageSetUpPr (from memory).
  it('has its elements in the order of the standard, and says by what it was written', async () => {
    const part = await partsOf();
    expect(part('xl/worksheets/sheet1.xml')).toMatch(/<sheetPr><outlinePr[^>]*\/><pageSetUpPr/);
    expect(part('docProps/app.xml')).toContain('<Application>Iunctus</Application>');
    expect(part('docProps/core.xml')).toContain('<dc:creator>Quill Row</dc:creator>');
  });

  it('offers the kinds by one rule for all rows, and prints its head on every sheet of the paper', async () => {
    const part = await partsOf({ paper: 'letter' });
    const sheet = part('xl/worksheets/sheet1.xml');
    expect(sheet.match(/<dataValidation /g)).toHaveLength(1);
    expect(sheet).toContain('sqref="C2:C7"');
    expect(sheet).toMatch(/<pageSetup[^>]*paperSize="1"/);
    expect(part('xl/workbook.xml')).toContain('_xlnm.Print_Titles');
  });

  // Source: ISO/IEC 29500; read by read-excel-file, which did not write it.
  it('reads back equal in a reader that did not write it', async () => {
    const rows = await readSheet(Buffer.from(await workbookOf(CHART)), 'Chart of accounts');
    expect(rows.slice(1).map((row) => [String(row[0]), row[1]])).toEqual(
      recordsOf(CHART).map(({ number, name }) => [number, name]),
    );
  });

  it('indents and folds the tree, prints headings bold, freezes the head and filters', async () => {
    const sheet = (await opened(await workbookOf(CHART))).getWorksheet('Chart of accounts');
    expect(sheet?.getRow(5).outlineLevel).toBe(2);
    expect(sheet?.getCell('B5').alignment.indent).toBe(2);
    expect(sheet?.getRow(3).font.bold).toBe(true);
    expect(sheet?.getRow(4).font.bold).not.toBe(true);
    expect(sheet?.views[0]).toMatchObject({ state: 'frozen', ySplit: 1 });
    expect(sheet?.autoFilter).toBeTruthy();
  });

  it('lets kinds be chosen from a list, with what belongs there', async () => {
    const book = await opened(await workbookOf(CHART));
    expect(book.getWorksheet('Chart of accounts')?.getCell('C2').dataValidation).toMatchObject({
      type: 'list',
      formulae: [expect.stringContaining('Kinds!')],
    });
    expect(book.getWorksheet('Kinds')?.getCell('A2').value).toBe('Cash on hand');
  });

  it('writes amounts as numbers that a person reads as printed', async () => {
    const rows = chartTable(CHART, amountOf);
    const book = await opened(await workbookOf(CHART, { rows, amounts: 'USD, October' }));
    const cell = book.getWorksheet('Chart of accounts')?.getCell('K2');
    expect(cell?.value).toBe(-1234.5);
    expect(cell?.numFmt).toBe('#,##0.00;(#,##0.00);"–"');
  });

  it('has a sheet with the crosswalk where numbers changed', async () => {
    const crosswalk = [{ revision: 2, from: '6310', to: '5030', name: 'Duty' }];
    const sheet = (await opened(await workbookOf(CHART, { crosswalk }))).getWorksheet('Crosswalk');
    expect(sheet?.getRow(2).values).toEqual([undefined, 2, '6310', '5030', 'Duty']);
    expect((await opened(await workbookOf(CHART))).getWorksheet('Crosswalk')).toBeUndefined();
  });

  it('holds no formula, whatever the texts are', async () => {
    const sheet = (await opened(await workbookOf(HOSTILE))).getWorksheet('Chart of accounts');
    sheet?.eachRow((row) =>
      row.eachCell((cell) => {
        expect(cell.formula).toBeUndefined();
        expect(/^[=+\-@\t\r]/.test(cell.text)).toBe(false);
      }),
    );
  });
});

describe('a chart as JSON', () => {
  it('gives the same chart when it is read', () => {
    const text = writeJson(CHART, { client: 'Cider works', revision: 3, history: [] });
    const { accounts, settings, merged, splits } = JSON.parse(text);
    const read = chartFrom(accounts, { settings, merged, splits });
    expect(recordsOf(read)).toEqual(recordsOf(CHART));
    expect(read.settings).toEqual(CHART.settings);
  });
});
