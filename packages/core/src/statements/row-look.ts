import type { SheetRow } from './sheets';

/** How a row of a statement looks, wherever it is shown or printed. */
export interface RowLook {
  /** How deep it is indented; 0 at the edge. */
  readonly depth: number;
  /** Stands over other rows, in the type of headings. */
  readonly title: boolean;
  /** Has to be followed by something on its page. */
  readonly heading: boolean;
  readonly bold: boolean;
  /** A rule above what sums up; a second one below under a last total. */
  readonly rule: 'none' | 'single' | 'double';
}

const PLAIN: RowLook = { depth: 0, title: false, heading: false, bold: false, rule: 'none' };

const sumLook = (final: boolean): RowLook => ({
  ...PLAIN,
  bold: true,
  rule: final ? 'double' : 'single',
});

/** How a row looks. */
export const lookOf = (row: SheetRow): RowLook => {
  switch (row.type) {
    case 'group':
    case 'section':
      return { ...PLAIN, title: true, heading: true, bold: true };
    case 'ownHeading':
      return { ...PLAIN, depth: row.level, title: true, heading: true, bold: true };
    case 'line':
    case 'ownLine':
      return { ...PLAIN, depth: row.level, heading: row.open };
    case 'subtotal':
      return { ...PLAIN, depth: row.level, rule: 'single' };
    case 'sectionTotal':
      return sumLook(false);
    case 'total':
      return sumLook(row.final);
    case 'ownSum':
      return { ...sumLook(row.final), depth: row.level };
    case 'result':
      return { ...PLAIN, depth: 1 };
    case 'account':
      return { ...PLAIN, depth: row.level, heading: row.heading, bold: row.heading };
    case 'pageBreak':
      return PLAIN;
    default:
      return { ...PLAIN, depth: row.level };
  }
};
