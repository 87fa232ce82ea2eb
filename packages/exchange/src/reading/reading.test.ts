import { emptyChart, recordsOf, accountOf, applyAll, type Chart } from '@iunctus/core';
import { aChart, importOf, randomChart } from '@iunctus/core/testing';
import ExcelJS from 'exceljs';
import fc from 'fast-check';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { chartTable } from '../chart-table';
import { writeCsv } from '../csv';
import { writeJson } from '../json';
import { writeWorkbook } from '../workbook';
import { LIMITS } from './limits';
import { readFile } from './read-file';

const utf8 = (text: string): Uint8Array => new TextEncoder().encode(text);
const utf16 = (text: string, mark = true): Uint8Array =>
  new Uint8Array(Buffer.from(`${mark ? '\ufeff' : ''}${text}`, 'utf16le'));
const latin = (text: string): Uint8Array => new Uint8Array(Buffer.from(text, 'latin1'));

const cellsOf = async (bytes: Uint8Array): Promise<readonly (readonly string[])[]> => {
  const reading = await readFile(bytes);
  if (!reading.ok) throw new Error(reading.problem.code);
  return (reading.file.sheets[0]?.rows ?? []).map(({ cells }) => cells);
};

const problemOf = async (bytes: Uint8Array): Promise<unknown> => {
  const reading = await readFile(bytes);
  return reading.ok ? null : reading.problem;
};

const workbook = async (rows: readonly (readonly ExcelJS.CellValue[])[]): Promise<Uint8Array> => {
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet('List');
  for (const row of rows) sheet.addRow([...row]);
  return new Uint8Array(await book.xlsx.writeBuffer());
};

const TWO = [
  ['Number', 'Name'],
  ['1000', 'Café'],
];

describe('a workbook whose names are indented by the style of their cells', () => {
  const indented = async (): Promise<Uint8Array> => {
    const book = new ExcelJS.Workbook();
    book.addWorksheet('Notes').addRow(['Nothing here']);
    const sheet = book.addWorksheet('Accounts');
    sheet.addRow(['Number', 'Name']);
    const rows = [
      ['1000', 'Cash', 0],
      ['1010', 'Till', 1],
      ['1011', 'Float', 2],
      ['1020', 'Bank', 1],
    ] as const;
    for (const [number, name, indent] of rows)
      sheet.addRow([number, name]).getCell(2).alignment = { indent };
    return new Uint8Array(await book.xlsx.writeBuffer());
  };

  it('has the indents in front of the names, as if they were blanks', async () => {
    const reading = await readFile(await indented());
    const rows = reading.ok ? (reading.file.sheets[1]?.rows ?? []) : [];
    expect(rows.map(({ cells }) => cells[1])).toEqual([
      'Name',
      'Cash',
      '    Till',
      '        Float',
      '    Bank',
    ]);
  });

  it('may say anything of itself: an indent without end, a style that is not there, no place', async () => {
    const parts = unzipSync(await indented());
    const changed = Object.fromEntries(
      Object.entries(parts).map(([name, bytes]) => {
        const text = strFromU8(bytes);
        if (name === 'xl/styles.xml')
          return [name, strToU8(text.replace(/indent="1"/g, 'indent="99999"'))];
        if (!/sheet2\.xml$/.test(name)) return [name, bytes];
        return [name, strToU8(text.replace(/(<c r="B3"[^>]*) s="\d+"/, '$1 s="7777"'))];
      }),
    );
    const reading = await readFile(zipSync(changed));
    const names = (reading.ok ? (reading.file.sheets[1]?.rows ?? []) : []).map(
      ({ cells }) => cells[1] ?? '',
    );
    expect(names.map((name) => name.trim())).toEqual(['Name', 'Cash', 'Till', 'Float', 'Bank']);
    expect(Math.max(...names.map(({ length }) => length))).toBeLessThan(300);
  });

  it('gives its tree', async () => {
    const reading = await readFile(await indented());
    const plan = importOf(emptyChart(), reading.ok ? (reading.file.sheets[1]?.rows ?? []) : []);
    expect(plan.treeSource).toBe('indent');
    expect(plan.rows.map(({ level }) => level)).toEqual([1, 2, 3, 2]);
  });
});

describe('delimited text', () => {
  it.each([
    ['commas', utf8('Number,Name\r\n1000,Café\r\n')],
    ['semicolons', utf8('Number;Name\n1000;Café')],
    ['tabs, as pasted from a spreadsheet', utf8('Number\tName\n1000\tCafé')],
    ['bars', utf8('Number|Name\n1000|Café')],
    ['quotes', utf8('"Number","Name"\n"1000","Café"')],
    ['old line ends', utf8('Number,Name\r1000,Café')],
    ['a byte order mark', utf8('\ufeffNumber,Name\n1000,Café')],
    ['UTF-16 with its mark', utf16('Number\tName\n1000\tCafé')],
    ['UTF-16 without', utf16('Number\tName\n1000\tCafé', false)],
    ['Windows-1252', latin('Number;Name\n1000;Café')],
  ])('with %s is read', async (_what, bytes) => {
    expect(await cellsOf(bytes)).toEqual(TWO);
  });

  it('keeps separators, quotes and line ends inside quotes', async () => {
    expect(await cellsOf(utf8('a,b\n"Rent, yard","say ""x""\ny"'))).toEqual([
      ['a', 'b'],
      ['Rent, yard', 'say "x"\ny'],
    ]);
  });

  it('obeys a first line that names the separator, and counts lines from it', async () => {
    const reading = await readFile(utf8('sep=;\nNumber;Name\n1,000;Cash'));
    expect(reading).toMatchObject({
      ok: true,
      file: {
        separator: ';',
        sheets: [{ rows: [{ line: 2 }, { line: 3, cells: ['1,000', 'Cash'] }] }],
      },
    });
  });

  it('leaves empty rows out and keeps the lines of the others', async () => {
    const reading = await readFile(utf8('Name,Type\n\n,,\nCash,Bank'));
    expect(reading).toMatchObject({ file: { sheets: [{ rows: [{ line: 1 }, { line: 4 }] }] } });
  });

  it('may be a table in plain text, with a line between headings and rows', async () => {
    const text =
      '| No | Account | Balance |\n|----|:-------:|--------:|\n| 1000 | Bank | 4,120.55 |\n';
    const read = await readFile(new TextEncoder().encode(text));
    expect(read.ok && read.file.sheets[0]?.rows.map(({ line }) => line)).toEqual([1, 3]);
  });

  it('may be cut short: a row with fewer cells has empty ones', async () => {
    expect(await cellsOf(utf8('Number,Name,Type\n1000\n1010,Bank'))).toEqual([
      ['Number', 'Name', 'Type'],
      ['1000'],
      ['1010', 'Bank'],
    ]);
  });
});

describe('a workbook', () => {
  it('gives values: numbers as shown, days as dates, results instead of formulas', async () => {
    const bytes = await workbook([
      [
        1010,
        'Cash',
        12.299999999999999,
        new Date(Date.UTC(2026, 0, 31)),
        { formula: '1+1', result: 2 },
      ],
    ]);
    expect(await cellsOf(bytes)).toEqual([['1010', 'Cash', '12.3', '2026-01-31', '2']]);
  });

  it('with a formula for a name that was never computed gives no name, and runs nothing', async () => {
    const bytes = await workbook([
      ['Number', 'Name'],
      [1000, { formula: 'HYPERLINK("http://example.invalid")' }],
    ]);
    expect((await cellsOf(bytes))[1]).toEqual(['1000']);
  });
});

const LISTABLE = ({
  number,
  name,
  shortLabel,
  guidance,
  notes,
  role,
  kind,
  retiredOn,
}: ReturnType<typeof recordsOf>[number]) => ({
  number,
  name,
  shortLabel,
  guidance,
  notes,
  kind,
  retiredOn,
  role: kind === 'retainedEarnings' ? 'posting' : role,
});

const listable = (chart: Chart) =>
  recordsOf(chart).map((record) => ({
    ...LISTABLE(record),
    parent: record.parentId === null ? null : accountOf(chart, record.parentId)?.name,
  }));

const readBack = async (bytes: Uint8Array): Promise<Chart> => {
  const reading = await readFile(bytes);
  if (!reading.ok) throw new Error(reading.problem.code);
  const plan = importOf(emptyChart(), reading.file.sheets[0]?.rows ?? []);
  const outcome = applyAll(emptyChart(), plan.operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};

const FORMATS: Readonly<Record<string, (chart: Chart) => Uint8Array | Promise<Uint8Array>>> = {
  csv: (chart) => utf8(writeCsv(chartTable(chart, null), 'USD')),
  xlsx: (chart) =>
    writeWorkbook({
      author: '',
      paper: 'a4',
      client: 'Cider works',
      currency: 'USD',
      rows: chartTable(chart, null),
      amounts: null,
      crosswalk: [],
    }),
  json: (chart) => utf8(writeJson(chart, { client: 'Cider works', revision: 1, history: [] })),
};

describe.each(Object.keys(FORMATS))('a chart taken out as %s', (format) => {
  const written = (chart: Chart) => FORMATS[format]?.(chart) ?? new Uint8Array();

  it('and brought in again is the same chart, whatever chart it is', async () => {
    await fc.assert(
      fc.asyncProperty(randomChart(25), async (chart) => {
        if (recordsOf(chart).length === 0) return;
        expect(listable(await readBack(await written(chart)))).toEqual(listable(chart));
      }),
      { numRuns: format === 'xlsx' ? 15 : 60 },
    );
  });

  it('keeps texts that look like formulas as they were', async () => {
    const chart = aChart('1010 Bank\n5010 Fruit');
    const names = ['=1+1', "'=already", '+plus', '-minus', '@at'];
    for (const name of names) {
      const outcome = applyAll(chart, [
        { type: 'editField', id: '5010', field: 'name', value: name },
      ]);
      if (!outcome.ok) throw new Error('renamed');
      expect(recordsOf(await readBack(await written(outcome.chart)))[1]?.name).toBe(name);
    }
  });

  it('and lined up with the chart from which it came changes nothing', async () => {
    const chart = aChart(
      '1000 Cash:\n  1010 Bank\n5000 Cost of sales:\n  5010 Fruit\n    5011 Pears',
    );
    const reading = await readFile(await written(chart));
    expect(
      importOf(chart, reading.ok ? (reading.file.sheets[0]?.rows ?? []) : []).operations,
    ).toEqual([]);
  });
});

describe('a hostile file', () => {
  it('that is too large is refused before it is read', async () => {
    expect(await problemOf(new Uint8Array(LIMITS.bytes + 1))).toEqual({ code: 'tooLarge' });
  });

  it('that unpacks to more than is bearable is refused before it is unpacked', async () => {
    const bomb = zipSync({
      'xl/worksheets/sheet1.xml': [new Uint8Array(LIMITS.unpackedBytes + 1), { level: 9 }],
    });
    expect(bomb.length).toBeLessThan(LIMITS.bytes);
    expect(await problemOf(bomb)).toEqual({ code: 'unpacksTooLarge' });
  });

  it('that lies about what it unpacks to is damaged', async () => {
    const bomb = zipSync({ 'xl/worksheets/sheet1.xml': [new Uint8Array(5_000_000), { level: 9 }] });
    const view = new DataView(bomb.buffer);
    for (let at = 0; at + 4 <= bomb.length; at += 1) {
      const mark = view.getUint32(at, true);
      if (mark === 0x04034b50) view.setUint32(at + 22, 10, true);
      if (mark === 0x02014b50) view.setUint32(at + 24, 10, true);
    }
    expect(await problemOf(bomb)).toEqual({ code: 'damaged' });
  });

  it.each([
    [
      'in its last column and row',
      '<row r="1048576"><c r="XFD1048576"><v>1</v></c></row>',
      'tooManyRows',
    ],
    ['in its last column', '<row r="1"><c r="XFD1"><v>1</v></c></row>', 'tooManyColumns'],
    [
      'in its last row, which says that it is another',
      '<row r="1"><c r="A1048576"><v>1</v></c></row>',
      'tooManyRows',
    ],
    [
      'in a column after the last that is read',
      '<row r="1"><c r="GS1"><v>1</v></c></row>',
      'tooManyColumns',
    ],
  ])('of one cell %s is refused in words, and fills nothing', async (_what, rows, code) => {
    const book = new ExcelJS.Workbook();
    book.addWorksheet('List').addRow(['1010', 'Bank']);
    const files = unzipSync(new Uint8Array(await book.xlsx.writeBuffer()));
    const part = 'xl/worksheets/sheet1.xml';
    const changed = strFromU8(files[part] ?? new Uint8Array()).replace(
      /<sheetData>.*<\/sheetData>/,
      `<sheetData>${rows}</sheetData>`,
    );
    expect(changed).toContain(rows);
    expect(await problemOf(zipSync({ ...files, [part]: strToU8(changed) }))).toMatchObject({
      code,
    });
  });

  it('of another kind is no list: a picture, an old workbook, a broken archive', async () => {
    expect(await problemOf(new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0, 0, 1, 2, 3]))).toEqual({
      code: 'notText',
    });
    expect(await problemOf(new Uint8Array([0xd0, 0xcf, 0x11, 0xe0, 1]))).toEqual({
      code: 'oldWorkbook',
    });
    expect(await problemOf(new Uint8Array([0x50, 0x4b, 3, 4, 9, 9, 9]))).toEqual({
      code: 'damaged',
    });
    expect(await problemOf(zipSync({ 'hello.xml': strToU8('<a/>') }))).toEqual({ code: 'damaged' });
  });

  it('with a million columns, or rows without end, names what is too much', async () => {
    expect(await problemOf(utf8(`a,b\n${'x,'.repeat(1_000_000)}x`))).toEqual({
      code: 'tooManyColumns',
      line: 2,
    });
    const rows = LIMITS.rows + 1;
    expect(await problemOf(utf8('a,b\n'.repeat(rows)))).toMatchObject({ code: 'tooManyRows' });
    expect(await problemOf(utf8(`a,b\n${'x'.repeat(LIMITS.cell + 1)},y`))).toEqual({
      code: 'cellTooLong',
      line: 2,
    });
  });

  it('with a quote that never ends names where it begins', async () => {
    expect(await problemOf(utf8('a,b\n1,2\n"x,y\n3,4'))).toEqual({
      code: 'unclosedQuote',
      line: 3,
    });
  });

  it('that defines XML entities is refused, in XML and inside a workbook', async () => {
    const entities =
      '<?xml version="1.0"?><!DOCTYPE x [<!ENTITY a "aaaa">]><AuditFile>&a;</AuditFile>';
    expect(await problemOf(utf8(entities))).toEqual({ code: 'xmlEntities' });
    expect(await problemOf(zipSync({ 'xl/workbook.xml': strToU8(entities) }))).toEqual({
      code: 'xmlEntities',
    });
  });

  it('that is XML or JSON of something else is said to be', async () => {
    expect(await problemOf(utf8('<html><body>x</body></html>'))).toEqual({ code: 'unknownXml' });
    expect(await problemOf(utf8('{"accounts": 1}'))).toEqual({ code: 'unknownJson' });
    expect(await problemOf(utf8('[{"name": "Rent"}]'))).toEqual({ code: 'jsonList' });
    expect(await problemOf(utf8('{"accounts": '))).toEqual({ code: 'damaged' });
    expect(await problemOf(utf8(' \n '))).toEqual({ code: 'empty' });
  });
});
