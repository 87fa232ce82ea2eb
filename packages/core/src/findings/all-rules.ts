import type { Finding, FindingCode, FindingRule, LookedAt } from './finding';
import { misplacedLines } from './rules/misplaced-lines';
import { numberMisfits } from './rules/number-misfits';
import { planContradictions } from './rules/plan-problems';

/** The rules by which charts are looked through: a file and a row each. */
const RULES: { readonly [C in FindingCode]: FindingRule<C> } = {
  planProblem: planContradictions,
  misplacedLine: misplacedLines,
  numberMisfit: numberMisfits,
};

export const FINDING_CODES = Object.keys(RULES) as readonly FindingCode[];

/** What some rules find, all of them unless they are named, in the order of the table. */
export const findingsIn = (
  lookedAt: LookedAt,
  codes: readonly FindingCode[] = FINDING_CODES,
): readonly Finding[] =>
  FINDING_CODES.filter((code) => codes.includes(code)).flatMap((code): readonly Finding[] =>
    RULES[code](lookedAt),
  );
