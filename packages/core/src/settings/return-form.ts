import type { KindCode } from '../kinds/kinds';

/** One line of a tax return that an account can feed. */
export interface ReturnLine {
  /** The line as printed: `8`, `24b`, `L 2a` for line 2a of Schedule L. */
  readonly line: string;
  readonly words: string;
  /** The kinds that usually land here. */
  readonly kinds?: readonly KindCode[];
}

/** A tax return as a list of lines. `year` is the tax year of the print that is meant. */
export interface ReturnForm {
  readonly name: string;
  readonly year: number;
  readonly source: string;
  readonly lines: readonly ReturnLine[];
}

/** The line that an account feeds, and on which copy of the form, from 1. */
export interface ReturnLineChoice {
  readonly form: string;
  readonly line: string;
  readonly copy: number;
}
