import type { ReturnUse } from '../countries/starting-account';
import type { KindCode } from '../kinds/kinds';

/**
 * What a line is reckoned from besides its own accounts: the stock at the start and end of the year; purchases,
 * which are the cost of what left the store and what the store grew by; the sum of the cost of sales; the
 * owners’ capital at the start and end of the year, and the result between.
 */
export type ComputedLine =
  | 'stockAtStart'
  | 'stockAtEnd'
  | 'purchases'
  | 'costOfSales'
  | 'capitalAtStart'
  | 'resultOfYear'
  | 'capitalAtEnd';

/** One line of a tax return that an account can feed. */
export interface ReturnLine {
  /** The line as printed: `8`, `24b`, `L 2a` for line 2a of Schedule L. */
  readonly line: string;
  readonly words: string;
  /** The kinds that usually land here. */
  readonly kinds?: readonly KindCode[];
  /** What accounts of starting charts are used for that land here, whatever their kind. */
  readonly uses?: readonly ReturnUse[];
  readonly computed?: ComputedLine;
  /** Counted in the sum that the form wants elsewhere. */
  readonly part?: 'costOfSales';
  /** That it is no line of this form: what lands here is told, and not sent. */
  readonly elsewhere?: true;
  /** What is read of accounts of the balance sheet where it is not their balance at the end of the year. */
  readonly measure?: 'yearChange';
}

/** A tax return as a list of lines. `year` is the tax year of the print that is meant; `null` for none in print. */
export interface ReturnForm {
  readonly name: string;
  readonly year: number | null;
  readonly source: string;
  readonly lines: readonly ReturnLine[];
}

/** The line that an account feeds, and on which copy of the form, from 1. */
export interface ReturnLineChoice {
  readonly form: string;
  readonly line: string;
  readonly copy: number;
}
