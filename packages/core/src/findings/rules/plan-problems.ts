import { planProblems } from '../../plan/number-plan';
import type { FindingRule } from '../finding';

/** What contradicts itself in the number plan. It is mended where it is drafted: no operation takes such a plan. */
export const planContradictions: FindingRule<'planProblem'> = ({ plan }) =>
  planProblems(plan).map((problem) => ({
    code: 'planProblem',
    severity: 'wrong',
    accountIds: [],
    amount: 0,
    facts: { problem },
    fixes: [],
  }));
