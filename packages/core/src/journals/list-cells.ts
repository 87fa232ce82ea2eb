import type { SourceRow } from '../importing/source';
import type { ColumnsBy } from './columns-by';

/** What a row of a list says in the columns of one use, with blanks between. */
export const cellsOf = <U>({ cells }: SourceRow, { uses }: ColumnsBy<U>, wanted: U): string =>
  uses
    .flatMap((use, at) => (use === wanted ? [(cells[at] ?? '').trim()] : []))
    .filter((text) => text !== '')
    .join(' ')
    .replace(/\s+/g, ' ');

/** Each use once, in the first of its columns, but for words of one `use`, which may stand in several. */
export const usedOnce = <U>(uses: readonly (U | null)[], several: U): readonly (U | null)[] => {
  const taken = new Set<U>();
  return uses.map((use) => {
    if (use === null || (use !== several && taken.has(use))) return null;
    taken.add(use);
    return use;
  });
};

/** The rows below the headings of a list; all where it has none. */
export const rowsBelow = <U>(
  rows: readonly SourceRow[],
  { headingLine }: ColumnsBy<U>,
): readonly SourceRow[] => rows.filter(({ line }) => headingLine === null || line > headingLine);
