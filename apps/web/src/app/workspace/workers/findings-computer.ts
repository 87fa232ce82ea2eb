import {
  allFindings,
  applyAll,
  chartOf,
  checkChart,
  findingKey,
  impactOf,
  lookAtBooks,
  NO_WISHES,
  proposedChart,
  tableBooks,
  tidyScore,
  type AccountId,
  type CalendarDate,
  type Chart,
  type Finding,
  type FindingNote,
  type KnownBooks,
  type LookedThrough,
  type MonthlyAmounts,
  type OpenItemSum,
  type OwnLayout,
  type PostedWords,
  type RollUp,
  type RuleWishes,
  type Spelling,
  type Track,
} from '@iunctus/core';
import { followed, NO_CHART } from './followed-chart';
import { placedJudge } from '@iunctus/core/learned';
import type {
  FindingsMessage,
  FindingsResult,
  PastChart,
  PastCheck,
  Trial,
} from './findings-messages';

/** What was learned of kinds; this worker alone loads it. */
const JUDGE = placedJudge();

/** What the worker is told by the page, and by itself: a dictionary that it reads, and to go on with the next month. */
type ComputerMessage =
  | FindingsMessage
  | { readonly type: 'spellingComes' }
  | { readonly type: 'spelling'; readonly spelling: Spelling | null }
  | { readonly type: 'nextMonth' };

type Client = Extract<FindingsMessage, { type: 'client' }>;

interface State {
  readonly track: Track;
  readonly monthly: MonthlyAmounts | null;
  readonly client: Client | null;
  readonly posted: PostedWords | null;
  readonly layouts: readonly OwnLayout[];
  readonly openItems: readonly OpenItemSum[];
  readonly routed: ReadonlySet<AccountId>;
  readonly rules: { readonly practice: RuleWishes; readonly client: RuleWishes };
  readonly spelling: Spelling | null;
  readonly isSpelled: boolean;
  readonly notes: ReadonlyMap<string, FindingNote>;
  readonly today: CalendarDate;
  readonly trial: Trial | null;
  readonly since: Chart | null;
  /** The months that are still to be looked at, and what was found in those before. */
  readonly months: readonly PastChart[];
  readonly past: readonly PastCheck[];
}

const FIRST: State = {
  track: NO_CHART,
  monthly: null,
  client: null,
  posted: null,
  layouts: [],
  openItems: [],
  routed: new Set(),
  rules: { practice: NO_WISHES, client: NO_WISHES },
  spelling: null,
  isSpelled: true,
  notes: new Map(),
  today: '9999-12-31',
  trial: null,
  since: null,
  months: [],
  past: [],
};

const booksIn = (state: State): KnownBooks | null => {
  const { monthly, client, posted, layouts, openItems, routed, rules, spelling } = state;
  if (monthly === null || client === null) return null;
  const { filer, startsIn } = client;
  return {
    ...{ filer, startsIn, monthly, posted, layouts, openItems, routed, ...rules, spelling },
    judge: JUDGE,
    newId: () => crypto.randomUUID(),
  };
};

const pastCheck = (state: State, { month, revision, chart }: PastChart): PastCheck | null => {
  const books = booksIn(state);
  if (books === null) return null;
  const { notes, today, track } = state;
  // What is proposed was in force in no month.
  const of = chart === null ? track.base : chartOf(chart);
  return { month, revision, check: checkChart(of, { books, notes, today }, month) };
};

const withNextMonth = (state: State): State => {
  const [first, ...months] = state.months;
  const check = first === undefined ? null : pastCheck(state, first);
  return check === null ? state : { ...state, months, past: [...state.past, check] };
};

const next = (state: State, message: ComputerMessage): State => {
  switch (message.type) {
    case 'chart':
    case 'steps':
      return { ...state, track: followed(state.track, message) };
    case 'monthly':
      return { ...state, monthly: message.monthly };
    case 'client':
      return { ...state, client: message };
    case 'posted':
      return { ...state, posted: message.posted };
    case 'layouts':
      return { ...state, layouts: message.layouts };
    case 'openItems':
      return { ...state, openItems: message.openItems };
    case 'routed':
      return { ...state, routed: new Set(message.routed) };
    case 'rules':
      return { ...state, rules: { practice: message.practice, client: message.client } };
    case 'spellingComes':
      return { ...state, isSpelled: false };
    case 'spelling':
      return { ...state, spelling: message.spelling, isSpelled: true };
    case 'notes':
      return {
        ...state,
        notes: new Map(message.notes.map((note) => [note.key, note] as const)),
        today: message.today,
      };
    case 'since':
      return { ...state, since: message.chart === null ? null : chartOf(message.chart) };
    case 'trial':
      return { ...state, trial: message.trial };
    case 'months':
      return { ...state, months: message.months, past: [] };
    case 'nextMonth':
      return withNextMonth(state);
  }
};

const lookedThrough = (state: State, chart: Chart): LookedThrough | null => {
  const books = booksIn(state);
  if (books === null || state.client === null) return null;
  const looking = lookAtBooks(chart, books, state.client.period.last);
  const findings = allFindings(looking);
  return { findings, score: tidyScore(looking, findings) };
};

const rollUpIn = ({ monthly, client }: State): RollUp | null =>
  monthly === null || client === null
    ? null
    : tableBooks(monthly, client.startsIn).rollUp(client.period);

/** What was found on the chart since which it was tidied, and what moved meanwhile. */
const lookedSince = (state: State): FindingsResult['since'] => {
  const { since, track } = state;
  const rollUp = rollUpIn(state);
  const through = since === null ? null : lookedThrough(state, since);
  if (since === null || rollUp === null || through === null) return null;
  const impact = impactOf({ chart: since, rollUp }, { chart: proposedChart(track), rollUp });
  return { ...through, impact };
};

const tried = (state: State, findings: readonly Finding[]): FindingsResult['tried'] => {
  const { track, trial } = state;
  const rollUp = rollUpIn(state);
  const finding = findings.find((one) => findingKey(one) === trial?.key);
  const fix = trial === null ? undefined : finding?.fixes[trial.fix];
  if (trial === null || fix === undefined || rollUp === null) return null;
  const chart = proposedChart(track);
  const outcome = applyAll(chart, fix.operations);
  if (!outcome.ok) return null;
  const { sections, totals } = impactOf({ chart, rollUp }, { chart: outcome.chart, rollUp });
  return { trial, impact: { sections, totals } };
};

/** What the worker tells itself; all else is the page's. */
const OWN: readonly ComputerMessage['type'][] = ['spellingComes', 'spelling', 'nextMonth'];

/** What changes nothing of what is found on the chart as it is proposed. */
const ASIDE: readonly ComputerMessage['type'][] = [
  'spellingComes',
  'trial',
  'since',
  'notes',
  'months',
  'nextMonth',
];

/** The worker's work, apart from being a worker. */
export interface FindingsComputer {
  /** Answers a message with what is found; `null` while something for it is not there yet. */
  tell(message: ComputerMessage): FindingsResult | null;
  /** Whether months that were asked for are still to be looked at, and can be. */
  isBehind(): boolean;
}

/** Keeps chart, proposal and books, and answers every message with what is found. */
export const createFindingsComputer = (): FindingsComputer => {
  let state = FIRST;
  let found: LookedThrough | null = null;
  let heard = 0;
  let takenIn = 0;
  let since: FindingsResult['since'] = null;
  return {
    isBehind: () => state.months.length > 0 && booksIn(state) !== null,
    tell(message) {
      state = next(state, message);
      if (message.type === 'chart' || message.type === 'steps') heard += 1;
      if (!OWN.includes(message.type)) takenIn += 1;
      const isAside = ASIDE.includes(message.type);
      if (!isAside) found = lookedThrough(state, proposedChart(state.track));
      if (!isAside || message.type === 'since') since = lookedSince(state);
      if (found === null) return null;
      const { isSpelled, past } = state;
      return {
        ...found,
        ...{ heard, takenIn, isSpelled, since, past },
        tried: tried(state, found.findings),
      };
    },
  };
};
