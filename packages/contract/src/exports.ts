import * as v from 'valibot';
import { DEPTH_CODES, SHEET_CODES } from '@iunctus/core/edges';
import { Id, MonthText } from './text';

/** How a chart is to be taken out: with amounts of which months, and how it is printed. */
export const ExportQuery = v.pipe(
  v.strictObject({
    first: v.optional(MonthText),
    last: v.optional(MonthText),
    by: v.optional(v.picklist(['number', 'statement'])),
    guidance: v.optional(v.picklist(['yes', 'no'])),
    /** Of a statement: which, with which columns as text, how deep, and whether with lines that come to nothing. */
    sheet: v.optional(v.picklist(SHEET_CODES)),
    /** Of a statement: as the client laid it out. */
    layout: v.optional(Id),
    /** Of a packet: which statements, or layouts by id, in their order, with commas between; and what its preparer notes. */
    sheets: v.optional(v.pipe(v.string(), v.maxLength(1000))),
    notes: v.optional(v.pipe(v.string(), v.maxLength(2000))),
    columns: v.optional(v.pipe(v.string(), v.maxLength(2000))),
    /** Whether in plain words. */
    plain: v.optional(v.picklist(['yes', 'no'])),
    depth: v.optional(v.picklist(DEPTH_CODES)),
    zero: v.optional(v.picklist(['yes', 'no'])),
    /** Keys of lines that are open, and closed, whatever the depth; with commas between. */
    open: v.optional(v.pipe(v.string(), v.maxLength(4000))),
    closed: v.optional(v.pipe(v.string(), v.maxLength(4000))),
  }),
  v.check(
    ({ first, last }) =>
      (first === undefined) === (last === undefined) && (first ?? '') <= (last ?? ''),
    'names first and last month, in order, or neither',
  ),
);
export type ExportQuery = v.InferOutput<typeof ExportQuery>;
