import {
  advance,
  allFindings,
  applyAll,
  chartOf,
  chartUse,
  emptyChart,
  findingKey,
  fiscalYearStart,
  impactOf,
  lookAt,
  proposedChart,
  returnSheet,
  tableBooks,
  tidyScore,
  trackOf,
  type AccountId,
  type Chart,
  type Finding,
  type LookedAt,
  type LookedThrough,
  type MonthlyAmounts,
  type OwnLayout,
  type ProposalStep,
  type Track,
} from '@iunctus/core';
import { placedJudge } from '@iunctus/core/learned';
import type { FindingsMessage, FindingsResult, Trial } from './findings-messages';

/** What was learned of kinds; this worker alone loads it. */
const JUDGE = placedJudge();

type Client = Extract<FindingsMessage, { type: 'client' }>;

interface State {
  readonly track: Track;
  readonly monthly: MonthlyAmounts | null;
  readonly client: Client | null;
  readonly layouts: readonly OwnLayout[];
  readonly routed: ReadonlySet<AccountId>;
  readonly trial: Trial | null;
  readonly since: Chart | null;
}

const moved = (track: Track, steps: readonly ProposalStep[]): Track => {
  const next = advance(track, steps);
  return next.ok ? next.track : track;
};

const next = (state: State, message: FindingsMessage): State => {
  switch (message.type) {
    case 'chart':
      return { ...state, track: moved(trackOf(chartOf(message.chart)), message.steps) };
    case 'steps':
      return { ...state, track: moved(state.track, message.steps) };
    case 'monthly':
      return { ...state, monthly: message.monthly };
    case 'client':
      return { ...state, client: message };
    case 'layouts':
      return { ...state, layouts: message.layouts };
    case 'routed':
      return { ...state, routed: new Set(message.routed) };
    case 'since':
      return { ...state, since: message.chart === null ? null : chartOf(message.chart) };
    case 'trial':
      return { ...state, trial: message.trial };
  }
};

/** What is looked at: a chart with the books of the fiscal year up to the end of the period. */
const lookedAt = (state: State, chart: Chart): LookedAt | null => {
  const { monthly, client, layouts, routed } = state;
  if (monthly === null || client === null) return null;
  const { last } = client.period;
  const { startsIn } = client;
  const { country } = client.filer;
  const rollUp = tableBooks(monthly, startsIn).rollUp({
    first: fiscalYearStart(last, startsIn),
    last,
  });
  const returned = { sheet: returnSheet(chart, rollUp, client.filer), filer: client.filer };
  const use = chartUse(monthly, last);
  return lookAt(chart, { use, returned, layouts, country, startsIn, routed, judge: JUDGE });
};

const lookedThrough = (state: State, chart: Chart): LookedThrough | null => {
  const looking = lookedAt(state, chart);
  if (looking === null) return null;
  const findings = allFindings(looking);
  return { findings, score: tidyScore(looking, findings) };
};

/** What was found on the chart since which it was tidied, and what moved meanwhile. */
const lookedSince = (state: State): FindingsResult['since'] => {
  const { since, monthly, client, track } = state;
  if (since === null || monthly === null || client === null) return null;
  const through = lookedThrough(state, since);
  const rollUp = tableBooks(monthly, client.startsIn).rollUp(client.period);
  const impact = impactOf({ chart: since, rollUp }, { chart: proposedChart(track), rollUp });
  return through === null ? null : { ...through, impact };
};

const tried = (
  { track, monthly, client, trial }: State,
  findings: readonly Finding[],
): FindingsResult['tried'] => {
  const finding = findings.find((one) => findingKey(one) === trial?.key);
  const fix = trial === null ? undefined : finding?.fixes[trial.fix];
  if (trial === null || fix === undefined || monthly === null || client === null) return null;
  const chart = proposedChart(track);
  const outcome = applyAll(chart, fix.operations);
  if (!outcome.ok) return null;
  const rollUp = tableBooks(monthly, client.startsIn).rollUp(client.period);
  const { sections, totals } = impactOf({ chart, rollUp }, { chart: outcome.chart, rollUp });
  return { trial, impact: { sections, totals } };
};

/**
 * What the worker does, apart from being a worker: keeps chart, proposal and books, and answers every message with what
 * is found. `null` while something for it is not there yet.
 */
export const createFindingsComputer = (): ((message: FindingsMessage) => FindingsResult | null) => {
  let state: State = {
    track: trackOf(emptyChart()),
    monthly: null,
    client: null,
    layouts: [],
    routed: new Set(),
    trial: null,
    since: null,
  };
  let found: LookedThrough | null = null;
  let since: FindingsResult['since'] = null;
  return (message) => {
    state = next(state, message);
    if (message.type !== 'trial' && message.type !== 'since')
      found = lookedThrough(state, proposedChart(state.track));
    if (message.type !== 'trial') since = lookedSince(state);
    return found === null ? null : { ...found, since, tried: tried(state, found.findings) };
  };
};
