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
  type Finding,
  type LookedAt,
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
    case 'trial':
      return { ...state, trial: message.trial };
  }
};

/** What is looked at: the chart as proposed, with the books of the fiscal year up to the end of the period. */
const lookedAt = ({ track, monthly, client, layouts, routed }: State): LookedAt | null => {
  if (monthly === null || client === null) return null;
  const chart = proposedChart(track);
  const { last } = client.period;
  const first = fiscalYearStart(last, client.startsIn);
  const rollUp = tableBooks(monthly, client.startsIn).rollUp({ first, last });
  const sheet = returnSheet(chart, rollUp, client.filer);
  const returned = { sheet, filer: client.filer };
  const { country } = client.filer;
  const { startsIn } = client;
  const use = chartUse(monthly, last);
  return lookAt(chart, { use, returned, layouts, country, startsIn, routed, judge: JUDGE });
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
  };
  let found: Pick<FindingsResult, 'findings' | 'score'> | null = null;
  return (message) => {
    state = next(state, message);
    if (message.type !== 'trial') {
      const looking = lookedAt(state);
      const findings = looking === null ? [] : allFindings(looking);
      found = looking === null ? null : { findings, score: tidyScore(looking, findings) };
    }
    return found === null ? null : { ...found, tried: tried(state, found.findings) };
  };
};
