import type { Month, RowKey } from '@iunctus/core';

/** What is opened from a picture: a row of the statement, in one month or in the period that is looked at. */
export interface FrontOpening {
  readonly of: RowKey;
  readonly month: Month | null;
}
