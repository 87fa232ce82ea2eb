import type { BenchChart } from '@iunctus/contract';
import { chartOf, replay, type Conflict, type ProposalStep } from '@iunctus/core';

interface Own {
  readonly steps: readonly ProposalStep[];
  readonly savedIds: readonly string[];
}

interface Merged {
  readonly version: number;
  readonly steps: readonly ProposalStep[];
  readonly undone: readonly ProposalStep[];
  readonly conflicts: readonly Conflict[];
  readonly savedIds: readonly string[];
}

/**
 * This window's proposal on top of the one that another window stored meanwhile: the stored steps
 * first, then the steps made here that were never stored. What does not fit becomes a conflict.
 */
export const mergeSteps = (own: Own, bench: BenchChart): Merged => {
  const stored = new Set([...own.savedIds, ...bench.proposal.steps.map(({ id }) => id)]);
  const unsaved = own.steps.filter(({ id }) => !stored.has(id));
  const base = chartOf(bench);
  const { steps, conflicts } = replay(base, [...bench.proposal.steps, ...unsaved], []);
  return {
    version: bench.proposal.version,
    steps,
    undone: [],
    conflicts: [...bench.proposal.conflicts, ...conflicts],
    savedIds: bench.proposal.steps.map(({ id }) => id),
  };
};
