import { COLUMN_USES, KIND_CODES } from '@iunctus/core/edges';
import * as v from 'valibot';
import { Id, textUpTo } from './text';

const Heading = textUpTo(200);

/**
 * What the columns of a client's list were used for, and what its words for types mean; known again by its
 * headings. Columns mean the same in every client's lists; words for types may not.
 */
export const KnownList = v.pipe(
  v.strictObject({
    clientId: Id,
    headings: v.pipe(v.array(Heading), v.minLength(1), v.maxLength(200)),
    uses: v.array(v.nullable(v.picklist(COLUMN_USES))),
    types: v.pipe(v.record(Heading, v.picklist(KIND_CODES)), v.maxEntries(500)),
  }),
  v.check(({ headings, uses }) => headings.length === uses.length, 'a use for each heading'),
);
export type KnownList = v.InferOutput<typeof KnownList>;

/** What headings are known by, whatever their case. */
export const headingsKey = (headings: readonly string[]): string =>
  JSON.stringify(headings).toLowerCase();

/** The lists that the practice brought in, the newest first. */
export const KnownListsAnswer = v.array(KnownList);
export type KnownListsAnswer = v.InferOutput<typeof KnownListsAnswer>;
