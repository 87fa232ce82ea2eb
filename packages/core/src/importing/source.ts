/** A row of a list as it came: its line in the file, from 1, and its cells as text. */
export interface SourceRow {
  readonly line: number;
  readonly cells: readonly string[];
}

/** What a column of a list says of its accounts. */
export const COLUMN_USES = [
  'number',
  'name',
  'numberAndName',
  'parent',
  'level',
  'type',
  'finerType',
  'role',
  'shortLabel',
  'guidance',
  'notes',
  'retired',
  'balance',
  'innerBalance',
  'debit',
  'credit',
  'side',
  'budget',
] as const;
export type ColumnUse = (typeof COLUMN_USES)[number];

/** What was made of the columns of a list. */
export interface ColumnReading {
  /** The line of the headings; `null` where the list has none. */
  readonly headingLine: number | null;
  readonly headings: readonly string[];
  /** What each column is used for; `null` where it is passed over. */
  readonly uses: readonly (ColumnUse | null)[];
}
