import type { OpenItemList } from '@iunctus/core';
import { itemsFit, OPEN_ITEM_LIMITS } from '@iunctus/core/edges';
import * as v from 'valibot';
import { mirrors } from './mirrors';
import { Amount, Count, DateText, Id, Moment, MonthText, textUpTo, wordsUpTo } from './text';

/** What stood open in an account at the end of a month; debit-positive minor units. */
export const OpenItemListSchema = mirrors<OpenItemList>()(
  v.strictObject({
    month: MonthText,
    items: v.pipe(
      v.array(
        v.strictObject({
          party: wordsUpTo(OPEN_ITEM_LIMITS.party),
          reference: textUpTo(OPEN_ITEM_LIMITS.reference),
          date: v.nullable(DateText),
          amount: Amount,
        }),
      ),
      v.maxLength(OPEN_ITEM_LIMITS.items, `are more than ${OPEN_ITEM_LIMITS.items}`),
      v.check((items) => itemsFit(items), 'come to more than can be counted'),
    ),
  }),
);

/** The newest list of each account, with who brought it, and when. */
export const OpenItemsAnswer = v.array(
  v.strictObject({
    accountId: Id,
    version: v.number(),
    list: OpenItemListSchema,
    author: v.string(),
    changedAt: Moment,
  }),
);
export type OpenItemsAnswer = v.InferOutput<typeof OpenItemsAnswer>;

/** Keeps a list; `version` is that of the list that it takes the place of, 0 for none. */
export const OpenItemsRequest = v.strictObject({ version: Count, list: OpenItemListSchema });
export type OpenItemsRequest = v.InferOutput<typeof OpenItemsRequest>;
export const OpenItemsKept = v.strictObject({ version: v.number() });
