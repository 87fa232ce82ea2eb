import { OPERATIONS_LIMIT, type SaveProposalRequest } from '@iunctus/contract';
import type { ProposalStep } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import type { ChartHead } from '../charts/charts.queries';
import { inChart } from '../charts/in-chart';
import { bearsNoAccount, refuseHidden } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { inTransactionOn, type Transaction } from '../database/transaction';
import { badRequest, problem } from '../problems/problem';
import { lockProposal, maybeProposal, storeProposal } from './proposals.queries';

/** All steps of a proposal that is sent as what changed: the first ones come from what is kept. */
const wholeOf = async (
  on: Transaction,
  head: ChartHead,
  { userId, version, keeps, steps }: SaveProposalRequest & { readonly userId: string },
): Promise<ProposalStep[]> => {
  if (keeps === 0) return steps;
  if ((await lockProposal(on, head, userId)) !== version) return problem({ code: 'staleProposal' });
  const kept = (await maybeProposal(on, head, userId))?.steps ?? [];
  if (keeps > kept.length)
    return badRequest('keeps', `counts more than the ${kept.length} that are kept`);
  return [...kept.slice(0, keeps), ...steps];
};

/** Keeps a proposal. Refuses with `staleProposal` when it was changed elsewhere since `version`. */
export const saveProposal = (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly clientId: string; readonly request: SaveProposalRequest },
): Promise<Veiled<{ version: number }>> =>
  inTransactionOn(pool, (transaction) =>
    inChart(transaction, { viewer, clientId: asked.clientId }, async ({ head, personal }) => {
      const { request } = asked;
      const steps = await wholeOf(transaction, head, { ...request, userId: viewer.userId });
      const operations = steps.reduce((so, step) => so + step.operations.length, 0);
      if (operations > OPERATIONS_LIMIT)
        return badRequest('steps', `hold more than ${OPERATIONS_LIMIT} operations`);
      if (request.baseRevision > head.revision)
        return badRequest('baseRevision', 'is a revision that there is not');
      refuseHidden(steps, personal);
      const proposal = { ...request, steps, userId: viewer.userId };
      const stored = await storeProposal(transaction, head, proposal);
      return stored === 0
        ? problem({ code: 'staleProposal' })
        : bearsNoAccount({ version: request.version + 1 });
    }),
  );
