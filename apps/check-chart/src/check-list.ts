import {
  allFindings,
  applyAll,
  emptyChart,
  joinStaggered,
  linesByAccount,
  listFindings,
  lookAt,
  planImport,
  recognizeColumns,
  termsFor,
  type Chart,
  type ImportPlan,
  type ListFinding,
  type SourceRow,
  type Spelling,
  type TermsOf,
} from '@iunctus/core';
import { placedJudge } from '@iunctus/core/learned';

/** A line that cannot become an account, and by which rule. */
export interface CheckedLine {
  readonly line: number;
  readonly name: string;
  readonly rule: string;
  readonly field: string | null;
}

/** A list of accounts that was looked through. */
export interface CheckedList {
  readonly accounts: number;
  readonly left: readonly CheckedLine[];
  readonly findings: readonly ListFinding[];
}

const leftIn = ({ rows }: ImportPlan): readonly CheckedLine[] =>
  rows.flatMap(({ entry: { line, name }, status, problems, question }): readonly CheckedLine[] => {
    if (problems.length > 0)
      return problems.map((problem) => ({
        line,
        name,
        rule: problem.rule,
        field: 'field' in problem ? String(problem.field) : null,
      }));
    if (status !== 'question' && status !== 'waiting') return [];
    return [
      { line, name, rule: question === null ? 'waitsForItsHeading' : 'wantsAnAnswer', field: null },
    ];
  });

const chartOfPlan = (plan: ImportPlan): Chart => {
  const outcome = applyAll(emptyChart(), plan.operations);
  if (!outcome.ok) throw new Error(`the list makes no chart: ${outcome.refusal.code}`);
  return outcome.chart;
};

/**
 * Looks a list of accounts through by the rules of Tidy, those that need no amounts: kinds as the list gives them or as
 * they are inferred, numbers by the plan that the list seems to follow.
 */
export const checkList = (
  rows: readonly SourceRow[],
  {
    terms: of,
    today,
    spelling,
  }: { readonly terms: TermsOf; readonly today: string; readonly spelling: Spelling | null },
): CheckedList => {
  const joined = joinStaggered(rows);
  const plan = planImport(emptyChart(), {
    rows: joined,
    columns: recognizeColumns(joined),
    treeSource: null,
    currency: 'USD',
    today,
    mended: new Map(),
    types: new Map(),
    answers: new Map(),
    fates: new Map(),
    former: [],
    clashes: null,
    newId: (index) => `account-${index}`,
  });
  const chart = chartOfPlan(plan);
  const telling = { chart, terms: termsFor(of) };
  const lines = linesByAccount(plan);
  const found = allFindings(lookAt(chart, { country: of.country, judge: placedJudge(), spelling }));
  return {
    accounts: lines.size,
    left: leftIn(plan),
    findings: listFindings(found, lines, telling),
  };
};
