import * as v from 'valibot';
import { Amount, MonthText, textUpTo } from './text';

/** A return on its way to tax software. */
export const ReturnFileRequest = v.strictObject({
  format: v.literal('iunctus-return'),
  version: v.literal(1),
  form: textUpTo(40),
  formYear: v.number(),
  filer: textUpTo(200),
  currency: textUpTo(3),
  first: MonthText,
  last: MonthText,
  amounts: v.pipe(
    v.array(
      v.strictObject({
        line: textUpTo(40),
        copy: v.pipe(v.number(), v.integer(), v.minValue(1)),
        amount: Amount,
      }),
    ),
    v.maxLength(5000),
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
