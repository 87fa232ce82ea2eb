import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import type { WhyChanged } from '../numbering/crosswalk';
import type { Operation } from '../operations/operation';
import type { NumberPlan, PlanProblem } from '../plan/number-plan';
import type { Misplaced, ReturnSheet } from '../returns/return-sheet';
import type { Filer } from '../settings/return-forms';

/** How much a finding matters: something is wrong, may be wrong, or could be neater. */
export type Severity = 'wrong' | 'doubtful' | 'couldBeNeater';

/** What each rule tells of what it found, besides the accounts that it concerns. */
export interface FindingFacts {
  readonly numberMisfit: { readonly why: WhyChanged; readonly to: string | null };
  readonly planProblem: { readonly problem: PlanProblem };
  readonly misplacedLine: Pick<Misplaced, 'why' | 'amount'>;
}
export type FindingCode = keyof FindingFacts;

/** One way to put something right. */
export interface Fix {
  readonly operations: readonly Operation[];
}

/** Something about a chart that is to be looked at; the words are added at the screen. */
export interface FindingOf<C extends FindingCode> {
  readonly code: C;
  readonly severity: Severity;
  /** The accounts that it concerns; none where it is about the chart as a whole. */
  readonly accountIds: readonly AccountId[];
  readonly facts: FindingFacts[C];
  /** Ways to put it right, the likeliest first; each can be applied to the chart as it stands, and ends the finding. */
  readonly fixes: readonly Fix[];
}

/** What rules look at. */
export interface LookedAt {
  readonly chart: Chart;
  /** The plan that numbers are held against: the chart's own, or one that is being drafted. */
  readonly plan: NumberPlan;
  /** The return of a fiscal year, and whose it is; `null` where no amounts are at hand, or no form is known. */
  readonly returned: { readonly sheet: ReturnSheet; readonly filer: Filer } | null;
}

/** One rule: it looks at the chart, and says what it found. Pure, as all of the core. */
export type FindingRule<C extends FindingCode> = (lookedAt: LookedAt) => readonly FindingOf<C>[];
