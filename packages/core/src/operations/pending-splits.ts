import type { Split } from '../chart/chart';
import type { ProposalStep } from './proposal';

/** What a proposal does to splits: those it makes, in order, and the adopted ones that it takes back. */
export interface PendingSplits {
  readonly splits: readonly Split[];
  readonly without: readonly string[];
}

/** The splits of a proposal, as they stand after its last step. */
export const pendingSplits = (steps: readonly ProposalStep[]): PendingSplits => {
  const made = new Map<string, Split>();
  const without: string[] = [];
  for (const operation of steps.flatMap(({ operations }) => operations)) {
    if (operation.type === 'split') made.set(operation.split.id, operation.split);
    else if (operation.type === 'unsplit' && !made.delete(operation.split.id))
      without.push(operation.split.id);
  }
  return { splits: [...made.values()], without: without.filter((id) => !made.has(id)) };
};
