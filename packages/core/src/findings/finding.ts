import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import type { Month } from '../dates/month';
import type { SectionCode } from '../kinds/caption';
import type { KindCode } from '../kinds/kinds';
import type { ChartUse } from '../ledger/chart-use';
import type { OpenItemSum } from '../ledger/open-items';
import type { PlacedJudge } from '../matching/learned/judge-placed';
import type { Minor } from '../money/minor';
import type { WhyChanged } from '../numbering/crosswalk';
import type { Operation } from '../operations/operation';
import type { NumberPlan, PlanProblem } from '../plan/number-plan';
import type { Misplaced, ReturnSheet } from '../returns/return-sheet';
import type { PostedWords } from '../postings/posted-words';
import type { Filer } from '../settings/return-forms';
import type { Spelling } from '../spelling/spelling';
import type { OwnLayout } from '../statements/own/own-layout';
import type { Limits } from './limits';

/** How much a finding matters: something is wrong, may be wrong, or could be neater. */
export type Severity = 'wrong' | 'doubtful' | 'couldBeNeater';

/** What each rule tells of what it found, besides the accounts that it concerns and what they hold. */
export interface FindingFacts {
  readonly numberMisfit: { readonly why: WhyChanged; readonly to: string | null };
  readonly planProblem: { readonly problem: PlanProblem };
  readonly misplacedLine: Pick<Misplaced, 'why' | 'amount'>;
  /** Another kind is likelier: by the name alone, or with its place and number; how sure, in per cent. */
  readonly kindDoubt: {
    readonly likely: KindCode;
    readonly sure: number;
    readonly by: 'name' | 'place';
  };
  /** The first says the same as the second, which has more. */
  readonly duplicate: { readonly of: AccountId };
  /** The balance stands on the unusual side; since how many months. */
  readonly unusualBalance: { readonly months: number };
  /** What passes through an account was left in it; since how many months. */
  readonly leftToClear: { readonly months: number };
  /** What stood open at the end of a month, and what the account held then; debit positive. */
  readonly controlApart: { readonly month: Month; readonly items: Minor; readonly books: Minor };
  readonly emptyHeading: object;
  readonly onlyChild: { readonly childId: AccountId };
  readonly postedParent: { readonly below: number };
  readonly tooDeep: { readonly level: number };
  readonly tooManyMainLines: { readonly section: SectionCode; readonly count: number };
  readonly contraApart: { readonly besideId: AccountId };
  readonly assetsNotDepreciated: object;
  /** So many costs below one account take next to nothing each. */
  readonly tinyAccounts: { readonly count: number; readonly under: AccountId | null };
  /** The same sub-accounts stand below several: how many accounts there are, and with a dimension for them. */
  readonly repeatedBelow: {
    readonly values: readonly string[];
    readonly before: number;
    readonly after: number;
  };
  /** So many postings of which these words were said are of a sort of their own; the account that is for it, if any. */
  readonly sortApart: {
    readonly words: string;
    readonly count: number;
    readonly into: AccountId | null;
  };
  /** The same is posted to the second, of the same amounts, under these words. */
  readonly sameLines: { readonly of: AccountId; readonly words: string };
  readonly retiredInRoute: object;
  /** Posted to in the middle of a year, first in this month. */
  readonly retainedByHand: { readonly month: Month; readonly count: number };
  readonly neverUsed: object;
  /** Not used for so many months, and at zero. */
  readonly longUnused: { readonly months: number };
  /** What part of all costs it takes, in tenths of a per cent, and the year before. */
  readonly catchAll: {
    readonly part: number;
    readonly before: number;
    /** What most of it was said to be. */
    readonly holds: readonly string[];
  };
  readonly nameBlanks: { readonly to: string };
  readonly nameCapitals: { readonly to: string };
  readonly nameShortened: { readonly to: string };
  readonly misspelled: { readonly word: string; readonly to: string };
  /** Other accounts have another word for the same thing. */
  readonly twoWords: { readonly word: string; readonly to: string };
  readonly nameSaysNothing: object;
  /** So many accounts do not say what belongs in them. */
  readonly noGuidance: { readonly count: number };
  readonly layoutMisses: { readonly layout: string };
}
export type FindingCode = keyof FindingFacts;

/** What a fix does, to be said. */
export type FixDoes =
  | { readonly does: 'merge'; readonly id: AccountId; readonly into: AccountId }
  | { readonly does: 'mergeAll'; readonly into: AccountId; readonly count: number }
  | { readonly does: 'moveOut'; readonly count: number }
  | { readonly does: 'dimension'; readonly before: number; readonly after: number }
  | { readonly does: 'giveKind'; readonly kind: KindCode }
  | { readonly does: 'splitInto'; readonly words: string; readonly into: AccountId }
  | { readonly does: 'splitOff'; readonly words: string; readonly name: string }
  | { readonly does: 'rename'; readonly to: string }
  | { readonly does: 'renumber'; readonly to: string }
  | { readonly does: 'moveUnder'; readonly parentId: AccountId | null }
  | { readonly does: 'renumberAll' | 'usualLine' | 'remove' | 'retire' | 'restore' | 'dissolve' };

/** One way to put something right. */
export interface Fix {
  readonly says: FixDoes;
  readonly operations: readonly Operation[];
}

/** Something about a chart that is to be looked at. */
export interface FindingOf<C extends FindingCode> {
  readonly code: C;
  readonly severity: Severity;
  /** The accounts that it concerns; none where it is about the chart as a whole. */
  readonly accountIds: readonly AccountId[];
  /** What is at stake, as a plain amount: what the accounts hold, or what was posted to them in a year. */
  readonly amount: Minor;
  readonly facts: FindingFacts[C];
  /** Ways to put it right, the likeliest first; each can be applied to the chart as it stands, and ends the finding. */
  readonly fixes: readonly Fix[];
}

/** Any finding. */
export type Finding = { readonly [C in FindingCode]: FindingOf<C> }[FindingCode];

/** How much what a rule finds matters to those who have said so, by rule. */
export type Severities = Readonly<Partial<Record<FindingCode, Severity | 'off'>>>;

/** What rules look at. */
export interface LookedAt {
  readonly chart: Chart;
  /** The plan that numbers are held against: the chart's own, or one that is being drafted. */
  readonly plan: NumberPlan;
  /** The return of a fiscal year, and whose it is; `null` where no amounts are at hand, or no form is known. */
  readonly returned: { readonly sheet: ReturnSheet; readonly filer: Filer } | null;
  /** How accounts were used; `null` where no amounts are at hand. */
  readonly use: ChartUse | null;
  /** What was said of postings; `null` where it is not at hand. */
  readonly posted: PostedWords | null;
  /** What was learned of kinds; `null` where it is not at hand: it is large, and loaded only where it is needed. */
  readonly judge: PlacedJudge | null;
  readonly layouts: readonly OwnLayout[];
  /** What the open items of accounts come to, by the lists that were brought. */
  readonly openItems: readonly OpenItemSum[];
  /** Whose spelling names follow: ISO 3166-1 alpha-2. */
  readonly country: string;
  /** The month (1–12) with which the fiscal year begins. */
  readonly startsIn: number;
  /** The accounts to which routes and standing entries post. */
  readonly routed: ReadonlySet<AccountId>;
  readonly limits: Limits;
  /** What somebody wants a rule to be called, or that it is not looked for. */
  readonly severities: Severities;
  /** By what names are spelled; `null` where no dictionary is at hand. */
  readonly spelling: Spelling | null;
  /** Makes the identity of something that a fix adds. */
  newId(): string;
}

/** One rule: it looks at the chart, and says what it found. Pure, as all of the core. */
export type FindingRule<C extends FindingCode> = (lookedAt: LookedAt) => readonly FindingOf<C>[];
