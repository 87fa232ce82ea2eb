import type { OwnLayout, OwnRow } from '@iunctus/core';
import { columnsFromText, OWN_LIMITS, ownProblem, SECTION_CODES } from '@iunctus/core/edges';
import * as v from 'valibot';
import { mirrors } from './mirrors';
import { Count, Id, Moment, textUpTo, wordsUpTo } from './text';

const RowId = v.pipe(v.string(), v.regex(/^r\d{1,6}$/));
const Level = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(OWN_LIMITS.level));
const worded = { id: RowId, level: Level, words: textUpTo(OWN_LIMITS.words) };
const Side = v.picklist(['debit', 'credit']);
const Section = v.picklist(SECTION_CODES);

const OwnRowSchema = mirrors<OwnRow>()(
  v.variant('type', [
    v.strictObject({ type: v.literal('heading'), ...worded }),
    v.strictObject({ type: v.literal('text'), ...worded }),
    v.strictObject({
      type: v.literal('line'),
      ...worded,
      accounts: v.pipe(v.array(Id), v.maxLength(200)),
      section: v.nullable(Section),
      shows: Side,
      hideZero: v.boolean(),
    }),
    v.strictObject({
      type: v.literal('rest'),
      ...worded,
      section: Section,
      shows: Side,
      hideZero: v.boolean(),
    }),
    v.strictObject({ type: v.literal('result'), ...worded }),
    v.strictObject({
      type: v.literal('sum'),
      ...worded,
      of: v.pipe(v.array(RowId), v.maxLength(OWN_LIMITS.rows)),
      shows: Side,
      final: v.boolean(),
    }),
    v.strictObject({ type: v.literal('ratio'), ...worded, of: RowId, to: RowId }),
    v.strictObject({ type: v.literal('pageBreak'), id: RowId, level: v.literal(0) }),
  ]),
);

/** Why a layout cannot be, in words. */
const PROBLEMS: Readonly<Record<NonNullable<ReturnType<typeof ownProblem>>, string>> = {
  rowTwice: 'has two rows of one id',
  unknownRow: 'refers to a row that is not there',
  sumOfItself: 'has a sum that sums up itself',
  sumTooLong: 'has a sum of too many lines',
  ratioOfNoAmount: 'has a ratio of a row without an amount',
  resultOnProfitAndLoss: 'has a result among the lines that make it up',
};

const LayoutShape = mirrors<OwnLayout>()(
  v.strictObject({
    name: wordsUpTo(OWN_LIMITS.name),
    statement: v.picklist(['balanceSheet', 'profitAndLoss']),
    rows: v.pipe(v.array(OwnRowSchema), v.maxLength(OWN_LIMITS.rows)),
    columns: textUpTo(2000),
    complete: v.boolean(),
  }),
);

/** A layout of the client's own. */
export const OwnLayoutSchema = v.pipe(
  LayoutShape,
  v.check(
    ({ columns }) => columnsFromText(columns) !== null,
    'has columns that refer to none before them',
  ),
  v.check(
    (layout) => ownProblem(layout) === null,
    ({ input }) => PROBLEMS[ownProblem(input) ?? 'unknownRow'],
  ),
);

/** A layout as it is kept. */
export const LayoutAnswer = v.strictObject({
  id: Id,
  /** Grows with every change, so that none is overwritten unseen. */
  version: v.number(),
  layout: LayoutShape,
  /** Whether it names accounts that are not shown to the one who asks; such a one cannot be changed. */
  partly: v.boolean(),
  /** Who changed it last, and when. */
  author: v.string(),
  changedAt: Moment,
});
export type LayoutAnswer = v.InferOutput<typeof LayoutAnswer>;
export const LayoutsAnswer = v.array(LayoutAnswer);
export type LayoutsAnswer = v.InferOutput<typeof LayoutsAnswer>;

/** Keeps a layout that was read under `version`; 0 for a new one. */
export const LayoutRequest = v.strictObject({ version: Count, layout: OwnLayoutSchema });
export type LayoutRequest = v.InferOutput<typeof LayoutRequest>;
export const LayoutKept = v.strictObject({ version: v.number() });
