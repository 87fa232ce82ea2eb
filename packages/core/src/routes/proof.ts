import type { Chart } from '../chart/chart';
import { standsFor } from '../chart/queries';
import { applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import type { ReturnLineChoice } from '../settings/return-form';
import type { Filer } from '../settings/return-forms';
import { landingOf, type Landing } from './landing';
import type { Expected, Proof, RouteItem, Sample } from './route-item';
import { routeSample, type Routed } from './route-line';
import type { Routes } from './routes';

/** From a sample forward: what decided, the account, and where that lands. */
export interface Trace {
  readonly routed: Routed;
  readonly landing: Landing | null;
}

/** What is needed to follow a sample: a chart, the routes, and who files which return. */
export interface Tracing {
  readonly chart: Chart;
  readonly routes: Routes;
  readonly filer: Filer;
}

/** Follows a sample forward. */
export const traceOf = (sample: Sample, { filer, ...context }: Tracing): Trace => {
  const routed = routeSample(sample, context);
  const { accountId } = routed;
  return {
    routed,
    landing: accountId === null ? null : landingOf(context.chart, accountId, filer),
  };
};

/** Why a proof does not hold. */
export type Breach =
  /** Nothing says where it goes. */
  | 'unrouted'
  /** The account that was named is gone. */
  | 'gone'
  /** The account takes no postings: it is a heading or retired. */
  | 'takesNone'
  /** It never reaches a statement. */
  | 'offStatements'
  | 'otherSection'
  /** It does not count under the line that was named. */
  | 'elsewhere'
  | 'otherReturnLine';

/** How a proof stands. */
export interface ProofOutcome {
  readonly proofId: string;
  readonly trace: Trace;
  /** `null` while it holds. */
  readonly breach: Breach | null;
}

const sameLine = (one: ReturnLineChoice, other: ReturnLineChoice | null): boolean =>
  other !== null && one.form === other.form && one.line === other.line && one.copy === other.copy;

const unlike = (
  { section, underId, returnLine }: Expected,
  landing: Landing,
  chart: Chart,
): Breach | null => {
  if (landing.section !== section) return 'otherSection';
  const under = underId === null ? null : standsFor(chart, underId);
  if (underId !== null && (under === null || !landing.path.includes(under))) return 'elsewhere';
  return returnLine === null || sameLine(returnLine, landing.returnLine) ? null : 'otherReturnLine';
};

const breachOf = (expected: Expected, { routed, landing }: Trace, chart: Chart): Breach | null => {
  if (routed.decision.by === 'nothing') return 'unrouted';
  if (routed.accountId === null) return 'gone';
  if (landing === null) return 'offStatements';
  return landing.takesPostings ? unlike(expected, landing, chart) : 'takesNone';
};

/** Whether a proof holds on a chart, or why not. */
export const outcomeOfProof = (
  { id, content }: RouteItem<Proof>,
  tracing: Tracing,
): ProofOutcome => {
  const trace = traceOf(content.sample, tracing);
  return { proofId: id, trace, breach: breachOf(content.expected, trace, tracing.chart) };
};

/** How all proofs stand on a chart. */
export const outcomesOf = (tracing: Tracing): readonly ProofOutcome[] =>
  tracing.routes.proofs.map((proof) => outcomeOfProof(proof, tracing));

/** A proof that does not hold, and the operation of a proposal since which it does not. */
export interface BrokenProof extends ProofOutcome {
  readonly breach: Breach;
  /** Place among the operations; `null` for one that did not hold before either. */
  readonly since: number | null;
}

/** The chart after each operation, the first one before any; ends where an operation cannot be applied. */
const chartsAlong = (base: Chart, operations: readonly Operation[]): readonly Chart[] => {
  const charts = [base];
  for (const operation of operations) {
    const outcome = applyAll(charts.at(-1) ?? base, [operation]);
    if (!outcome.ok) break;
    charts.push(outcome.chart);
  }
  return charts;
};

/** A proposal, as proofs are held against it. */
export interface Proposed {
  readonly base: Chart;
  readonly operations: readonly Operation[];
  /** What they make of the base. */
  readonly chart: Chart;
}

/**
 * The proofs that do not hold on a chart as proposed, each with the operation that broke it: the last before which it
 * held. One that was broken and mended again on the way is not broken.
 */
export const brokenBy = (
  { base, operations, chart }: Proposed,
  rest: Omit<Tracing, 'chart'>,
): readonly BrokenProof[] => {
  const breached = rest.routes.proofs.flatMap((proof) => {
    const outcome = outcomeOfProof(proof, { ...rest, chart });
    return outcome.breach === null ? [] : [{ proof, outcome, breach: outcome.breach }];
  });
  if (breached.length === 0) return [];
  const charts = chartsAlong(base, operations);
  return breached.map(({ proof, outcome, breach }): BrokenProof => {
    const held = charts.findLastIndex(
      (one) => outcomeOfProof(proof, { ...rest, chart: one }).breach === null,
    );
    return { ...outcome, breach, since: held < 0 ? null : held };
  });
};
