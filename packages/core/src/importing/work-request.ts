import type { Account, AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import type { CalendarDate } from '../dates/calendar-date';
import type { Operation } from '../operations/operation';
import type { ClashRule } from './clashes';
import type { RowKind } from './import-kinds';
import type { Fate, ImportChange, ImportProblem, MissingAccount } from './import-plan';
import type { RowMatch } from './match-rows';
import type { TreeRow } from './tree-row';

/** A row with its place in the list, its kind, what it is in the chart, and the account it would be. */
export interface PlacedRow {
  readonly at: number;
  readonly row: TreeRow;
  readonly kind: RowKind;
  readonly match: RowMatch;
  readonly account: Account;
}

/** What the work is done on. */
export interface WorkRequest {
  readonly rows: readonly TreeRow[];
  /** Places of rows that are no accounts. */
  readonly bands: ReadonlySet<number>;
  readonly fates: ReadonlyMap<AccountId, Fate>;
  readonly today: CalendarDate;
  readonly clashes: ClashRule | null;
  /** Parents before what is below them. */
  readonly placed: readonly PlacedRow[];
  /** Is told now and then which share of the rows is done. */
  readonly tell: (share: number) => void;
}

/** What came of a row; `waits` until another row has made way. */
export type Outcome =
  | { readonly type: 'done'; readonly changes: readonly ImportChange[] }
  | { readonly type: 'waits'; readonly problems: readonly ImportProblem[] }
  | { readonly type: 'wrong'; readonly problems: readonly ImportProblem[] };

/** The work as it came out. */
export interface WorkDone {
  /** The chart as the list would make it; new accounts may lack their numbers. */
  readonly chart: Chart;
  readonly operations: readonly Operation[];
  readonly outcomes: ReadonlyMap<number, Outcome>;
  /** The account that each row is, by place. */
  readonly ids: ReadonlyMap<number, AccountId>;
  readonly numbers: ReadonlyMap<AccountId, string>;
  readonly missing: readonly MissingAccount[];
}
