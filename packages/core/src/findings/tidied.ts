import { titleOf, type AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { differencesBetween, type ChartDifference } from '../chart/compare';
import { knownAccount } from '../chart/queries';
import type { Finding, Severity } from './finding';
import { findingKey } from './finding-notes';
import type { TidyScore } from './score';

/** What was found in a chart, and how much of its amounts is without doubt. */
export interface LookedThrough {
  readonly findings: readonly Finding[];
  readonly score: TidyScore | null;
}

/** An account that differs between two charts, as it is called in each; `null` where it is not there. */
export interface Renamed {
  readonly difference: ChartDifference;
  readonly before: string | null;
  readonly after: string | null;
}

/** What came of tidying a chart. */
export interface Tidied {
  /** How many of each severity there were, and are. */
  readonly counts: readonly {
    readonly severity: Severity;
    readonly before: number;
    readonly after: number;
  }[];
  /** What was found before and is no more. */
  readonly ended: readonly Finding[];
  /** The crosswalk: each account that differs, as it was and as it is called. */
  readonly renamed: readonly Renamed[];
}

/** A finding about more accounts than this is about what they are together. */
const PAIR = 2;

const SEVERITIES: readonly Severity[] = ['wrong', 'doubtful', 'couldBeNeater'];

const titleIn = (chart: Chart, id: AccountId): string | null => {
  const account = knownAccount(chart, id);
  return account === undefined ? null : titleOf(account);
};

const renamedBetween = (before: Chart, after: Chart): readonly Renamed[] =>
  differencesBetween(before, after).map((difference) => {
    const { id, type } = difference;
    const now = type === 'merged' ? titleIn(after, difference.into) : titleIn(after, id);
    return {
      difference,
      before: type === 'new' ? null : titleIn(before, id),
      after: type === 'gone' ? null : now,
    };
  });

/** A finding about many accounts goes on as long as one of its sort is about some of them. */
const goesOn = ({ code, accountIds }: Finding, now: readonly Finding[]): boolean =>
  accountIds.length > PAIR &&
  now.some((one) => one.code === code && one.accountIds.some((id) => accountIds.includes(id)));

/** What came of tidying: what was found on a chart before and after, and what differs between the two. */
export const tidiedBetween = (
  before: { readonly chart: Chart; readonly findings: readonly Finding[] },
  after: { readonly chart: Chart; readonly findings: readonly Finding[] },
): Tidied => {
  const count = (findings: readonly Finding[], severity: Severity): number =>
    findings.filter((one) => one.severity === severity).length;
  const now = new Set(after.findings.map(findingKey));
  return {
    counts: SEVERITIES.map((severity) => ({
      severity,
      before: count(before.findings, severity),
      after: count(after.findings, severity),
    })),
    ended: before.findings.filter(
      (finding) => !now.has(findingKey(finding)) && !goesOn(finding, after.findings),
    ),
    renamed: renamedBetween(before.chart, after.chart),
  };
};
