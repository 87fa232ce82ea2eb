import type { CalendarDate } from '../dates/calendar-date';
import type { Minor } from '../money/minor';

/** What is wrong with an entry as a whole, with the data that belongs to it. */
export type EntryFault =
  | { readonly code: 'locked'; readonly through: CalendarDate }
  | { readonly code: 'afterOpenYears'; readonly last: CalendarDate }
  | { readonly code: 'tooFewLines' }
  | { readonly code: 'tooManyLines'; readonly most: number }
  /** Debits less credits, in minor units of the books' currency. */
  | { readonly code: 'unbalanced'; readonly difference: Minor }
  /** The same of the memorandum accounts, which balance among themselves. */
  | { readonly code: 'memorandumUnbalanced'; readonly difference: Minor };

/** What is wrong with a line. */
export type LineFault =
  | { readonly code: 'gone' | 'heading' | 'systemOnly' | 'noAmount' | 'tooMuch' }
  | { readonly code: 'retired'; readonly from: CalendarDate }
  | { readonly code: 'wantsValue'; readonly dimensionId: string }
  | { readonly code: 'unknownValue'; readonly dimensionId: string }
  | { readonly code: 'onlyIn'; readonly currency: string }
  | { readonly code: 'wrongRate' }
  /** The line is not what its foreign amount comes to. */
  | { readonly code: 'wrongConversion'; readonly amount: Minor };

/** What is wrong, and with which line, counted from 0; `null` for the entry. */
export type PlacedFault =
  | { readonly line: null; readonly fault: EntryFault }
  | { readonly line: number; readonly fault: LineFault };

/** What may be meant, and is asked about before an entry is posted. */
export type EntryDoubt =
  | { readonly code: 'farBack'; readonly days: number }
  | { readonly code: 'farAhead'; readonly days: number }
  | { readonly code: 'toRetainedEarnings'; readonly line: number };
