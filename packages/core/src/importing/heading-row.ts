import { share } from './column-contents';
import { useOfHeading } from './column-words';
import { periodHeading } from './period-headings';
import type { ColumnUse, SourceRow } from './source';

/** How many rows are looked at to find the headings, and below them to see what they stand over. */
const HEAD = 25;
const SAMPLE = 400;

/** Over the names of a printed statement nothing stands, over its amounts their years. */
const namesOnlyPeriods = (cells: readonly string[]): boolean => {
  const [first = '', ...others] = cells.map((cell) => cell.trim());
  const filled = others.filter((cell) => cell !== '');
  const periods = filled.filter((cell) => periodHeading(cell) !== null);
  const known = filled.every((cell) => periods.includes(cell) || /^notes?$/i.test(cell));
  return first === '' && periods.length > 0 && known;
};

/** How well a row serves as headings: how many of its cells name a use, each counted once. */
const headingScore = ({ cells }: SourceRow): number => {
  if (namesOnlyPeriods(cells)) return 2;
  const periods = cells.filter((cell) => periodHeading(cell) !== null);
  const uses = new Set(cells.flatMap((cell) => useOfHeading(cell)?.use ?? []));
  if (periods.length > 0) uses.add('balance');
  const named = ['name', 'number', 'numberAndName'].some((use) => uses.has(use as ColumnUse));
  const amounts = cells.filter((cell) => /\d{3}/.test(cell)).length;
  return named ? uses.size - amounts + periods.filter((cell) => /\d{3}/.test(cell)).length : 0;
};

/** Headings in other languages: a first row of words alone over a column of digits. */
const strangeRow = (rows: readonly SourceRow[]): SourceRow | null => {
  const [first, ...below] = rows.filter(
    ({ cells }) => cells.filter((cell) => cell.trim() !== '').length > 1,
  );
  if (first === undefined || below.length < 2) return null;
  const words = first.cells.filter((cell) => cell.trim() !== '');
  // “14 Elm St” may head a column of amounts; a number, an amount, or a number before a name is that of an account.
  if (words.some((cell) => !/\p{L}{2}/u.test(cell) && /\d/.test(cell))) return null;
  if (/^\d/.test(words[0]?.trim() ?? '')) return null;
  const overDigits = first.cells.some((cell, column) => {
    const texts = below.slice(0, SAMPLE).map(({ cells }) => (cells[column] ?? '').trim());
    const filled = texts.filter((text) => text !== '');
    return (
      cell.trim() !== '' &&
      filled.length > 1 &&
      share(filled, (text) => /^\D{0,3}\d/.test(text)) === 1
    );
  });
  return overDigits ? first : null;
};

/** The row of headings of a list; `null` where it has none. */
export const headingRow = (rows: readonly SourceRow[]): SourceRow | null => {
  let best: { row: SourceRow; score: number } | null = null;
  for (const row of rows.slice(0, HEAD)) {
    const score = headingScore(row);
    if (score > (best?.score ?? 0)) best = { row, score };
  }
  const single = rows.every(({ cells }) => cells.filter((cell) => cell.trim() !== '').length <= 1);
  return best !== null && (best.score > 1 || single) ? best.row : strangeRow(rows);
};
