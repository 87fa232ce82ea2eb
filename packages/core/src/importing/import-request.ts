import type { AccountId } from '../chart/account';
import type { CalendarDate } from '../dates/calendar-date';
import type { KindCode } from '../kinds/kinds';
import type { Learned } from '../matching/learned/model';
import type { AmountSides } from './amount-sides';
import type { ClashRule } from './clashes';
import type { Mended } from './entry';
import type { Fate } from './import-plan';
import type { FormerTitle, ImportAnswer } from './match-rows';
import type { ColumnReading, SourceRow } from './source';
import type { TreeSource } from './tree-row';

/** A list, and all that was decided about it. */
export interface ImportRequest {
  readonly rows: readonly SourceRow[];
  readonly columns: ColumnReading;
  /** `null` for what the list speaks for. */
  readonly treeSource: TreeSource | null;
  /** How its amounts are meant; `null` for what the list speaks for. */
  readonly sides?: AmountSides | null;
  readonly currency: string;
  readonly today: CalendarDate;
  readonly mended: ReadonlyMap<number, Mended>;
  readonly types: ReadonlyMap<string, KindCode>;
  /** What accounts of a name are, by what the practice was taught; by the names' keys. */
  readonly taught?: ReadonlyMap<string, KindCode>;
  readonly answers: ReadonlyMap<number, ImportAnswer>;
  readonly fates: ReadonlyMap<AccountId, Fate>;
  readonly former: readonly FormerTitle[];
  readonly clashes: ClashRule | null;
  /** What was learned of kinds; what ships where nothing else is given. */
  readonly learned?: Learned;
  /** A fresh id for the n-th row; the same at each call. */
  newId(index: number): AccountId;
  /** Is told now and then which share of the work is done, from 0 to 1. */
  readonly tell?: (share: number) => void;
}
