import { cellText, columnName, columnNote, lookOf, rowName, type TableRow } from '@iunctus/core';
import pdfmake from 'pdfmake';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { inType, isPrintedFont, PRINTED_FONTS } from '../printed-type';
import type { StatementFile } from './statement-file';

pdfmake.setFonts(PRINTED_FONTS);
// Nothing is fetched, and no file but the fonts is read, whatever a text holds.
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy(isPrintedFont);

const INK = '#2a2433';
const QUIET = '#5f566a';

/** Points at the left and right of a page, and what a column of amounts needs. */
const SIDE = 48;
const AMOUNTS = 74;
const NAMES = 150;
const LONG = { letter: 792, a4: 841.89 } as const;
const SHORT = { letter: 612, a4: 595.28 } as const;

/** A part of a statement that does not come apart at the end of a page: so many rows at most. */
const TOGETHER = 14;

interface Sheet {
  readonly file: StatementFile;
  /** The columns that stand on these pages, by place. */
  readonly columns: readonly number[];
  readonly landscape: boolean;
}

const fitting = (width: number): number => Math.floor((width - 2 * SIDE - NAMES) / AMOUNTS);

/** Columns that do not fit beside one another go on to pages of their own. */
const sheetsOf = (file: StatementFile): readonly Sheet[] => {
  const { columns } = file.table;
  const landscape = columns.length > fitting(SHORT[file.paper]);
  const most = fitting(landscape ? LONG[file.paper] : SHORT[file.paper]);
  const sheets: Sheet[] = [];
  for (let from = 0; from === 0 || from < columns.length; from += most)
    sheets.push({
      file,
      landscape,
      columns: columns.slice(from, from + most).map((_column, at) => from + at),
    });
  return sheets;
};

const widthsOf = ({ columns }: Sheet): (string | number)[] => [
  '*',
  ...columns.map(() => AMOUNTS - 6),
];

type Side = boolean;
type Margins = [number, number, number, number];

/** A single rule above what sums up, a double one under the last total. */
const rules = ({ row }: TableRow): [Side, Side, Side, Side] => {
  const { rule } = lookOf(row);
  return [false, rule !== 'none', false, rule === 'double'];
};

const lineCells = (line: TableRow, { file, columns }: Sheet): TableCell[] => {
  const { depth, title, bold } = lookOf(line.row);
  const { table, currency, terms } = file;
  return [
    {
      text: inType(rowName(line.row, terms), title ? 'Title' : 'Text'),
      bold,
      fontSize: title ? 10.5 : 9,
      margin: [depth * 10, title ? 5 : 0, 0, 0],
      border: [false, false, false, false],
    },
    ...columns.map((at): TableCell => {
      const text = cellText(line, at, { column: table.columns[at], currency });
      return { text, bold, alignment: 'right', border: rules(line) };
    }),
  ];
};

/** What stands over other rows and never alone at the end of a page: headings, and lines whose sub-accounts follow. */
const isHeading = ({ row }: TableRow): boolean => lookOf(row).heading;

/** Rows that are kept together, and whether they begin a page. */
interface Part {
  readonly rows: TableRow[];
  readonly onNewPage: boolean;
}

/** Rows in parts that are kept together: headings with what stands under them, up to the next heading. */
const partsOf = (rows: readonly TableRow[]): readonly Part[] => {
  const found: Part[] = [];
  let onNewPage = false;
  for (const line of rows) {
    if (line.row.type === 'pageBreak') {
      onNewPage = found.length > 0;
      continue;
    }
    const part = found.at(-1);
    const before = part?.rows.at(-1);
    const begins = before === undefined || (isHeading(line) && !isHeading(before));
    if (part === undefined || begins || onNewPage) found.push({ rows: [line], onNewPage });
    else part.rows.push(line);
    onNewPage = false;
  }
  return found;
};

const headingsIn = (rows: readonly TableRow[]): number =>
  Math.max(
    rows.findIndex((line) => !isHeading(line)),
    0,
  );

const partTable = ({ rows, onNewPage }: Part, sheet: Sheet): Content => {
  return {
    ...(onNewPage ? { pageBreak: 'before' as const } : {}),
    unbreakable: rows.length <= TOGETHER,
    table: {
      headerRows: headingsIn(rows),
      keepWithHeaderRows: 2,
      dontBreakRows: true,
      widths: widthsOf(sheet),
      body: rows.map((line) => lineCells(line, sheet)),
    },
    layout: {
      paddingTop: () => 1.5,
      paddingBottom: () => 1.5,
      paddingLeft: () => 3,
      paddingRight: () => 3,
      hLineWidth: () => 0.6,
      vLineWidth: () => 0,
      hLineColor: () => INK,
    },
  };
};

/** The second rule under a last total, just below the first. */
const doubleRule = (sheet: Sheet): Content => {
  const width = sheet.columns.length * AMOUNTS;
  const page = sheet.landscape ? LONG[sheet.file.paper] : SHORT[sheet.file.paper];
  const right = page - 2 * SIDE;
  return {
    canvas: [
      {
        type: 'line',
        x1: right - width,
        x2: right,
        y1: 1.4,
        y2: 1.4,
        lineWidth: 0.6,
        lineColor: INK,
      },
    ],
  };
};

const endsFinal = ({ rows }: Part): boolean => {
  const last = rows.at(-1);
  return last !== undefined && lookOf(last.row).rule === 'double';
};

const bodyOf = (sheet: Sheet): Content[] =>
  partsOf(sheet.file.table.rows).flatMap((part) => [
    partTable(part, sheet),
    ...(endsFinal(part) ? [doubleRule(sheet)] : []),
  ]);

const columnHeads = ({ file, columns }: Sheet): TableCell[] => {
  const { sheet } = file.table;
  return columns.map((at): TableCell => {
    const column = file.table.columns[at];
    if (column === undefined) return '';
    const { dateOrder } = file;
    const [name, note] = [
      columnName(sheet, column, dateOrder),
      columnNote(sheet, column, dateOrder),
    ];
    return {
      stack: [
        { text: inType(name), bold: true },
        ...(note === '' ? [] : [{ text: inType(note), fontSize: 7.5, color: QUIET }]),
      ],
      alignment: 'right',
    };
  });
};

const headOf = (sheet: Sheet): Content => {
  const { client, title, subtitle, currency } = sheet.file;
  return {
    margin: [SIDE, 34, SIDE, 0],
    stack: [
      { text: inType(client, 'Title'), fontSize: 17, bold: true },
      { text: inType(title, 'Title'), fontSize: 13, margin: [0, 2, 0, 0] },
      { text: inType(subtitle), color: QUIET, margin: [0, 1, 0, 8] },
      {
        table: {
          widths: widthsOf(sheet),
          body: [[{ text: currency, color: QUIET, margin: [0, 6, 0, 0] }, ...columnHeads(sheet)]],
        },
        layout: {
          hLineWidth: (at: number) => (at === 1 ? 0.8 : 0),
          vLineWidth: () => 0,
          paddingLeft: () => 3,
          paddingRight: () => 3,
          hLineColor: () => INK,
        },
      },
    ],
  };
};

/** What the preparer notes, on a page of its own behind the statements. */
const notesPage = (first: StatementFile, notes: string): Content[] =>
  notes.trim() === ''
    ? []
    : [
        { text: inType(first.client, 'Title'), fontSize: 17, bold: true },
        { text: inType('Notes of the preparer', 'Title'), fontSize: 13, margin: [0, 2, 0, 10] },
        ...notes
          .split(/\r?\n/)
          .map((line): Content => ({ text: inType(line), margin: [0, 0, 0, 4] })),
      ];

/**
 * Statements as they are handed over, one after the other: paper of the country, the head of each on every page, no
 * heading left alone; behind them what their preparer notes.
 */
export const writePrintedStatements = async (
  files: readonly [StatementFile, ...StatementFile[]],
  notes = '',
): Promise<Uint8Array> => {
  const [file] = files;
  const sheets = files.flatMap(sheetsOf);
  const last = notesPage(file, notes);
  const document = pdfmake.createPdf({
    pageSize: file.paper === 'letter' ? 'LETTER' : 'A4',
    pageMargins: [SIDE, 122, SIDE, 52],
    defaultStyle: { font: 'Text', fontSize: 9, lineHeight: 1.12, color: INK },
    info: {
      title: `${file.client}: ${files.map(({ title }) => title).join(', ')}`,
      author: file.author,
    },
    footer: (page, pages) => ({
      columns: [
        { text: inType(file.author) },
        { text: inType(file.made), alignment: 'center' },
        { text: `${page} of ${pages}`, alignment: 'right' },
      ],
      fontSize: 8,
      color: QUIET,
      margin: [SIDE, 18, SIDE, 0],
    }),
    content: [
      ...sheets.map((sheet) => ({
        section: bodyOf(sheet),
        header: () => headOf(sheet),
        pageOrientation: sheet.landscape ? ('landscape' as const) : ('portrait' as const),
      })),
      ...(last.length === 0
        ? []
        : [{ section: last, header: () => '', pageMargins: [SIDE, 60, SIDE, 52] as Margins }]),
    ],
  });
  return new Uint8Array(await document.getBuffer());
};
