import type { CalendarDate } from '../dates/calendar-date';
import type { Minor } from '../money/minor';
import type { DimensionValues } from '../dimensions/dimension';

/** Where an entry comes from. */
export const ENTRY_SOURCES = [
  'opening',
  'sales',
  'purchases',
  'bank',
  'payroll',
  'adjustment',
  'journal',
] as const;
export type EntrySource = (typeof ENTRY_SOURCES)[number];

/** One line of a journal entry as it stands in an account. */
export interface Posting {
  readonly entryId: string;
  readonly lineNumber: number;
  readonly date: CalendarDate;
  readonly source: EntrySource;
  readonly comment: string;
  /** Debit-positive, in minor units of the client's currency. */
  readonly amount: Minor;
  readonly values: DimensionValues;
  /** Grows with every entry that is posted, whatever its date. */
  readonly sequence: number;
}
