import {
  advance,
  buildStatement,
  chartFrom,
  eachNode,
  emptyChart,
  impactOf,
  proposedChart,
  rollUpOver,
  sectionAmounts,
  sum,
  trackOf,
  type ProposalStep,
  type RollUp,
  type Track,
  ledgerOf,
} from '@iunctus/core';
import type { BenchMessage, BenchResult, Shown } from './bench-messages';

interface State {
  readonly track: Track;
  readonly rollUp: RollUp;
  readonly shown: Shown;
}

const moved = (track: Track, steps: readonly ProposalStep[]): Track => {
  const next = advance(track, steps);
  return next.ok ? next.track : track;
};

const totalsOf = ({ track, rollUp }: State): NonNullable<BenchResult['totals']> => {
  const totals: Record<string, [number, number]> = {};
  for (const node of eachNode(track.base.roots))
    totals[node.account.id] = [rollUp.total(node), rollUp.own(node)];
  return totals;
};

const next = (state: State, message: BenchMessage): State => {
  switch (message.type) {
    case 'chart': {
      const { accounts, steps, type: _type, ...parts } = message;
      const base = chartFrom(accounts, parts);
      return { ...state, track: moved(trackOf(base), steps) };
    }
    case 'amounts':
      return { ...state, rollUp: rollUpOver(ledgerOf(message.amounts)) };
    case 'steps':
      return { ...state, track: moved(state.track, message.steps) };
    case 'shown':
      return { ...state, shown: message.shown };
    default:
      return message satisfies never;
  }
};

/**
 * What the worker does, apart from being a worker: keeps the adopted chart, the proposal's steps
 * and the amounts, and answers every message with what they come to.
 */
export const createBenchComputer = (): ((message: BenchMessage) => BenchResult) => {
  let state: State = {
    track: trackOf(emptyChart()),
    rollUp: rollUpOver(new Map()),
    shown: { code: 'profitAndLoss', depth: Infinity, zeroLines: true, proposed: true },
  };
  return (message) => {
    state = next(state, message);
    const { track, rollUp, shown } = state;
    const proposed = proposedChart(track);
    const chart = shown.proposed ? proposed : track.base;
    const rebased = message.type === 'chart' || message.type === 'amounts';
    return {
      impact: impactOf(track.base, proposed, rollUp),
      statement: buildStatement(shown.code, { chart, rollUp }, shown),
      totals: rebased ? totalsOf(state) : null,
      balances: isBalanced(state),
    };
  };
};

const isBalanced = ({ track, rollUp }: State): boolean => {
  const amounts = sectionAmounts(proposedChart(track), rollUp);
  const codes = [
    'currentAssets',
    'nonCurrentAssets',
    'currentLiabilities',
    'nonCurrentLiabilities',
    'equity',
  ] as const;
  return sum(codes.map((code) => amounts.get(code) ?? 0)) === 0;
};
