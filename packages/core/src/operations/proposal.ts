import type { Chart } from '../chart/chart';
import { apply, applyAll, rebase } from './apply';
import type { Operation } from './operation';
import type { Refusal } from './refusal';
import type { Landed } from './rules';

/** One gesture of the user: operations that are undone and redone together. */
export interface ProposalStep {
  readonly id: string;
  readonly operations: readonly Operation[];
}

/** A pending step that no longer fits the chart, with what stands against it. */
export interface Conflict {
  readonly step: ProposalStep;
  /** The landed operation that concerns the same thing; `null` when a rule refuses. */
  readonly landed: Operation | null;
  readonly refusal: Refusal | null;
}

/** A proposal brought to a newer chart. */
export interface Replayed {
  readonly chart: Chart;
  readonly steps: readonly ProposalStep[];
  readonly conflicts: readonly Conflict[];
}

type StepAfter =
  | { readonly type: 'keep'; readonly step: ProposalStep }
  | { readonly type: 'conflict'; readonly landed: Operation };

const rebaseOperation = (
  operation: Operation,
  landed: readonly Landed[],
): Operation | null | Landed => {
  let current = operation;
  for (const item of landed) {
    const rebased = rebase(current, item);
    if (rebased.type === 'done') return null;
    if (rebased.type === 'conflict') return item;
    current = rebased.operation;
  }
  return current;
};

const rebaseStep = (step: ProposalStep, landed: readonly Landed[]): StepAfter => {
  const operations: Operation[] = [];
  for (const operation of step.operations) {
    const rebased = rebaseOperation(operation, landed);
    if (rebased === null) continue;
    if ('inverse' in rebased) return { type: 'conflict', landed: rebased.operation };
    operations.push(rebased);
  }
  return { type: 'keep', step: { ...step, operations } };
};

/**
 * Replays pending steps on a newer chart, given what landed meanwhile, oldest first.
 * A step fits whole or is a conflict; a step with nothing left to do is dropped.
 * Law: with nothing landed and steps that fit, gives the same steps and no conflict.
 */
export const replay = (
  newest: Chart,
  steps: readonly ProposalStep[],
  landed: readonly Landed[],
): Replayed => {
  const kept: ProposalStep[] = [];
  const conflicts: Conflict[] = [];
  let chart = newest;
  for (const step of steps) {
    const after = rebaseStep(step, landed);
    if (after.type === 'conflict') {
      conflicts.push({ step, landed: after.landed, refusal: null });
      continue;
    }
    const outcome = applyAll(chart, after.step.operations);
    if (!outcome.ok) conflicts.push({ step: after.step, landed: null, refusal: outcome.refusal });
    else if (after.step.operations.length > 0) kept.push(after.step);
    if (outcome.ok) chart = outcome.chart;
  }
  return { chart, steps: kept, conflicts };
};

/** A proposal from which one operation was dropped, and the operations that went with it. */
export interface Dropped {
  readonly steps: readonly ProposalStep[];
  readonly dependents: readonly Operation[];
}

/**
 * Drops one operation, and with it those that cannot stand without it (an account added
 * under a dropped one, say). `base` is the chart on which the proposal stands.
 */
export const dropOperation = (
  base: Chart,
  steps: readonly ProposalStep[],
  at: { readonly stepId: string; readonly index: number },
): Dropped => {
  const dependents: Operation[] = [];
  const kept: ProposalStep[] = [];
  let chart = base;
  for (const step of steps) {
    const operations: Operation[] = [];
    for (const [index, operation] of step.operations.entries()) {
      if (step.id === at.stepId && index === at.index) continue;
      const outcome = apply(chart, operation);
      if (outcome.ok) {
        chart = outcome.chart;
        operations.push(operation);
      } else dependents.push(operation);
    }
    if (operations.length > 0) kept.push({ ...step, operations });
  }
  return { steps: kept, dependents };
};
