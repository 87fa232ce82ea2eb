import type { SheetCode, SheetCodes } from '../sheets';

/** What is said on statements: their names, those of their parts, and those of kinds. */
export interface StatementTerms {
  readonly sheets: Readonly<Record<SheetCode, string>>;
  readonly groups: Readonly<Record<SheetCodes['group'], string>>;
  readonly sections: Readonly<Record<SheetCodes['section'], string>>;
  readonly sectionTotals: Readonly<Record<SheetCodes['section'], string>>;
  readonly totals: Readonly<Record<SheetCodes['total'], string>>;
  readonly results: Readonly<Record<'earlierYears' | 'thisYear' | 'allYears', string>>;
}

/** Terms that differ from others. */
export type OtherTerms = {
  readonly [K in keyof StatementTerms]?: Readonly<Partial<StatementTerms[K]>>;
};
