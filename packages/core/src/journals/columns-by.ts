import type { SourceRow } from '../importing/source';

/** What was made of the columns of a list. */
export interface ColumnsBy<U> {
  /** The line of the headings; `null` where the list has none. */
  readonly headingLine: number | null;
  readonly headings: readonly string[];
  /** What each column is used for; `null` where it is passed over. */
  readonly uses: readonly (U | null)[];
}

/** How columns are recognised. */
export interface Recognizing<U> {
  /** What a heading says of its column. */
  readonly useOf: (heading: string) => U | null;
  /** What a column without a heading holds, by its texts. */
  readonly byContent: (texts: readonly string[]) => U | null;
}

/** How many rows are looked at to find the headings, and to see what a column holds. */
const HEAD = 25;
const SAMPLE = 200;

/** What the columns of a list seem to be: by the row that names most of them as headings, or else by what is in them. */
export const columnsBy = <U>(
  rows: readonly SourceRow[],
  { useOf, byContent }: Recognizing<U>,
): ColumnsBy<U> => {
  const named = ({ cells }: SourceRow): number =>
    new Set(cells.map(useOf).filter((use) => use !== null)).size;
  const best = rows
    .slice(0, HEAD)
    .reduce<SourceRow | null>(
      (so, row) => (named(row) > (so === null ? 1 : named(so)) ? row : so),
      null,
    );
  const width = rows.reduce((most, { cells }) => Math.max(most, cells.length), 0);
  const below = rows.filter(({ line }) => best === null || line > best.line).slice(0, SAMPLE);
  const uses = Array.from({ length: width }, (_one, column): U | null => {
    if (best !== null) return useOf(best.cells[column] ?? '');
    const texts = below.map(({ cells }) => (cells[column] ?? '').trim());
    return byContent(texts.filter((text) => text !== ''));
  });
  return {
    headingLine: best?.line ?? null,
    headings: best === null ? [] : best.cells.map((cell) => cell.trim()),
    uses,
  };
};
