import type { Chart } from '../chart/chart';
import { applyAll } from './apply';
import type { ProposalStep } from './proposal';
import type { Refusal } from './refusal';

/**
 * A proposal on its base with the chart after every step, so that a further step, an undo
 * or a redo costs that step alone.
 */
export interface Track {
  readonly base: Chart;
  readonly steps: readonly ProposalStep[];
  /** `charts[i]` is the chart after step `i`. */
  readonly charts: readonly Chart[];
}

/** A track after a change, or the refusal and the step that earned it. */
export type Tracked =
  | { readonly ok: true; readonly track: Track }
  | { readonly ok: false; readonly refusal: Refusal; readonly stepId: string };

/** A track without steps. */
export const trackOf = (base: Chart): Track => ({ base, steps: [], charts: [] });

/** The chart as proposed. */
export const proposedChart = (track: Track): Chart => track.charts.at(-1) ?? track.base;

const sameStep = (a: ProposalStep | undefined, b: ProposalStep): boolean =>
  a === b || (a?.id === b.id && a.operations.length === b.operations.length);

const sharedSteps = (track: Track, steps: readonly ProposalStep[]): number => {
  const differs = steps.findIndex((step, index) => !sameStep(track.steps[index], step));
  return Math.min(differs === -1 ? steps.length : differs, track.steps.length);
};

/**
 * Brings a track to `steps`, applying only what does not stand in it already. A step is known by
 * its id; within one base it changes only by losing operations. Listed balances do not matter to the chart.
 */
export const advance = (track: Track, steps: readonly ProposalStep[]): Tracked => {
  const shared = sharedSteps(track, steps);
  const charts = track.charts.slice(0, shared);
  for (const step of steps.slice(shared)) {
    const outcome = applyAll(charts.at(-1) ?? track.base, step.operations);
    if (!outcome.ok) return { ok: false, refusal: outcome.refusal, stepId: step.id };
    charts.push(outcome.chart);
  }
  return { ok: true, track: { base: track.base, steps, charts } };
};
