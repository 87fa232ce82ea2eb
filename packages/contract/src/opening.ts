import * as v from 'valibot';
import { Id, MonthText } from './text';

/** Balances that accounts should have at the end of a month; debit-positive minor units. */
export const OpeningRequest = v.strictObject({
  last: MonthText,
  balances: v.pipe(
    v.array(v.strictObject({ accountId: Id, amount: v.pipe(v.number(), v.safeInteger()) })),
    v.maxLength(50_000),
  ),
});
export type OpeningRequest = v.InferOutput<typeof OpeningRequest>;

/** How many accounts got another balance, and what went to the account for opening balances. */
export const OpeningAnswer = v.strictObject({ posted: v.number(), difference: v.number() });
export type OpeningAnswer = v.InferOutput<typeof OpeningAnswer>;
