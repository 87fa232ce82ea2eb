import type { BenchChart, SaveProposalRequest } from '@iunctus/contract';
import { chartOf, replay, type Conflict, type ProposalStep } from '@iunctus/core';
import { stepsKept, type ProposalContent, type ProposalState } from './proposal-state';

/** The proposal as what changed since the server kept it; this is sent, and kept in the browser until it is. */
export const requestOf = (proposal: ProposalState, baseRevision: number): SaveProposalRequest => {
  const keeps = stepsKept(proposal);
  return {
    version: proposal.version,
    baseRevision,
    keeps,
    steps: [...proposal.steps.slice(keeps)],
    conflicts: [...proposal.conflicts],
    name: proposal.name,
    comment: proposal.comment,
  };
};

/** What this window has and the server does not: its steps, and which of them the server had. */
interface Own {
  readonly steps: readonly ProposalStep[];
  readonly savedSteps: readonly ProposalStep[];
}

const idsOf = (steps: readonly ProposalStep[]): readonly string[] => steps.map(({ id }) => id);

/**
 * This window's proposal on top of the one that another window stored meanwhile: the stored steps
 * first, then the steps made here that were never stored. What does not fit becomes a conflict.
 */
export const mergeSteps = (
  own: Own,
  bench: BenchChart,
): { readonly steps: readonly ProposalStep[]; readonly conflicts: readonly Conflict[] } => {
  const stored = new Set([...idsOf(own.savedSteps), ...idsOf(bench.proposal.steps)]);
  const unsaved = own.steps.filter(({ id }) => !stored.has(id));
  const { steps, conflicts } = replay(chartOf(bench), [...bench.proposal.steps, ...unsaved], []);
  return { steps, conflicts: [...bench.proposal.conflicts, ...conflicts] };
};

/** What was kept, exactly as it was left where it follows what the server has, and else on top of that. */
const onTop = (bench: BenchChart, kept: SaveProposalRequest): ProposalContent => {
  const { proposal } = bench;
  const { name, comment } = kept;
  const follows = proposal.asKept && kept.version === proposal.version;
  if (follows && kept.keeps <= proposal.steps.length) {
    const steps = [...proposal.steps.slice(0, kept.keeps), ...kept.steps];
    return { steps, conflicts: kept.conflicts, name, comment };
  }
  const merged = mergeSteps({ steps: kept.steps, savedSteps: [] }, bench);
  return name === '' && comment === ''
    ? { ...merged, name: proposal.name, comment: proposal.comment }
    : { ...merged, name, comment };
};

const benchWith = (bench: BenchChart, content: ProposalContent): BenchChart => ({
  ...bench,
  proposal: {
    ...bench.proposal,
    ...content,
    steps: [...content.steps],
    conflicts: [...content.conflicts],
    asKept: false,
  },
});

/**
 * The proposal with what this browser kept of it: this window's own first, then what closed windows left, each on top
 * of the one before.
 */
export const broughtBack = (
  bench: BenchChart,
  kept: readonly SaveProposalRequest[],
): ProposalContent => kept.reduce((so, one) => benchWith(bench, onTop(so, one)), bench).proposal;
