import {
  brokenBy,
  eachNode,
  impactOf,
  isBalanced,
  ledgerOf,
  lostBetween,
  movedBetween,
  movedRows,
  NO_ROUTES,
  planOpenings,
  proposedChart,
  rollUpOver,
  rollUpWith,
  routesOf,
  shownSheet,
  type AmountsTuple,
  type Chart,
  type Filer,
  type Impact,
  type PlannedOpening,
  type RollUp,
  type RouteItem,
  type Routes,
  type Track,
} from '@iunctus/core';
import { followed, NO_CHART } from './followed-chart';
import type {
  StatementMessage,
  StatementResult,
  PendingOpenings,
  ProofReport,
  Shown,
} from './statement-messages';

interface State {
  readonly track: Track;
  readonly amounts: readonly AmountsTuple[];
  /** Over the amounts alone. */
  readonly rollUp: RollUp;
  readonly pending: PendingOpenings;
  readonly shown: Shown;
  readonly items: readonly RouteItem[];
  readonly routes: Routes;
  readonly filer: Filer | null;
}

const NONE_PENDING: PendingOpenings = {
  openings: [],
  period: { first: '', last: '' },
  fiscalYearStart: 1,
};

const totalsOf = ({ track, rollUp }: State): NonNullable<StatementResult['totals']> => {
  const totals: Record<string, [number, number]> = {};
  for (const node of eachNode(track.base.roots))
    totals[node.account.id] = [rollUp.total(node), rollUp.own(node)];
  return totals;
};

const next = (state: State, message: StatementMessage): State => {
  switch (message.type) {
    case 'chart':
      return { ...state, track: followed(state.track, message) };
    case 'amounts': {
      const { amounts } = message;
      return { ...state, amounts, rollUp: rollUpOver(ledgerOf(amounts)) };
    }
    case 'openings':
      return { ...state, pending: message.pending };
    case 'steps':
      return { ...state, track: followed(state.track, message) };
    case 'routes': {
      const { items, filer } = message;
      return { ...state, items, routes: routesOf(items), filer };
    }
    case 'shown':
      return { ...state, shown: message.shown };
    default:
      return message satisfies never;
  }
};

/** How the proofs stand on the chart as proposed, and which routes the proposal leaves without an account. */
const proofsIn = ({ track, routes, items, filer }: State): ProofReport => {
  const chart = proposedChart(track);
  const operations = track.steps.flatMap((step) => step.operations);
  const proposed = { base: track.base, operations, chart };
  return {
    all: routes.proofs.length,
    broken: filer === null ? [] : brokenBy(proposed, { routes, filer }),
    lost: lostBetween(items, { before: track.base, after: chart }),
  };
};

/** The openings of steps that the proposal still has. */
const plannedIn = ({ track, pending }: State): readonly PlannedOpening[] => {
  const { openings, fiscalYearStart } = pending;
  if (openings.length === 0) return [];
  const ids = new Set(
    track.steps.flatMap(({ id, opening }) => (opening === undefined ? [] : [id])),
  );
  const there = openings.filter(({ stepId }) => ids.has(stepId));
  return planOpenings(proposedChart(track), there, fiscalYearStart);
};

interface Books {
  readonly chart: Chart;
  readonly rollUp: RollUp;
}

/** By how much the rows of the sheet that is shown move. */
const movedOn = (
  shown: Shown,
  {
    before,
    after,
    impact,
  }: { readonly before: Books; readonly after: Books; readonly impact: Impact },
): StatementResult['moved'] =>
  shown.code === 'profitAndLoss' || shown.code === 'balanceSheet'
    ? movedRows(impact)
    : movedBetween(shownSheet(shown.code, before, shown), shownSheet(shown.code, after, shown));

/** The roll-up that the proposal leads to: with its balances, when it brings some. */
const rollUpAfter = (
  { amounts, rollUp, pending: { period, fiscalYearStart } }: State,
  planned: readonly PlannedOpening[],
): RollUp => rollUpWith({ amounts, rollUp, period }, planned, fiscalYearStart);

/**
 * What the worker does, apart from being a worker: keeps the adopted chart, the proposal's steps
 * and the amounts, and answers every message with what they come to.
 */
export const createStatementComputer = (): ((message: StatementMessage) => StatementResult) => {
  let state: State = {
    track: NO_CHART,
    amounts: [],
    rollUp: rollUpOver(new Map()),
    pending: NONE_PENDING,
    shown: { code: 'profitAndLoss', depth: Infinity, zeroLines: true, proposed: true },
    items: [],
    routes: NO_ROUTES,
    filer: null,
  };
  let openings = plannedIn(state);
  let leadsTo = state.rollUp;
  let proofs = proofsIn(state);
  return (message) => {
    state = next(state, message);
    const { track, rollUp, shown } = state;
    if (message.type !== 'shown') {
      openings = plannedIn(state);
      leadsTo = rollUpAfter(state, openings);
      proofs = proofsIn(state);
    }
    const before = { chart: track.base, rollUp };
    const after = { chart: proposedChart(track), rollUp: leadsTo };
    const impact = impactOf(before, after);
    const rebased = message.type === 'chart' || message.type === 'amounts';
    return {
      impact,
      statement: shownSheet(shown.code, shown.proposed ? after : before, shown),
      moved: movedOn(shown, { before, after, impact }),
      totals: rebased ? totalsOf(state) : null,
      openings,
      balances: isBalanced(after.chart, after.rollUp),
      proofs,
    };
  };
};
