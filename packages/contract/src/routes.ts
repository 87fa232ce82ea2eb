import type { DatedLine, MarketLine, RouteContent, Sample } from '@iunctus/core';
import {
  isTaxRate,
  LINE_SOURCES,
  MARKET_SORTS,
  PARTY_ROLES,
  PURPOSE_CODES,
  ROUTE_LIMITS,
  SECTION_CODES,
} from '@iunctus/core/edges';
import * as v from 'valibot';
import { mirrors } from './mirrors';
import { ReturnLineSchema } from './settings';
import { Amount, Count, DateText, Id, Moment, wordsUpTo } from './text';

const Name = wordsUpTo(ROUTE_LIMITS.name);
const Words = wordsUpTo(ROUTE_LIMITS.words);
const Purpose = v.picklist(PURPOSE_CODES);
const LineSource = v.picklist(LINE_SOURCES);
/** An amount without its sign. */
const Size = v.nullable(v.pipe(Amount, v.minValue(0, 'is below nothing')));

/** What a proof puts through the routes. */
export const SampleSchema = mirrors<Sample>()(
  v.variant('by', [
    v.strictObject({ by: v.literal('line'), text: Words, amount: Amount, source: LineSource }),
    v.strictObject({ by: v.literal('purpose'), purpose: Purpose, partyId: v.nullable(Id) }),
    v.strictObject({ by: v.literal('account'), accountId: Id }),
  ]),
);

/** One piece of a client's routes. */
export const RouteContentSchema = mirrors<RouteContent>()(
  v.variant('type', [
    v.strictObject({ type: v.literal('default'), purpose: Purpose, accountId: Id }),
    v.strictObject({
      type: v.literal('party'),
      role: v.picklist(PARTY_ROLES),
      name: Name,
      saleId: v.nullable(Id),
      purchaseId: v.nullable(Id),
    }),
    v.strictObject({
      type: v.literal('rule'),
      place: v.pipe(v.number(), v.finite()),
      how: v.picklist(['contains', 'starts']),
      words: Words,
      sign: v.nullable(v.picklist(['in', 'out'])),
      least: Size,
      most: Size,
      source: v.nullable(LineSource),
      accountId: Id,
      taxCodeId: v.nullable(Id),
    }),
    v.strictObject({
      type: v.literal('taxCode'),
      name: Name,
      rate: v.pipe(v.string(), v.check(isTaxRate, 'is no rate above 0 and up to 100 per cent')),
      reclaims: v.boolean(),
    }),
    v.strictObject({
      type: v.literal('proof'),
      name: Name,
      sample: SampleSchema,
      expected: v.strictObject({
        section: v.picklist(SECTION_CODES),
        underId: v.nullable(Id),
        returnLine: v.nullable(ReturnLineSchema),
      }),
    }),
    v.strictObject({ type: v.literal('gate'), blocks: v.boolean() }),
  ]),
);

export const RouteItemAnswer = v.strictObject({
  id: Id,
  /** Grows with every change, so that none is overwritten unseen. */
  version: v.number(),
  content: RouteContentSchema,
  /** Who changed it last, and when. */
  author: v.string(),
  changedAt: Moment,
});
export type RouteItemAnswer = v.InferOutput<typeof RouteItemAnswer>;
export const RoutesAnswer = v.array(RouteItemAnswer);
export type RoutesAnswer = v.InferOutput<typeof RoutesAnswer>;

/** Keeps a piece that was read under `version`; 0 for a new one. */
export const RouteRequest = v.strictObject({ version: Count, content: RouteContentSchema });
export type RouteRequest = v.InferOutput<typeof RouteRequest>;
export const RouteKept = v.strictObject({ version: v.number() });

/** The lines that somebody wants not to be posted. */
export const LinesSetAside = v.array(Id);
export type LinesSetAside = v.InferOutput<typeof LinesSetAside>;

const lineParts = {
  id: Id,
  date: DateText,
  text: v.string(),
  amount: Amount,
  source: LineSource,
};
const PurposeTold = v.optional(v.nullable(Purpose));

/** Asks the simulated bank for the lines of an account; first and last day, both inclusive. */
export const BankFeedQuery = v.strictObject({ accountId: Id, first: DateText, last: DateText });
export type BankFeedQuery = v.InferOutput<typeof BankFeedQuery>;
const silent = v.strictObject({ state: v.literal('silent') });
/** What a source told; `silent` when it did not answer: it may a moment later. */
export const BankFeedAnswer = v.variant('state', [
  v.strictObject({
    state: v.literal('told'),
    /** The last day that the source knows of. */
    through: DateText,
    lines: v.array(mirrors<DatedLine>()(v.strictObject({ ...lineParts, purpose: PurposeTold }))),
  }),
  silent,
]);
export type BankFeedAnswer = v.InferOutput<typeof BankFeedAnswer>;

/** Everything that the simulated marketplace tells of the business, from its first sale on, oldest first. */
export const MarketFeedAnswer = v.variant('state', [
  v.strictObject({
    state: v.literal('told'),
    through: DateText,
    lines: v.array(
      mirrors<MarketLine>()(
        v.strictObject({ ...lineParts, purpose: PurposeTold, sort: v.picklist(MARKET_SORTS) }),
      ),
    ),
  }),
  silent,
]);
export type MarketFeedAnswer = v.InferOutput<typeof MarketFeedAnswer>;
