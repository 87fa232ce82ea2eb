import ExcelJS from 'exceljs';
import parsePdf from 'pdf-parse';
import {
  beginOwn,
  buildTable,
  columnsFromText,
  columnsOf,
  editOwn,
  SHEET_CODES,
  STANDARD_TERMS,
  tableBooks,
  type ColumnSpec,
  type MonthlyTuple,
  type SheetCode,
} from '@iunctus/core';
import { aChart } from '@iunctus/core/testing';
import { writeStatementCsv } from './statement-csv';
import type { StatementFile } from './statement-file';
import { writePrintedStatements } from './printed-statement';
import { writeStatementWorkbook } from './statement-workbook';

const CHART = aChart(
  [
    '1010 Bank [bank]',
    '1500 Press [propertyAndEquipment]',
    '1590 Worn so far [accumulatedDepreciation]',
    '3010 Capital [ownersCapital]',
    '4010 =Taproom [saleOfGoods]',
    '4090 Returns [returnsAndDiscounts]',
    '5010 Fruit [costOfSales]',
    '6000 Running costs: [operatingExpense]',
    '  6100 Premises: [operatingExpense]',
    '    6110 Rent [operatingExpense]',
    '    6120 Power [operatingExpense]',
    '  6200 Fuel [operatingExpense]',
    '6400 Depreciation [depreciation]',
    '7010 Interest [financeCost]',
  ].join('\n'),
);

const POSTED: readonly MonthlyTuple[] = [
  ['1010', 61_500, -3_000, 29_500],
  ['1500', 20_000],
  ['1590', -500, -500, -500],
  ['3010', -50_000],
  ['4010', -60_000, -20_000, -55_000],
  ['4090', 4_000, 500, 0],
  ['5010', 15_000, 8_000, 14_000],
  ['6110', 6_000, 6_000, 6_000],
  ['6120', 2_000, 6_500, 3_500],
  ['6200', 1_000, 1_500, 1_500],
  ['6400', 500, 500, 500],
  ['7010', 500, 500, 500],
];

const fileOf = (sheet: SheetCode, columns: string, chart = CHART): StatementFile => {
  const context = { main: { first: '2026-01', last: '2026-03' }, startsIn: 1, now: '2026-03' };
  const read = columnsFromText(columns) ?? 'plain';
  const specs: readonly ColumnSpec[] = columnsOf(read, { periods: context, sheet, dimensions: [] });
  const books = tableBooks({ first: '2026-01', rows: POSTED }, 1);
  const options = { depth: Infinity, zeroLines: false };
  return {
    client: 'Cider works',
    author: 'Quill Row',
    paper: 'letter',
    currency: 'USD',
    terms: STANDARD_TERMS,
    dateOrder: 'monthFirst',
    title: 'Profit and loss',
    subtitle: 'January to March 2026',
    made: 'Revision 3, April 2, 2026',
    table: buildTable({ chart, books, options }, { sheet, columns: specs, context }),
    specs,
  };
};

/** A profit and loss with a group, a ratio and a page of its own. */
const ownFile = (columns: string): StatementFile => {
  const file = fileOf('profitAndLoss', columns);
  const begun = beginOwn(CHART, 'profitAndLoss');
  const sumCalled = (words: string): string =>
    begun.rows.find((row) => row.type === 'sum' && row.words === words)?.id ?? '';
  const worn = begun.rows.find((row) => row.type === 'line' && row.accounts.includes('6400'));
  const gross = sumCalled('Gross profit');
  const layout = (
    [
      { does: 'group', id: worn?.id ?? '', words: '=Cars' },
      { does: 'insert', behind: gross, row: { type: 'pageBreak', id: 'r90', level: 0 } },
      {
        does: 'insert',
        behind: gross,
        row: {
          type: 'ratio',
          id: 'r91',
          level: 0,
          words: 'Margin',
          of: gross,
          to: sumCalled('Net revenue'),
        },
      },
    ] as const
  ).reduce(editOwn, begun);
  const context = { main: { first: '2026-01', last: '2026-03' }, startsIn: 1, now: '2026-03' };
  const source = {
    chart: CHART,
    books: tableBooks({ first: '2026-01', rows: POSTED }, 1),
    options: { depth: 2, zeroLines: false },
  };
  const asked = { sheet: 'profitAndLoss', columns: file.specs, context, layout } as const;
  return { ...file, title: 'For the bank', layout, table: buildTable(source, asked) };
};

const sheetOf = async (file: StatementFile): Promise<ExcelJS.Worksheet> => {
  const book = new ExcelJS.Workbook();
  await book.xlsx.load((await writeStatementWorkbook([file])).buffer as ArrayBuffer);
  const [sheet] = book.worksheets;
  if (sheet === undefined) throw new Error('no sheet');
  return sheet;
};

/** What a formula comes to, reckoned from the cells alone: sums leave out sums, as SUBTOTAL does. */
const reckoned = (sheet: ExcelJS.Worksheet, name: string): number => {
  const { value } = sheet.getCell(name);
  if (typeof value === 'number') return value;
  if (value === null || typeof value !== 'object' || !('formula' in value)) return 0;
  const { formula } = value as { formula: string };
  const range = /^(SUBTOTAL\(9,|SUM\()([A-Z]+)(\d+):[A-Z]+(\d+)\)$/.exec(formula);
  if (range === null) {
    const [terms = '', divisor] = formula.split('/ABS(');
    const sum = [...terms.matchAll(/([+-]?)([A-Z]+\d+)/g)].reduce(
      (so, [, sign, cell = '']) => so + (sign === '-' ? -1 : 1) * reckoned(sheet, cell),
      0,
    );
    return divisor === undefined ? sum : sum / Math.abs(reckoned(sheet, divisor.slice(0, -1)));
  }
  let sum = 0;
  for (let row = Number(range[3]); row <= Number(range[4]); row += 1) {
    const cell = sheet.getCell(`${range[2] ?? ''}${row}`);
    if (typeof cell.value === 'number') sum += cell.value;
  }
  return sum;
};

describe('a statement as a workbook', () => {
  it.each(
    // The chart is a list without sums.
    SHEET_CODES.filter((sheet) => sheet !== 'chartReport').flatMap((sheet) =>
      ['plain', 'months', 'jan; feb; difference 2 1; percent 2 1; share 1'].map(
        (columns) => [sheet, columns] as const,
      ),
    ),
  )('has live sums that come to what the statement says: %s, %s', async (code, columns) => {
    const file = fileOf(code, columns);
    const sheet = await sheetOf(file);
    let formulas = 0;
    file.table.rows.forEach(({ cells }, row) =>
      cells.forEach((cell, column) => {
        const name = `${String.fromCharCode(66 + column)}${row + 5}`;
        if (cell === null) return expect(sheet.getCell(name).value).toBeNull();
        const parts = file.table.columns[column]?.shows === 'parts';
        if (typeof sheet.getCell(name).value === 'object') formulas += 1;
        expect(reckoned(sheet, name)).toBeCloseTo(parts ? cell / 1000 : cell / 100, parts ? 3 : 6);
      }),
    );
    expect(formulas).toBeGreaterThan(0);
  });

  it.each(['plain', 'jan; feb; difference 2 1; share 1'])(
    'has live sums and ratios of a layout of the client’s own: %s',
    async (columns) => {
      const file = ownFile(columns);
      const sheet = await sheetOf(file);
      const formulas = new Set<string>();
      file.table.rows.forEach(({ row, cells, parts }, at) =>
        cells.forEach((cell, column) => {
          const name = `${String.fromCharCode(66 + column)}${at + 5}`;
          if (cell === null) return expect(sheet.getCell(name).value).toBeNull();
          if (typeof sheet.getCell(name).value === 'object') formulas.add(row.type);
          const tenths = parts || file.table.columns[column]?.shows === 'parts';
          // What two ratios differ by is reckoned from parts that were rounded: within a tenth of a per cent.
          const off = Math.abs(reckoned(sheet, name) - (tenths ? cell / 1000 : cell / 100));
          expect(off).toBeLessThan(tenths ? 0.0011 : 1e-6);
        }),
      );
      expect([...formulas]).toEqual(expect.arrayContaining(['ownSum', 'ratio']));
    },
  );

  it('has a name for each sheet, whatever a layout is called', async () => {
    const titles = [
      'Bank: [draft]/2026?',
      'bank   draft  2026',
      "'",
      'History',
      'n'.repeat(80),
      'N'.repeat(80),
      'Notes',
    ];
    const [first, ...others] = titles.map((title) => ({
      ...fileOf('profitAndLoss', 'plain'),
      title,
    }));
    if (first === undefined) throw new Error('no file');
    const book = new ExcelJS.Workbook();
    await book.xlsx.load(
      (await writeStatementWorkbook([first, ...others], 'Noted')).buffer as ArrayBuffer,
    );
    const names = book.worksheets.map(({ name }) => name);
    expect(names).toHaveLength(8);
    expect(new Set(names.map((name) => name.toLowerCase())).size).toBe(8);
  });

  it('runs nothing that an account is called', async () => {
    const sheet = await sheetOf(fileOf('profitAndLoss', 'plain'));
    expect(sheet.getCell('A6').value).toBe("'=Taproom");
  });
});

describe('a statement as CSV', () => {
  it('has a line each, with plain decimal numbers', () => {
    const lines = writeStatementCsv(fileOf('profitAndLoss', 'jan; feb; percent 2 1')).split('\r\n');
    expect(lines[0]).toBe('\ufeffUSD,Jan 2026,Feb 2026,± %');
    expect(lines).toContain('Returns,-40.00,-5.00,87.5');
    expect(lines).toContain('Net revenue,560.00,195.00,-65.2');
  });
});

describe('a printed statement', () => {
  const printed = async (file: StatementFile) =>
    parsePdf(Buffer.from(await writePrintedStatements([file])));

  it('says whose it is, of when, in what, by whom, and its totals', async () => {
    const { text, numpages } = await printed(fileOf('profitAndLoss', 'months'));
    for (const word of ['Cider works', 'Profit and loss', 'January to March 2026', 'USD', 'Quill Row', 'Revision 3', '1 of 1', 'Jan 2026', 'Net profit'])
      expect(text).toContain(word); // prettier-ignore
    const net = fileOf('profitAndLoss', 'plain').table.rows.at(-1)?.cells[0] ?? 0;
    expect(text).toContain((net / 100).toFixed(2));
    expect(numpages).toBe(1);
  });

  it('goes on over pages with its head, and with columns that do not fit on pages of their own', async () => {
    const many = aChart(
      Array.from({ length: 150 }, (_, at) => `${6000 + at} Cost number ${at}`).join('\n'),
    );
    const rows = Array.from({ length: 150 }, (_, at) => [String(6000 + at), 500, 500] as const);
    const file = fileOf('profitAndLoss', 'jan; feb; mar; jan; feb; mar; jan; feb; mar');
    const books = tableBooks({ first: '2026-01', rows }, 1);
    const context = { main: { first: '2026-01', last: '2026-03' }, startsIn: 1, now: '2026-03' };
    const table = buildTable(
      { chart: many, books, options: { depth: Infinity, zeroLines: false } },
      { sheet: 'profitAndLoss', columns: file.specs, context },
    );
    const { text, numpages } = await printed({ ...file, table });
    expect(numpages).toBeGreaterThan(5);
    expect(text.split('Cider works').length - 1).toBe(numpages);
    expect(text).toContain(`${numpages} of ${numpages}`);
  });

  it('begins a page where a layout says so, with its ratios in per cent', async () => {
    const { text, numpages } = await printed(ownFile('plain'));
    expect(numpages).toBe(2);
    const pages = text.split('For the bank');
    expect(pages[0]).toMatch(/Gross profit[\s\S]*Margin/);
    expect(pages[1]).toContain('Total =Cars');
    expect(text).toMatch(/Margin\s*[\d.]+%/);
    expect(writeStatementCsv(ownFile('plain'))).not.toContain('\r\n,\r\n');
  });

  it('leaves no heading alone at the end of a page', async () => {
    for (let count = 28; count < 40; count += 1) {
      const lines = Array.from({ length: count }, (_, at) => `6${100 + at} Cost ${at}`);
      const chart = aChart(
        [...lines, '6800 Premises: [operatingExpense]', '  6810 Rent', '  6820 Power'].join('\n'),
      );
      const rows = [...lines.map((line) => line.slice(0, 4)), '6810', '6820'].map(
        (id) => [id, 100] as const,
      );
      const file = fileOf('profitAndLoss', 'plain');
      const context = { main: { first: '2026-01', last: '2026-01' }, startsIn: 1, now: '2026-01' };
      const table = buildTable(
        { chart, books: tableBooks({ first: '2026-01', rows }, 1), options: { depth: Infinity, zeroLines: false } },
        { sheet: 'profitAndLoss', columns: file.specs, context },
      ); // prettier-ignore
      const { text } = await printed({ ...file, table });
      const pages = text.split('\n\n').map((page) => page.trim().split('\n'));
      // The head and the foot of a page come after what stands on it.
      for (const page of pages.filter((lines) => lines.includes('Cider works'))) {
        const last = page[page.indexOf('Cider works') - 1];
        expect(last).toMatch(/^(Cost \d|Net profit|Operating profit|Power|Total)/);
      }
    }
  });

  it('goes into a packet with others, each under its own head, with the notes of its preparer behind', async () => {
    const packet = await writePrintedStatements(
      [fileOf('profitAndLoss', 'plain'), { ...fileOf('balanceSheet', 'yearBefore'), title: 'Balance sheet' }],
      'Stock was counted on March 31.\nThe press is pledged.',
    );
    const { text, numpages } = await parsePdf(Buffer.from(packet));
    expect(numpages).toBe(3);
    for (const words of ['Net profit', 'Balance sheet', 'Mar 31, 2026', 'Total assets', 'Notes of the preparer', 'The press is pledged.', '3 of 3'])
      expect(text).toContain(words);
    const book = new ExcelJS.Workbook();
    const written = await writeStatementWorkbook(
      [fileOf('profitAndLoss', 'plain'), { ...fileOf('balanceSheet', 'plain'), title: 'Balance sheet' }],
      '=NOTES()',
    );
    await book.xlsx.load(written.buffer as ArrayBuffer);
    expect(book.worksheets.map(({ name }) => name)).toEqual(['Profit and loss', 'Balance sheet', 'Notes']);
    expect(book.getWorksheet('Notes')?.getCell('A1').value).toBe("'=NOTES()");
  }); // prettier-ignore
});
