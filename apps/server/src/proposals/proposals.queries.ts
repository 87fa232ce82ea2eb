import type { ProposalAnswer, SaveProposalRequest } from '@iunctus/contract';
import type { ChartHead } from '../charts/charts.queries';
import { change, maybeOne } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

interface ProposalRow {
  readonly version: number;
  readonly base_revision: number;
  readonly steps: ProposalAnswer['steps'];
  readonly conflicts: ProposalAnswer['conflicts'];
}

/** A user's pending proposal on a chart. */
export const maybeProposal = async (
  on: Reader,
  head: ChartHead,
  userId: string,
): Promise<ProposalAnswer | undefined> => {
  const row = await maybeOne<ProposalRow>(on, {
    text: `
      SELECT version, base_revision, steps, conflicts FROM proposal
      WHERE practice_id = $1 AND chart_id = $2 AND user_id = $3`,
    values: [head.practiceId, head.id, userId],
  });
  if (row === undefined) return undefined;
  const { base_revision: baseRevision, ...rest } = row;
  return { ...rest, baseRevision };
};

/** Stores a proposal when nobody stored another since `version`. Gives how many rows that changed: one, or none. */
export const storeProposal = (
  on: Transaction,
  head: ChartHead,
  proposal: SaveProposalRequest & { readonly userId: string },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO proposal (practice_id, chart_id, user_id, version, base_revision, steps, conflicts)
      SELECT $1, $2, $3, 1, $5, $6, $7 WHERE $4 = 0
        OR EXISTS (SELECT 1 FROM proposal WHERE chart_id = $2 AND user_id = $3)
      ON CONFLICT (chart_id, user_id) DO UPDATE
        SET version = proposal.version + 1, base_revision = excluded.base_revision,
            steps = excluded.steps, conflicts = excluded.conflicts
        WHERE proposal.version = $4`,
    values: [
      head.practiceId,
      head.id,
      proposal.userId,
      proposal.version,
      proposal.baseRevision,
      JSON.stringify(proposal.steps),
      JSON.stringify(proposal.conflicts),
    ],
  });

/** Removes a user's proposal on a chart. */
export const deleteProposal = (on: Transaction, head: ChartHead, userId: string): Promise<number> =>
  change(on, {
    text: 'DELETE FROM proposal WHERE practice_id = $1 AND chart_id = $2 AND user_id = $3',
    values: [head.practiceId, head.id, userId],
  });
