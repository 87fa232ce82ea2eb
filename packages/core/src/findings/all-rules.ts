import type { FindingCode, FindingOf, FindingRule, LookedAt } from './finding';
import { misplacedLines } from './rules/misplaced-lines';
import { numberMisfits } from './rules/number-misfits';
import { planContradictions } from './rules/plan-problems';

/** The rules by which charts are looked through: a file and a row each. */
const RULES: { readonly [C in FindingCode]: FindingRule<C> } = {
  planProblem: planContradictions,
  misplacedLine: misplacedLines,
  numberMisfit: numberMisfits,
};

/** What one rule finds. */
export const findingsOf = <C extends FindingCode>(
  code: C,
  lookedAt: LookedAt,
): readonly FindingOf<C>[] => RULES[code](lookedAt);
