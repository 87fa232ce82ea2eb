import type {
  ColumnSpec,
  Minor,
  MonthlyAmounts,
  OwnLayout,
  PendingOpening,
  PeriodContext,
  RowKey,
  SheetCode,
  StatementTable,
} from '@iunctus/core';
import type { ChartMessage } from '../../workspace/workers/followed-chart';

/** What is to be shown, and how. */
export interface TableWish {
  readonly sheet: SheetCode;
  readonly columns: readonly ColumnSpec[];
  readonly depth: number;
  readonly zeroLines: boolean;
  /** Lines that are open or closed whatever the depth. */
  readonly open: readonly (readonly [RowKey, boolean])[];
  /** As proposed, or as last adopted. */
  readonly proposed: boolean;
  /** Rows as the client laid them out; those of the standard statement where there is none. */
  readonly layout?: OwnLayout;
}

/** What the page tells the worker. Every message is answered by one result, once there is something to show. */
export type TableMessage =
  | ChartMessage
  | { readonly type: 'monthly'; readonly monthly: MonthlyAmounts }
  /** What was posted with the values of a dimension, each with its id. */
  | {
      readonly type: 'byValue';
      readonly values: readonly (readonly [valueId: string, monthly: MonthlyAmounts])[];
    }
  | { readonly type: 'openings'; readonly openings: readonly PendingOpening[] }
  | { readonly type: 'context'; readonly context: PeriodContext }
  | { readonly type: 'wish'; readonly wish: TableWish };

/** What the worker computed. */
export interface TableResult {
  readonly table: StatementTable;
  /** By how much the proposal moves rows, in the first column; empty for what is shown as adopted. */
  readonly moved: Readonly<Record<RowKey, Minor>>;
}
