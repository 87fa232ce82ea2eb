import { formatAmount, type Minor, type Paper } from '@iunctus/core';
import pdfmake from 'pdfmake';
import type { Content, TableCell } from 'pdfmake/interfaces';
import type { ChartRow } from './chart-table';
import { rowsByLine } from './line-sums';
import { inType, isPrintedFont, PRINTED_FONTS } from './printed-type';

pdfmake.setFonts(PRINTED_FONTS);
// Nothing is fetched, and no file but the fonts is read, whatever a text holds.
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy(isPrintedFont);

/** A chart to be printed. */
export interface PrintedChart {
  readonly client: string;
  /** Who hands it out: the practice. */
  readonly author: string;
  readonly paper: Paper;
  readonly currency: string;
  /** “Revision 3, 25 November 2026”. */
  readonly subtitle: string;
  readonly rows: readonly ChartRow[];
  /** As the chart stands, or under the statement lines to which accounts lead. */
  readonly by: 'number' | 'statement';
  readonly guidance: boolean;
  /** What the column of amounts is headed with; `null` without one. */
  readonly amounts: string | null;
}

const INDENT = 12;

/** What follows a heading on its page when it is as good as alone there: the head of its table. */
const ALONE = 5;

const nameCell = (row: ChartRow, { by, guidance }: PrintedChart): TableCell => ({
  stack: [
    {
      text: inType(row.name),
      bold: row.role === 'heading',
      decoration: row.retiredOn === '' ? undefined : 'lineThrough',
    },
    ...(guidance && row.guidance !== ''
      ? [{ text: inType(row.guidance), fontSize: 8, color: '#5f566a' }]
      : []),
  ],
  margin: [by === 'number' ? (row.level - 1) * INDENT : 0, 0, 0, 0],
});

const cellsOf = (row: ChartRow, chart: PrintedChart): TableCell[] => [
  { text: row.number, color: '#5f566a' },
  nameCell(row, chart),
  { text: row.kind, fontSize: 8 },
  ...(chart.amounts === null
    ? []
    : [
        {
          text:
            row.amount === null
              ? ''
              : formatAmount(row.amount, { currency: chart.currency, zero: '–' }),
          alignment: 'right' as const,
        },
      ]),
];

interface Total {
  readonly words: string;
  readonly sum: Minor;
}

const totalCells = ({ words, sum }: Total, { currency }: PrintedChart): TableCell[] => [
  '',
  { text: inType(words), bold: true },
  '',
  { text: formatAmount(sum, { currency, zero: '–' }), bold: true, alignment: 'right' },
];

const tableOf = (
  rows: readonly ChartRow[],
  chart: PrintedChart,
  total: Total | null = null,
): Content => {
  const head = ['Number', 'Name', 'Kind', ...(chart.amounts === null ? [] : [chart.amounts])];
  return {
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths: [54, '*', 120, ...(chart.amounts === null ? [] : [84])],
      body: [
        head.map((text, column) => ({
          text: inType(text),
          bold: true,
          fontSize: 8,
          alignment: column === 3 ? 'right' : 'left',
        })),
        ...rows.map((row) => cellsOf(row, chart)),
        ...(total === null ? [] : [totalCells(total, chart)]),
      ] as TableCell[][],
    },
    layout: 'lightHorizontalLines',
  };
};

/** Accounts under the statement lines to which they lead, each line with what it comes to. */
const byStatement = (chart: PrintedChart): Content[] =>
  rowsByLine(chart.rows).flatMap(({ landing, rows, sum }) => [
    { text: inType(landing), bold: true, headlineLevel: 1, margin: [0, 12, 0, 4] },
    tableOf(
      rows,
      chart,
      sum === null || chart.amounts === null ? null : { words: `Total ${landing}`, sum },
    ),
  ]);

/** A chart of accounts as a PDF: by number as it stands, or by statement line; with balances and guidance or without. */
export const writePrintedChart = async (chart: PrintedChart): Promise<Uint8Array> => {
  const document = pdfmake.createPdf({
    pageSize: chart.paper === 'letter' ? 'LETTER' : 'A4',
    pageMargins: [42, 48, 42, 48],
    defaultStyle: { font: 'Text', fontSize: 9.5, lineHeight: 1.15 },
    info: { title: `${chart.client}: chart of accounts`, author: chart.author },
    // No heading stands alone at the end of a page.
    pageBreakBefore: (node, following) =>
      node.headlineLevel === 1 && following.getFollowingNodesOnPage().length <= ALONE,
    footer: (page, pages) => ({
      text: inType(
        [chart.author, chart.client, `${page} of ${pages}`]
          .filter((part) => part !== '')
          .join(' · '),
      ),
      fontSize: 8,
      alignment: 'center',
      margin: [0, 16, 0, 0],
    }),
    content: [
      { text: inType(chart.client, 'Title'), fontSize: 18, bold: true },
      {
        text: inType(`Chart of accounts. ${chart.subtitle}`),
        margin: [0, 2, 0, 12],
        color: '#5f566a',
      },
      ...(chart.by === 'number' ? [tableOf(chart.rows, chart)] : byStatement(chart)),
    ],
  });
  return new Uint8Array(await document.getBuffer());
};
