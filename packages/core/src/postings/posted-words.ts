import type { Minor } from '../money/minor';

/** What was said of several postings, in small letters and without digits and marks. */
export interface WordsPosted {
  readonly words: string;
  readonly count: number;
  /** What they come to; debit-positive. */
  readonly amount: Minor;
}

/** What was said of the postings of each account in a year; what a split took is left out. */
export interface PostedWords {
  /** The newest entry that is looked at. */
  readonly upTo: number;
  readonly accounts: readonly { readonly id: string; readonly said: readonly WordsPosted[] }[];
}
