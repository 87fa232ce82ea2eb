import { CURRENCY } from './period-headings';
import { elementOfTitle } from './section-titles';
import type { ColumnReading, SourceRow } from './source';

/** The rows of a list that are accounts or sums, and what it is called. */
export interface BodyRows {
  readonly body: readonly SourceRow[];
  /** Lines that say for when the list or a part of it is: “Balance sheet as at 31 March 2026”. */
  readonly titles: readonly string[];
}

const isEmpty = ({ cells }: SourceRow): boolean => cells.every((cell) => cell.trim() === '');

/** A second row of headings, as statements have it: a currency over each column of amounts. */
const namesCurrencies = ({ cells }: SourceRow): boolean => {
  const filled = cells.map((cell) => cell.trim()).filter((cell) => cell !== '');
  const currencies = filled.filter((cell) => CURRENCY.test(cell));
  const known = filled.every((cell) => currencies.includes(cell) || /^notes?$/i.test(cell));
  return known && currencies.length > 0;
};

/** What stands over a list: “Payments for the year to 5 April 2026”. */
const OF_PERIOD =
  /\b(?:year|period|months?|quarter|as at|as of|ended|ending)\b.*\b(?:19|20)\d\d\b/i;
const OF_MONTH =
  /\b(?:jan\w*|feb\w*|mar(?:ch)?|apr\w*|may|june?|july?|aug\w*|sep\w*|oct\w*|nov\w*|dec\w*)\b.*\b(?:19|20)\d\d\b/i;

/** How statements are called; common practice, no source. */
const STATEMENT =
  /^(?:balance sheet|income statement|statement of|profit (?:and|&) loss|income (?:and|&) expenditure|receipts (?:and|&) payments|trading account|trading and profit|trial balance|schedule of|notes to)/i;

/** A title with its year alone: “Farm income summary 2025”, “Income and expenditure 2025/26”. */
const OF_YEAR =
  /\b(?:statements?|summary|accounts?|report|trial balance|balance sheet|expenditure|payments)\b.*\b(?:(?:19|20)\d\d(?:[/–-]\d{2,4})?|\d\d[/–-]\d\d)(?: ?\(.{1,20}\))?$/i;

/** What somebody writes over a list that they send: a greeting, or a sentence. */
const GREETING = /^\s*(?:hi|hello|dear|good (?:morning|afternoon|evening))\b[^\d]*$/i;
const SENTENCE = /^(?:\S+\s+){4,}\S+[.!?:]$/;

/** What somebody ends a letter with. */
const FAREWELL =
  /^(?:many thanks|thanks|thank you|(?:kind |best |warm )?regards|best wishes|cheers|yours)\b/i;

/** A full date in a line over the list: “Nominal list  31.12.2025”. */
const OF_DAY = /(?<!\d)\d{1,2}[/.-]\d{1,2}[/.-](?:\d\d){1,2}(?!\d)/;

const alone = ({ cells }: SourceRow): string | null => {
  const [only = '', ...more] = cells.map((cell) => cell.trim()).filter((cell) => cell !== '');
  return more.length === 0 ? only : null;
};

const datedTitle = (row: SourceRow): string | null => {
  const only = alone(row);
  if (only === null) return null;
  return OF_PERIOD.test(only) || OF_MONTH.test(only) || OF_YEAR.test(only) || OF_DAY.test(only)
    ? only
    : null;
};

const isTitle = (row: SourceRow): boolean =>
  datedTitle(row) !== null || STATEMENT.test(alone(row) ?? '');

const isSaid = (row: SourceRow): boolean => {
  const words = alone(row) ?? '';
  return GREETING.test(words) || (SENTENCE.test(words) && elementOfTitle(words) === null);
};

/** Who a print is of stands before what it is and for when: few lines, the last of them dated. */
const TITLE_LINES = 5;

/** How many of the first rows are what the list is called; in a list of names alone only those that are nothing else. */
const titleLines = (rows: readonly SourceRow[]): number => {
  const greeted = rows.findIndex((row) => !GREETING.test(row.cells.join(',')));
  return greeted > 0 ? greeted + titleLinesAfter(rows.slice(greeted)) : titleLinesAfter(rows);
};

const titleLinesAfter = (rows: readonly SourceRow[]): number => {
  const first = rows.findIndex((row) => alone(row) === null);
  if (first < 0) {
    const account = rows.findIndex((row) => !OF_PERIOD.test(alone(row) ?? ''));
    return Math.max(0, account);
  }
  const leading = rows.slice(0, Math.min(first, TITLE_LINES));
  return leading.map((row) => isTitle(row) || isSaid(row)).lastIndexOf(true) + 1;
};

/** From which row on somebody takes their leave, with nothing but lines of words behind; behind the last where nobody does. */
const farewellOf = (rows: readonly SourceRow[]): number => {
  const last = rows.findLastIndex((row) => alone(row) === null);
  const found = rows.findIndex((row, at) => at > last && FAREWELL.test(alone(row) ?? ''));
  return found < 0 || last < 0 ? rows.length : found;
};

/** A title between the lines: one that is dated and called as a statement is. */
const isStatement = (title: string | null): title is string =>
  title !== null && STATEMENT.test(title) && (OF_PERIOD.test(title) || /\bat\b/i.test(title));

const repeatsHeadings = ({ cells }: SourceRow, headings: readonly string[]): boolean =>
  headings.some((heading) => heading !== '') &&
  headings.every((heading, column) => (cells[column] ?? '').trim() === heading);

/**
 * Passes over what is no line of a list: rows before the headings, without headings its title; empty rows; headings that
 * stand again, and currencies; titles of statements between the lines; what a letter says around them.
 */
export const bodyRows = (rows: readonly SourceRow[], columns: ColumnReading): BodyRows => {
  const titles: string[] = [];
  const filled = rows.filter((row) => !isEmpty(row));
  const called = columns.headingLine === null ? titleLines(filled) : 0;
  const left = farewellOf(filled);
  const body = filled.slice(0, left).filter((row, at) => {
    const title = datedTitle(row);
    const before = columns.headingLine === null ? at < called : row.line <= columns.headingLine;
    if (title !== null && (before || isStatement(title))) titles.push(title);
    if (before || isStatement(title)) return false;
    if (namesCurrencies(row) || repeatsHeadings(row, columns.headings)) return false;
    return true;
  });
  return { body, titles };
};
