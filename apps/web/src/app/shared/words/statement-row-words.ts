import type { StatementRow } from '@iunctus/core';
import {
  GROUP_WORDS,
  RESULT_WORDS,
  SECTION_TOTAL_WORDS,
  SECTION_WORDS,
  TOTAL_WORDS,
} from './statement-words';

/** What a row of a statement is called. */
export const statementRowWords = (row: StatementRow): string => {
  switch (row.type) {
    case 'group':
      return GROUP_WORDS[row.code];
    case 'section':
      return SECTION_WORDS[row.code];
    case 'line':
      return row.name;
    case 'itself':
      return $localize`${row.name}, not detailed`;
    case 'subtotal':
      return `Total ${row.name}`;
    case 'result':
      return RESULT_WORDS[row.code];
    case 'sectionTotal':
      return row.alone ? SECTION_WORDS[row.code] : SECTION_TOTAL_WORDS[row.code];
    case 'total':
      return TOTAL_WORDS[row.code];
  }
};

/** How far a row of a statement is indented, in pixels. */
export const statementRowIndent = (row: StatementRow): number => {
  if ('level' in row) return row.level * 14;
  return row.type === 'result' ? 14 : 0;
};
