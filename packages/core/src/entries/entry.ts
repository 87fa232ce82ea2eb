import type { AccountId } from '../chart/account';
import type { CalendarDate } from '../dates/calendar-date';
import type { DimensionValues } from '../dimensions/dimension';
import type { Minor } from '../money/minor';
import type { EntrySource } from '../postings/posting';

/** An amount in another currency than the books', and the rate at which it came in. */
export interface ForeignAmount {
  /** ISO 4217. */
  readonly currency: string;
  /** Debit-positive, in minor units of that currency. */
  readonly amount: Minor;
  /** So many of the books' currency for one of that one: a decimal number, as text, for it is never rounded. */
  readonly rate: string;
}

/** One line of an entry. */
export interface EntryLine {
  readonly accountId: AccountId;
  /** Debit-positive, in minor units of the books' currency. */
  readonly amount: Minor;
  readonly values: DimensionValues;
  readonly comment: string;
  /** `null` for a line in the books' own currency. */
  readonly foreign: ForeignAmount | null;
}

/** A journal entry that is to be posted. */
export interface NewEntry {
  readonly date: CalendarDate;
  readonly source: EntrySource;
  readonly comment: string;
  readonly lines: readonly EntryLine[];
}

/** What entries are held against besides the chart. */
export interface Books {
  /** ISO 4217, in whose minor units amounts are. */
  readonly currency: string;
  /** The month (1–12) with which the fiscal year begins. */
  readonly fiscalYearStart: number;
  /** The last day to which nothing is posted any more; `null` while everything is open. */
  readonly lockedThrough: CalendarDate | null;
  readonly today: CalendarDate;
}

/** Longest comment of an entry or a line, in characters. */
export const COMMENT_LIMIT = 500;

/** Most lines of one entry that is typed. */
export const LINES_LIMIT = 400;

/** The sources that a person may give an entry; opening balances have a way of their own. */
export const TYPED_SOURCES = [
  'journal',
  'adjustment',
  'sales',
  'purchases',
  'bank',
  'payroll',
] as const satisfies readonly EntrySource[];
export type TypedSource = (typeof TYPED_SOURCES)[number];

/** Whether a person may give an entry that source. */
export const isTypedSource = (source: EntrySource): source is TypedSource =>
  (TYPED_SOURCES as readonly EntrySource[]).includes(source);
