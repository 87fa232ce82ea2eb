import { OPERATIONS_LIMIT, type SaveProposalRequest } from '@iunctus/contract';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { inChart } from '../charts/in-chart';
import { bearsNoAccount, refuseHidden } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { inTransactionOn } from '../database/transaction';
import { badRequest, problem } from '../problems/problem';
import { storeProposal } from './proposals.queries';

/** Keeps a proposal. Refuses with `staleProposal` when it was changed elsewhere since `version`. */
export const saveProposal = (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly clientId: string; readonly request: SaveProposalRequest },
): Promise<Veiled<{ version: number }>> =>
  inTransactionOn(pool, (transaction) =>
    inChart(transaction, { viewer, clientId: asked.clientId }, async ({ head, personal }) => {
      const { request } = asked;
      const operations = request.steps.reduce((so, step) => so + step.operations.length, 0);
      if (operations > OPERATIONS_LIMIT)
        return badRequest('steps', `hold more than ${OPERATIONS_LIMIT} operations`);
      if (request.baseRevision > head.revision)
        return badRequest('baseRevision', 'is a revision that there is not');
      refuseHidden(request.steps, personal);
      const stored = await storeProposal(transaction, head, { ...request, userId: viewer.userId });
      return stored === 0
        ? problem({ code: 'staleProposal' })
        : bearsNoAccount({ version: request.version + 1 });
    }),
  );
