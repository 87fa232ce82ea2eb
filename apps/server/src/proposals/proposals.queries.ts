import type { ProposalAnswer, SaveProposalRequest } from '@iunctus/contract';
import type { ChartHead } from '../charts/charts.queries';
import { change, maybeOne } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

interface ProposalRow {
  readonly version: number;
  readonly base_revision: number;
  readonly steps: ProposalAnswer['steps'];
  readonly conflicts: ProposalAnswer['conflicts'];
  readonly name: string;
  readonly comment: string;
  readonly state: ProposalAnswer['state'];
  readonly reviewer_id: string | null;
  readonly reviewer_name: string | null;
}

/** A proposal as it is kept, remarks apart. */
export type StoredProposal = Omit<ProposalAnswer, 'remarks' | 'asKept'>;

/** A user's pending proposal on a chart. */
export const maybeProposal = async (
  on: Reader,
  head: ChartHead,
  userId: string,
): Promise<StoredProposal | undefined> => {
  const row = await maybeOne<ProposalRow>(on, {
    text: `
      SELECT proposal.version, proposal.base_revision, proposal.steps, proposal.conflicts,
             proposal.name, proposal.comment, proposal.state, proposal.reviewer_id,
             reviewer.name AS reviewer_name
      FROM proposal LEFT JOIN app_user AS reviewer ON reviewer.id = proposal.reviewer_id
      WHERE proposal.practice_id = $1 AND proposal.chart_id = $2 AND proposal.user_id = $3`,
    values: [head.practiceId, head.id, userId],
  });
  if (row === undefined) return undefined;
  const { base_revision: baseRevision, reviewer_id: id, reviewer_name: name, ...rest } = row;
  const reviewer = id === null || name === null ? null : { id, name };
  return { ...rest, baseRevision, reviewer };
};

/**
 * Stores a proposal when nobody stored another since `version`. Gives how many rows that changed:
 * one, or none. With other steps than before it is a draft again, whoever had it for review.
 */
export const storeProposal = (
  on: Transaction,
  head: ChartHead,
  proposal: Omit<SaveProposalRequest, 'keeps'> & { readonly userId: string },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO proposal (practice_id, chart_id, user_id, version, base_revision, steps, conflicts,
                            name, comment)
      SELECT $1, $2, $3, 1, $5, $6::jsonb, $7, $8, $9 WHERE $4 = 0
        OR EXISTS (SELECT 1 FROM proposal WHERE chart_id = $2 AND user_id = $3)
      ON CONFLICT (chart_id, user_id) DO UPDATE
        SET version = proposal.version + 1, base_revision = excluded.base_revision,
            steps = excluded.steps, conflicts = excluded.conflicts,
            name = excluded.name, comment = excluded.comment,
            state = CASE WHEN proposal.steps = excluded.steps THEN proposal.state ELSE 'draft' END,
            reviewer_id = CASE WHEN proposal.steps = excluded.steps THEN proposal.reviewer_id END
        WHERE proposal.version = $4`,
    values: [
      head.practiceId,
      head.id,
      proposal.userId,
      proposal.version,
      proposal.baseRevision,
      JSON.stringify(proposal.steps),
      JSON.stringify(proposal.conflicts),
      proposal.name,
      proposal.comment,
    ],
  });

/**
 * Empties a user's proposal once it is adopted; what was set aside stays with its author. It counts on, so that a save or an adoption that was under way
 * finds another version than the one that it names.
 */
export const emptyProposal = (on: Transaction, head: ChartHead, userId: string): Promise<number> =>
  change(on, {
    text: `
      UPDATE proposal SET version = version + 1, base_revision = $4, steps = '[]', name = '', comment = '', state = 'draft', reviewer_id = NULL
      WHERE practice_id = $1 AND chart_id = $2 AND user_id = $3`,
    values: [head.practiceId, head.id, userId, head.revision],
  });

/** A user's proposal, locked until the transaction ends. Gives its version. */
export const lockProposal = async (
  on: Transaction,
  head: ChartHead,
  userId: string,
): Promise<number | undefined> => {
  const row = await maybeOne<{ version: number }>(on, {
    text: `
      SELECT version FROM proposal
      WHERE practice_id = $1 AND chart_id = $2 AND user_id = $3 FOR UPDATE`,
    values: [head.practiceId, head.id, userId],
  });
  return row?.version;
};
