import type { ExportQuery } from '@iunctus/contract';
import {
  buildTable,
  columnsFromText,
  columnsOf,
  dateOrderOf,
  depthOfCode,
  dimensionsNeeded,
  lastDayOf,
  monthOf,
  ownPlaces,
  periodOfColumn,
  SHEET_CODES,
  tableBooks,
  withMergedValues,
  termsFor,
  type ColumnContext,
  type ColumnSpec,
  type MonthlyAmounts,
  type MonthlyByValue,
  type OwnLayout,
  type Period,
  type SheetCode,
} from '@iunctus/core';
import { dayInWords, periodInWords, type StatementFile } from '@iunctus/exchange';
import { monthlyByValueOf, monthlyOf } from '../balances/monthly.service';
import { layoutsOfClient } from '../layouts/layouts.service';
import { badRequest, problem } from '../problems/problem';
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
  dimensions: readonly string[],
  today: string,
): Promise<MonthlyByValue> => {
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

/** What a file is of: a standard statement, or one of the client's own layouts. */
interface FileOf {
  readonly sheet: SheetCode;
  readonly layout?: OwnLayout;
}

const layoutIn = async ({ pool, viewer, client }: Taken, id: string): Promise<FileOf> => {
  const found = (await layoutsOfClient(pool, viewer, client.id)).find((one) => one.id === id);
  if (found === undefined) return problem({ code: 'notFound' });
  return { sheet: found.layout.statement, layout: found.layout };
};

/** “Revision 3, November 27, 2026”; of a layout that does not hold all that it should, that it is a draft. */
const madeOn = ({ chart, client, revision }: Taken, { layout }: FileOf, today: string): string => {
  const made = `Revision ${revision}, ${dayInWords(today, client.country)}`;
  const draft = layout !== undefined && ownPlaces(chart, layout).faults.length > 0;
  return draft ? `Draft, not complete. ${made}` : made;
};

const fileOf = async (
  taken: Taken,
  of: FileOf,
  { query, today }: { readonly query: ExportQuery; readonly today: string },
): Promise<StatementFile> => {
  const { pool, viewer, client, chart } = taken;
  const { sheet, layout } = of;
  const { first, last, columns = layout?.columns ?? 'plain', zero = 'no' } = query;
  if (first === undefined || last === undefined)
    return badRequest('first', 'names the first month');
  const main = { first, last };
  const context = { main, startsIn: client.fiscalYearStart, now: monthOf(today) };
  const { dimensions } = chart.settings;
  const specs = specsIn(columns, { periods: context, sheet, dimensions });
  const monthly = await monthlyOf(pool, viewer, { clientId: client.id, today });
  const rows = [...monthly.amounts, ...monthly.splits];
  const byValue = await byValueOf(taken, dimensionsNeeded(specs, dimensions), today);
  const amounts = { first: monthly.first, rows };
  const books = tableBooks(amounts, client.fiscalYearStart, {
    byValue: withMergedValues(chart, amounts, byValue),
  });
  const depth = depthOfCode(query.depth ?? (layout === undefined ? 'all' : '1'));
  const options = { depth, zeroLines: zero === 'yes', open: openIn(query) };
  const own = layout === undefined ? {} : { layout };
  const terms = termsFor({ ...client, plain: query.plain === 'yes' });
  return {
    client: client.name,
    ...handedOutBy(taken),
    currency: client.currency,
    dateOrder: dateOrderOf(client.country),
    terms,
    title: layout?.name ?? terms.sheets[sheet],
    subtitle: subtitleOf(sheet, main, client.country),
    made: madeOn(taken, of, today),
    table: buildTable({ chart, books, options }, { sheet, columns: specs, context, ...own }),
    specs,
    ...own,
  };
};

/** A statement as adopted, with the columns and lines that are asked for, as the viewer may see it. */
export const statementFileOf = async (
  taken: Taken,
  query: ExportQuery,
  today: string,
): Promise<StatementFile> => {
  const { layout, sheet } = query;
  if (layout !== undefined) return fileOf(taken, await layoutIn(taken, layout), { query, today });
  if (sheet === undefined) return badRequest('sheet', 'names the statement');
  return fileOf(taken, { sheet }, { query, today });
};

const ID = /^[0-9a-f]{8}-[0-9a-f-]{27}$/;

/** The statements of a packet, in the order in which they are named. */
export const packetOf = async (
  taken: Taken,
  query: ExportQuery,
  today: string,
): Promise<[StatementFile, ...StatementFile[]]> => {
  const names = (query.sheets ?? '').split(',');
  const isNamed = (name: string): boolean =>
    ID.test(name) || SHEET_CODES.some((code) => code === name);
  if (!names.every(isNamed) || new Set(names).size !== names.length)
    return badRequest('sheets', 'name statements, each once');
  const files: StatementFile[] = [];
  for (const name of names) {
    const code = SHEET_CODES.find((one) => one === name);
    const of = code === undefined ? await layoutIn(taken, name) : { sheet: code };
    files.push(await fileOf(taken, of, { query, today }));
  }
  return files as [StatementFile, ...StatementFile[]];
};
