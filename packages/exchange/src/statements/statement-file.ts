import type {
  ColumnSpec,
  DateOrder,
  OwnLayout,
  Paper,
  StatementTable,
  StatementTerms,
} from '@iunctus/core';

/** A statement on its way out. */
export interface StatementFile {
  readonly client: string;
  /** Who hands it out: the practice. */
  readonly author: string;
  readonly paper: Paper;
  /** How the client's country writes days. */
  readonly dateOrder: DateOrder;
  readonly currency: string;
  /** “Profit and loss”. */
  readonly title: string;
  /** “July to October 2026”, “at October 31, 2026”. */
  readonly subtitle: string;
  /** “Revision 3, printed November 27, 2026”. */
  readonly made: string;
  /** In whose words. */
  readonly terms: StatementTerms;
  readonly table: StatementTable;
  /** The columns that were asked for: from which others some are reckoned. */
  readonly specs: readonly ColumnSpec[];
  /** The client's own layout, where it has one: what its sums are made of. */
  readonly layout?: OwnLayout;
}
