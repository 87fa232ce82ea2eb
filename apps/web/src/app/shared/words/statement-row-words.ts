import type { SheetRow } from '@iunctus/core';

export { rowName as statementRowWords } from '@iunctus/core';

/** How far a row of a statement is indented, in pixels. */
export const statementRowIndent = (row: SheetRow): number => {
  if ('level' in row) return row.level * 14;
  return row.type === 'result' ? 14 : 0;
};
