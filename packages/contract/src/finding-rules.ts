import type { FindingCode, LimitName, RuleWishes } from '@iunctus/core';
import { FINDING_CODES, LIMIT_NAMES, LIMIT_RANGES, WISHED_WORDS } from '@iunctus/core/edges';
import * as v from 'valibot';
import { Count } from './text';

const Limit = (name: LimitName) => {
  const { least, most } = LIMIT_RANGES[name];
  return v.optional(
    v.pipe(
      v.number(),
      v.integer(),
      v.minValue(least, `is less than ${least}`),
      v.maxValue(most, `is more than ${most}`),
    ),
  );
};
type Limits = Record<LimitName, ReturnType<typeof Limit>>;

const Mattering = v.optional(v.picklist(['wrong', 'doubtful', 'couldBeNeater', 'off']));
type Matterings = Record<FindingCode, typeof Mattering>;

const byName = <N extends string, S>(names: readonly N[], of: (name: N) => S): Record<N, S> =>
  Object.fromEntries(names.map((name) => [name, of(name)])) as Record<N, S>;

/** What somebody wants of the rules of Tidy otherwise than they are. */
export const RuleWishesSchema: v.GenericSchema<RuleWishes> = v.strictObject({
  severities: v.strictObject(byName(FINDING_CODES, () => Mattering) satisfies Matterings),
  limits: v.strictObject(byName(LIMIT_NAMES, Limit) satisfies Limits),
  words: v.pipe(
    v.array(
      v.pipe(
        v.string(),
        v.maxLength(WISHED_WORDS.length),
        v.regex(/^[\p{Ll}\p{Lo}\p{M}]+$/u, 'is no word in small letters'),
      ),
    ),
    v.maxLength(WISHED_WORDS.count),
  ),
});

const Wished = v.strictObject({
  /** Grows with every change; 0 for what nobody has set yet. */
  version: v.number(),
  wishes: RuleWishesSchema,
});

/** What the practice, and the client, want of the rules. */
export const FindingRulesAnswer = v.strictObject({ practice: Wished, client: Wished });
export type FindingRulesAnswer = v.InferOutput<typeof FindingRulesAnswer>;

/** Keeps wishes that were read under `version`. */
export const FindingRulesRequest = v.strictObject({ version: Count, wishes: RuleWishesSchema });
export type FindingRulesRequest = v.InferOutput<typeof FindingRulesRequest>;
export const FindingRulesKept = v.strictObject({ version: v.number() });
