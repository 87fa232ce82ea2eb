import type { ExportQuery } from '@iunctus/contract';
import {
  buildTable,
  columnsFromText,
  columnsOf,
  dateOrderOf,
  depthOfCode,
  lastDayOf,
  monthOf,
  periodOfColumn,
  SHEET_CODES,
  SHEET_NAMES,
  tableBooks,
  type ColumnContext,
  type ColumnSpec,
  type MonthlyAmounts,
  type MonthlyByValue,
  type Period,
  type SheetCode,
} from '@iunctus/core';
import { dayInWords, periodInWords, type StatementFile } from '@iunctus/exchange';
import { monthlyByValueOf, monthlyOf } from '../balances/monthly.service';
import { badRequest } from '../problems/problem';
import { handedOutBy, type Taken } from './export-source';

/** The columns that are asked for; refuses those that cannot be, and names the word that is no period. */
const specsIn = (text: string, context: ColumnContext): readonly ColumnSpec[] => {
  const columns = columnsFromText(text);
  if (columns === null) return badRequest('columns', 'refer to columns before them, forty at most');
  const specs = columnsOf(columns, context);
  for (const spec of specs) {
    const read = periodOfColumn(spec, context.periods);
    if (read !== null && !read.ok) badRequest('columns', `“${read.word}” is no period`);
  }
  return specs;
};

/** What was posted with the values that have a column. */
const byValueOf = async (
  { pool, viewer, client }: Taken,
  specs: readonly ColumnSpec[],
  today: string,
): Promise<MonthlyByValue> => {
  const dimensions = new Set(
    specs.flatMap((spec) => (spec.is === 'value' ? spec.dimensionId : [])),
  );
  const found = new Map<string, MonthlyAmounts>();
  for (const dimensionId of dimensions) {
    const asked = { clientId: client.id, today, dimensionId };
    const { values } = await monthlyByValueOf(pool, viewer, asked);
    for (const { valueId, first, amounts, splits } of values)
      found.set(valueId, { first, rows: [...amounts, ...splits] });
  }
  return found;
};

const subtitleOf = (sheet: SheetCode, period: Period, country: string): string =>
  sheet === 'balanceSheet' || sheet === 'trialBalance'
    ? `At ${dayInWords(lastDayOf(period.last), country)}`
    : periodInWords(period, country);

/** Lines that are open or closed whatever the depth. */
const openIn = ({ open = '', closed = '' }: ExportQuery): ReadonlyMap<string, boolean> =>
  new Map([
    ...open.split(',').map((key) => [key, true] as const),
    ...closed.split(',').map((key) => [key, false] as const),
  ]);

/** A statement as adopted, with the columns and lines that are asked for, as the viewer may see it. */
export const statementFileOf = async (
  taken: Taken,
  query: ExportQuery,
  today: string,
): Promise<StatementFile> => {
  const { pool, viewer, client, chart, revision } = taken;
  const { sheet, first, last, columns = 'plain', depth = 'all', zero = 'no' } = query;
  if (sheet === undefined) return badRequest('sheet', 'names the statement');
  if (first === undefined || last === undefined)
    return badRequest('first', 'names the first month');
  const main = { first, last };
  const context = { main, startsIn: client.fiscalYearStart, now: monthOf(today) };
  const { dimensions } = chart.settings;
  const specs = specsIn(columns, { periods: context, sheet, dimensions });
  const monthly = await monthlyOf(pool, viewer, { clientId: client.id, today });
  const rows = [...monthly.amounts, ...monthly.splits];
  const byValue = await byValueOf(taken, specs, today);
  const books = tableBooks({ first: monthly.first, rows }, client.fiscalYearStart, { byValue });
  const open = openIn(query);
  const options = { depth: depthOfCode(depth), zeroLines: zero === 'yes', open };
  return {
    client: client.name,
    ...handedOutBy(taken),
    currency: client.currency,
    dateOrder: dateOrderOf(client.country),
    title: SHEET_NAMES[sheet],
    subtitle: subtitleOf(sheet, main, client.country),
    made: `Revision ${revision}, ${dayInWords(today, client.country)}`,
    table: buildTable({ chart, books, options }, { sheet, columns: specs, context }),
    specs,
  };
};

/** The statements of a packet, in the order in which they are named. */
export const packetOf = async (
  taken: Taken,
  query: ExportQuery,
  today: string,
): Promise<[StatementFile, ...StatementFile[]]> => {
  const names = (query.sheets ?? '').split(',');
  const sheets = names.flatMap((name) => SHEET_CODES.find((code) => code === name) ?? []);
  if (sheets.length !== names.length || new Set(sheets).size !== sheets.length)
    return badRequest('sheets', 'name statements, each once');
  const files: StatementFile[] = [];
  for (const sheet of sheets) files.push(await statementFileOf(taken, { ...query, sheet }, today));
  return files as [StatementFile, ...StatementFile[]];
};
