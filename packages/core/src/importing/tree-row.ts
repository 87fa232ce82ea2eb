import type { ImportEntry } from './entry';

/** How the tree of a list is found. */
export const TREE_SOURCES = [
  'parent',
  'path',
  'level',
  'indent',
  'totals',
  'digits',
  'sections',
  'flat',
] as const;
export type TreeSource = (typeof TREE_SOURCES)[number];

/** Why the place of a row cannot be found. */
export type TreeProblem =
  | { readonly rule: 'parentUnknown'; readonly text: string }
  | { readonly rule: 'parentCircle'; readonly text: string };

/** A row in its place. */
export interface TreeRow {
  readonly entry: ImportEntry;
  /** A heading that has no row of its own: only the paths of others name it. */
  readonly made: boolean;
  /** The place among the rows of the one above it; `null` for a main account. */
  readonly parent: number | null;
  /** Whether the list itself says what is above, so that an account of the chart is moved there. */
  readonly stated: boolean;
  readonly problem: TreeProblem | null;
}

/** A row as it is, as yet without a place. */
export const unplacedRow = (entry: ImportEntry): TreeRow => ({
  entry,
  made: false,
  parent: null,
  stated: true,
  problem: null,
});
