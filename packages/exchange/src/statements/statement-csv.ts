import { columnName, columnNote, formatTenths, rowName } from '@iunctus/core';
import { cellText } from '../cell-text';
import { fieldBetween, plainAmount } from '../csv';
import type { StatementFile } from './statement-file';

const field = (text: string): string => fieldBetween(',', cellText(text));

/** A statement as CSV, amounts as plain decimal numbers. Source: RFC 4180, with a byte order mark as for the chart. */
export const writeStatementCsv = ({ table, currency, dateOrder, terms }: StatementFile): string => {
  const { sheet, columns, rows } = table;
  const heads = columns.map((column) =>
    [columnName(sheet, column, dateOrder), columnNote(sheet, column, dateOrder)]
      .filter((part) => part !== '')
      .join(' '),
  );
  const shown = rows.filter(({ row }) => row.type !== 'pageBreak');
  const lines = shown.map(({ row, cells, parts }) => [
    field(rowName(row, terms)),
    ...cells.map((cell, at) => {
      if (cell === null) return '';
      return parts || columns[at]?.shows === 'parts'
        ? formatTenths(cell, 'sign')
        : plainAmount(cell, currency);
    }),
  ]);
  const all = [[field(currency), ...heads.map(field)], ...lines];
  return `\ufeff${all.map((line) => `${line.join(',')}\r\n`).join('')}`;
};
