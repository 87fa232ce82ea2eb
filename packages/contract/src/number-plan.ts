import type { NumberPlan } from '@iunctus/core';
import { KIND_CODES, PLAN_DIGITS } from '@iunctus/core/edges';
import * as v from 'valibot';
import { mirrors } from './mirrors';
import { textUpTo } from './text';

const Whole = v.pipe(v.number(), v.safeInteger(), v.minValue(0));
const Digits = v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(PLAN_DIGITS.most));

/** A chart's number plan. Ranges that overlap and the like pass here and are refused by the core, which says so. */
export const NumberPlanSchema = mirrors<NumberPlan>()(
  v.strictObject({
    digits: Digits,
    levels: v.pipe(v.array(Digits), v.maxLength(PLAN_DIGITS.most)),
    step: Whole,
    underParent: v.boolean(),
    contraLast: v.boolean(),
    ranges: v.pipe(
      v.array(
        v.strictObject({
          name: textUpTo(60),
          first: Whole,
          last: Whole,
          kinds: v.array(v.picklist(KIND_CODES)),
        }),
      ),
      v.maxLength(60),
    ),
    segments: v.pipe(
      v.array(
        v.strictObject({
          name: textUpTo(40),
          width: Digits,
          values: v.pipe(v.array(textUpTo(6)), v.maxLength(500)),
        }),
      ),
      v.maxLength(4),
    ),
    separator: textUpTo(1),
  }),
);
