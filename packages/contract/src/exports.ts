import * as v from 'valibot';
import { MonthText } from './text';

/** How a chart is to be taken out: with amounts of which months, and how it is printed. */
export const ExportQuery = v.pipe(
  v.strictObject({
    first: v.optional(MonthText),
    last: v.optional(MonthText),
    by: v.optional(v.picklist(['number', 'statement'])),
    guidance: v.optional(v.picklist(['yes', 'no'])),
  }),
  v.check(
    ({ first, last }) =>
      (first === undefined) === (last === undefined) && (first ?? '') <= (last ?? ''),
    'names first and last month, in order, or neither',
  ),
);
export type ExportQuery = v.InferOutput<typeof ExportQuery>;
