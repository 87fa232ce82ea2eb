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

const onTop = (bench: BenchChart, kept: SaveProposalRequest): ProposalContent => {
  const { proposal } = bench;
  const { name, comment } = kept.name === '' && kept.comment === '' ? proposal : kept;
  const follows = proposal.asKept && kept.version === proposal.version;
  if (follows && kept.keeps <= proposal.steps.length) {
    const steps = [...proposal.steps.slice(0, kept.keeps), ...kept.steps];
    return { steps, conflicts: kept.conflicts, name, comment };
  }
  return { ...mergeSteps({ steps: kept.steps, savedSteps: [] }, bench), name, comment };
};

/**
 * The proposal with what this browser kept of it: exactly as it was left where nobody stored another meanwhile,
 * and else the steps that the server does not have, on top of what it has.
 */
export const broughtBack = (
  bench: BenchChart,
  kept: readonly SaveProposalRequest[],
): ProposalContent => {
  const { steps, conflicts, name, comment } = bench.proposal;
  return kept.reduce<ProposalContent>(
    (content, one, at) =>
      at === 0
        ? onTop(bench, one)
        : {
            ...content,
            ...mergeSteps(
              { steps: one.steps, savedSteps: [] },
              {
                ...bench,
                proposal: {
                  ...bench.proposal,
                  steps: [...content.steps],
                  conflicts: [...content.conflicts],
                },
              },
            ),
          },
    { steps, conflicts, name, comment },
  );
};
