import { asWritten } from '@iunctus/core';
import Papa from 'papaparse';
import { unreadable } from './file-problem';
import { sheetOf, type Sheet } from './sheet';

const SEPARATORS = [',', ';', '\t', '|'] as const;

/** How evenly a separator parts the first lines: rows of the commonest width above one. */
const evenness = (text: string, separator: string): number => {
  const { data } = Papa.parse<string[]>(text, { delimiter: separator, preview: 40 });
  const widths = new Map<number, number>();
  for (const row of data)
    if (row.length > 1) widths.set(row.length, (widths.get(row.length) ?? 0) + 1);
  return Math.max(0, ...[...widths].map(([width, count]) => count * Math.min(width, 6)));
};

const separatorFor = (text: string): string => {
  const head = text.slice(0, 20_000);
  const scored = SEPARATORS.map((separator) => ({ separator, score: evenness(head, separator) }));
  return scored.reduce((a, b) => (b.score > a.score ? b : a)).separator;
};

/** The line between headings and rows of a table in plain text: “|----|:---:|”. */
const isRuled = (row: readonly string[]): boolean => {
  const filled = row.map((cell) => cell.trim()).filter((cell) => cell !== '');
  return filled.length > 1 && filled.every((cell) => /^:?[-=]{2,}:?$/.test(cell));
};

/**
 * Reads delimited text in any common dialect: comma, semicolon, tab or bar, with or without quotes. A
 * spreadsheet's own first line (`sep=;`) is obeyed. Source: RFC 4180. Refuses unclosedQuote.
 */
export const readCsv = (whole: string): { readonly sheet: Sheet; readonly separator: string } => {
  const told = /^sep=(.)\r?\n/i.exec(whole);
  const text = told === null ? whole : `\n${whole.slice(told[0].length)}`;
  const separator = told?.[1] ?? separatorFor(text);
  const { data, errors } = Papa.parse<string[]>(text, { delimiter: separator });
  const unclosed = errors.find(({ code }) => code === 'MissingQuotes');
  if (unclosed !== undefined) unreadable({ code: 'unclosedQuote', line: (unclosed.row ?? 0) + 1 });
  const rows = data.map((row) => (isRuled(row) ? [] : row.map(asWritten)));
  return { sheet: sheetOf('', rows), separator };
};
