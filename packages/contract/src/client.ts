import { INDUSTRY_CODES, LEGAL_FORMS } from '@iunctus/core/edges';
import * as v from 'valibot';
import { Id, Moment, MonthText, wordsUpTo } from './text';

const details = {
  name: wordsUpTo(120),
  legalForm: v.picklist(LEGAL_FORMS),
  industry: v.nullable(v.picklist(INDUSTRY_CODES)),
  country: v.pipe(v.string(), v.regex(/^[A-Z]{2}$/)),
  currency: v.pipe(v.string(), v.regex(/^[A-Z]{3}$/)),
  /** The month, 1 to 12, with which the fiscal year begins. */
  fiscalYearStart: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(12)),
};

/** What decides a client's starting chart and returns. */
export const ClientNature = v.strictObject({
  legalForm: details.legalForm,
  industry: details.industry,
  country: details.country,
});
export type ClientNature = v.InferOutput<typeof ClientNature>;

export const NewClientRequest = v.strictObject(details);
export type NewClientRequest = v.InferOutput<typeof NewClientRequest>;

/** What a client is called and is, said anew; its currency stays, for its books are kept in it. */
export const ClientChange = v.strictObject({
  name: details.name,
  legalForm: details.legalForm,
  industry: details.industry,
  country: details.country,
  fiscalYearStart: details.fiscalYearStart,
});
export type ClientChange = v.InferOutput<typeof ClientChange>;

/** What is known of a client's chart; `revision` 0 means that nothing was adopted yet. */
export const ChartSummary = v.strictObject({
  accounts: v.number(),
  revision: v.number(),
  adoptedAt: v.nullable(Moment),
  adoptedBy: v.nullable(v.string()),
});

/** A client as listed; `chart` is `null` for a client without one. */
export const ClientAnswer = v.strictObject({
  id: Id,
  ...details,
  chart: v.nullable(ChartSummary),
  /** Accounts that the signed-in user's pending proposal changes. */
  pending: v.number(),
  /** Colleagues' proposals that wait for the signed-in user's word. */
  toReview: v.number(),
  /** The newest month with postings. */
  latestMonth: v.nullable(MonthText),
  /** Since when it is put away; `null` for a client that is worked on. */
  putAwayAt: v.nullable(Moment),
});
export type ClientAnswer = v.InferOutput<typeof ClientAnswer>;

export const ClientsAnswer = v.array(ClientAnswer);
export type ClientsAnswer = v.InferOutput<typeof ClientsAnswer>;
