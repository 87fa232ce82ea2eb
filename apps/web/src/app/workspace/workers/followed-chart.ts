import {
  advance,
  chartOf,
  emptyChart,
  trackOf,
  type BookedChartRecord,
  type ProposalStep,
  type Track,
} from '@iunctus/core';

/** How a page tells a worker of the chart that is open: whole, with the proposal on it, or only what is proposed now. */
export type ChartMessage =
  | {
      readonly type: 'chart';
      readonly chart: BookedChartRecord;
      readonly steps: readonly ProposalStep[];
    }
  | { readonly type: 'steps'; readonly steps: readonly ProposalStep[] };

/** Before any chart is told of. */
export const NO_CHART: Track = trackOf(emptyChart());

const moved = (track: Track, steps: readonly ProposalStep[]): Track => {
  const next = advance(track, steps);
  return next.ok ? next.track : track;
};

/** The chart after a message; steps that do not fit leave it as it was. */
export const followed = (track: Track, message: ChartMessage): Track =>
  message.type === 'chart'
    ? moved(trackOf(chartOf(message.chart)), message.steps)
    : moved(track, message.steps);
