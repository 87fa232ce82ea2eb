import type { OpeningBalances } from '@iunctus/core';
import { LIST_NAME_LIMIT } from '@iunctus/core/edges';
import * as v from 'valibot';
import { mirrors } from './mirrors';
import { Amount, Id, MonthText, textUpTo } from './text';

/** Balances that accounts are to have at the end of a month; debit-positive minor units. */
export const OpeningBalancesSchema = mirrors<OpeningBalances>()(
  v.strictObject({
    last: MonthText,
    list: textUpTo(LIST_NAME_LIMIT),
    balances: v.pipe(
      v.array(v.strictObject({ accountId: Id, amount: Amount })),
      v.maxLength(50_000),
    ),
  }),
);
