import * as v from 'valibot';
import { MonthText } from './text';

/** A return on its way to tax software. */
export const ReturnFileRequest = v.strictObject({
  format: v.literal('iunctus-return'),
  version: v.literal(1),
  form: v.string(),
  formYear: v.number(),
  filer: v.string(),
  currency: v.string(),
  first: MonthText,
  last: MonthText,
  amounts: v.array(
    v.strictObject({
      line: v.string(),
      copy: v.pipe(v.number(), v.integer(), v.minValue(1)),
      amount: v.pipe(v.number(), v.safeInteger()),
    }),
  ),
});
export type ReturnFileRequest = v.InferOutput<typeof ReturnFileRequest>;

/** What the simulated tax software makes of a return. */
export const TaxSoftwareAnswer = v.strictObject({
  accepted: v.boolean(),
  form: v.string(),
  lines: v.number(),
  /** The two sides of the balance sheet; `null` for a form without one. */
  balance: v.nullable(v.strictObject({ assets: v.number(), claims: v.number() })),
  objections: v.array(v.string()),
});
export type TaxSoftwareAnswer = v.InferOutput<typeof TaxSoftwareAnswer>;
