import * as v from 'valibot';
import { Amount, Count, Id, MonthText, textUpTo } from './text';

/** What a client’s books came to last: from the start of the fiscal year to the newest month with postings. */
export const FiguresAnswer = v.nullable(
  v.strictObject({
    month: MonthText,
    /** Credit-positive, in minor units of the client’s currency. */
    revenue: Amount,
    netProfit: Amount,
    /** What the accounts of cash hold. */
    cash: Amount,
    /** Accounts with amounts that no line of the client’s return takes. */
    unmapped: Count,
    balanced: v.boolean(),
  }),
);
export type FiguresAnswer = v.InferOutput<typeof FiguresAnswer>;

/** How tidy a client's chart is as adopted, with its books through their newest month; `null` where nothing is posted. */
export const TidyCheckAnswer = v.nullable(
  v.strictObject({
    month: MonthText,
    /** What part of the amounts is on its lines without doubt: tenths of a per cent. */
    score: Count,
    /** What is doubted, and of how much, in minor units of the client’s currency. */
    doubted: Amount,
    whole: Amount,
    /** Findings that are not put off or set aside. */
    wrong: Count,
    doubtful: Count,
    couldBeNeater: Count,
    /** What would raise the score most, in words. */
    most: v.nullable(v.string()),
  }),
);
export type TidyCheckAnswer = v.InferOutput<typeof TidyCheckAnswer>;

/** Words of an account’s number or name, each anywhere in it. */
export const FindAccountsQuery = v.strictObject({ words: textUpTo(80) });
export type FindAccountsQuery = v.InferOutput<typeof FindAccountsQuery>;

/** Accounts of any client that is worked on. */
export const FoundAccountsAnswer = v.array(
  v.strictObject({
    clientId: Id,
    client: v.string(),
    accountId: Id,
    number: v.nullable(v.string()),
    name: v.string(),
  }),
);
export type FoundAccountsAnswer = v.InferOutput<typeof FoundAccountsAnswer>;
