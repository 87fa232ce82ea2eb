import {
  buildStatement,
  chartOfKept,
  impactOf,
  ledgerOf,
  matchShape,
  nodeOf,
  planShape,
  proposedChart,
  rollUpOver,
  sideBySide,
  startingShape,
  type AccountId,
  type Chart,
  type RollUp,
  type ShapeMatch,
  type Track,
} from '@iunctus/core';
import { followed, NO_CHART } from '../../workspace/workers/followed-chart';
import type { Aim, PlanMessage, PlanResult, PlanWish } from './plan-messages';

interface State {
  readonly track: Track;
  readonly rollUp: RollUp;
  readonly target: Chart | null;
  readonly wish: PlanWish;
}

const FIRST: State = {
  track: NO_CHART,
  rollUp: rollUpOver(ledgerOf([])),
  target: null,
  wish: { skipped: [], struck: [], named: [], statement: 'profitAndLoss' },
};

const targetOf = (aim: Aim | null): Chart | null => {
  if (aim === null) return null;
  return aim.type === 'kept' ? chartOfKept(aim.kept) : startingShape(aim);
};

const next = (state: State, message: PlanMessage): State => {
  switch (message.type) {
    case 'chart':
    case 'steps':
      return { ...state, track: followed(state.track, message) };
    case 'amounts':
      return { ...state, rollUp: rollUpOver(ledgerOf(message.amounts)) };
    case 'aim':
      return { ...state, target: targetOf(message.aim) };
    case 'wish':
      return { ...state, wish: message.wish };
  }
};

const wayOf = (
  { track, rollUp, target, wish }: State,
  match: ShapeMatch,
  newId: (index: number) => AccountId,
): PlanResult | null => {
  if (target === null) return null;
  const chart = proposedChart(track);
  const { steps, chart: after } = planShape(
    chart,
    {
      target,
      newId,
      skipped: new Set(wish.skipped),
      struck: new Set(wish.struck),
      named: new Set(wish.named),
      stake: (id) => {
        const node = nodeOf(chart, id);
        return node === undefined ? 0 : Math.abs(rollUp.own(node));
      },
    },
    match,
  );
  const impact = impactOf({ chart, rollUp }, { chart: after, rollUp });
  const options = { depth: Infinity, zeroLines: false };
  const build = (of: Chart) => buildStatement(wish.statement, { chart: of, rollUp }, options);
  return {
    steps,
    staysSame: impact.sections.length + impact.totals.length === 0,
    rows: sideBySide(build(chart), build(after)),
  };
};

/**
 * What the worker does, apart from being a worker: keeps the chart and what is aimed at, and answers every message with
 * the whole way; `null` while nothing is aimed at.
 */
export const createPlanComputer = (
  freshId: () => AccountId,
): ((message: PlanMessage) => PlanResult | null) => {
  let state = FIRST;
  let match: ShapeMatch | null = null;
  // New headings keep their ids while only the wish changes.
  let ids: AccountId[] = [];
  return (message) => {
    const before = state;
    state = next(state, message);
    if (state.target === null) return null;
    if (match === null || state.target !== before.target || state.track !== before.track) {
      match = matchShape(proposedChart(state.track), state.target);
      ids = [];
    }
    return wayOf(state, match, (index) => (ids[index] ??= freshId()));
  };
};
