import type { SheetRow } from './sheets';
import type { StatementTerms } from './terms/statement-terms';
import { STANDARD_TERMS } from './terms/terms';

/** What a row of a sheet is called. */
export const rowName = (row: SheetRow, terms: StatementTerms = STANDARD_TERMS): string => {
  switch (row.type) {
    case 'group':
      return terms.groups[row.code];
    case 'section':
      return terms.sections[row.code];
    case 'account':
      return row.number === null ? row.name : `${row.number} ${row.name}`;
    case 'line':
      return row.name;
    case 'itself':
      return `${row.name}, not detailed`;
    case 'subtotal':
      return `Total ${row.name}`;
    case 'result':
      return terms.results[row.code];
    case 'sectionTotal':
      return row.alone ? terms.sections[row.code] : terms.sectionTotals[row.code];
    case 'total':
      return terms.totals[row.code];
    case 'pageBreak':
      return '';
    default:
      return row.words;
  }
};
