import type { Role } from '../chart/account';
import type { CalendarDate } from '../dates/calendar-date';
import type { Side } from '../kinds/element';
import type { KindCode } from '../kinds/kinds';
import type { Minor } from '../money/minor';
import type { ColumnUse } from './source';

/** Why a cell of a list cannot be used. */
export interface CellProblem {
  readonly use: ColumnUse;
  readonly rule:
    | 'nameMissing'
    | 'textTooLong'
    | 'numberMalformed'
    | 'numberRepeated'
    | 'levelMalformed'
    | 'sideMalformed'
    | 'amountMalformed'
    | 'amountTooLarge'
    | 'statusMalformed';
  readonly text: string;
  /** The line that has it already, where it is repeated. */
  readonly otherLine?: number;
}

/** One account of a list, cell by cell; what the list does not say is `null`. */
export interface ImportEntry {
  readonly line: number;
  /** The cells as they came. */
  readonly cells: readonly string[];
  readonly number: string | null;
  readonly name: string;
  /** Width of the white space before the name. */
  readonly indent: number;
  readonly parent: string | null;
  readonly level: number | null;
  readonly type: string | null;
  readonly finerType: string | null;
  readonly role: Role | null;
  readonly shortLabel: string | null;
  readonly guidance: string | null;
  readonly notes: string | null;
  /** The day of retirement; `'open'` where the list says that it is in use. */
  readonly retired: CalendarDate | 'open' | null;
  /** Debit positive. */
  readonly balance: Minor | null;
  readonly budget: Minor | null;
  /** The side that the list names in a column of its own. */
  readonly side: Side | null;
  readonly problems: readonly CellProblem[];
}

/** What the user put right on one line: other texts for its cells, a kind, or to leave it out. */
export interface Mended {
  readonly cells?: Partial<Readonly<Record<ColumnUse, string>>>;
  readonly kind?: KindCode;
  /** It stands on its own, whatever the list puts it under. */
  readonly alone?: boolean;
  readonly leftOut?: boolean;
  /** It is an account of its own, however much it says what another line says. */
  readonly apart?: boolean;
}

/** An earlier line that says the same. */
export interface AlikeLine {
  readonly line: number;
  readonly name: string;
}
