import { SaveProposalRequest } from '@iunctus/contract';
import { Router } from 'express';
import type pg from 'pg';
import { answers, idIn, read, viewerOf } from '../http/handle';
import { beginChart, benchOf, saveProposal } from './proposals.service';

/** The bench: a chart and the viewer's proposal on it. */
export const proposalRoutes = (pool: pg.Pool): Router => {
  const router = Router();
  router.get(
    '/clients/:clientId/bench',
    answers((request, response) => benchOf(pool, viewerOf(response), idIn(request, 'clientId'))),
  );
  router.post(
    '/clients/:clientId/chart',
    answers((request, response) => beginChart(pool, viewerOf(response), idIn(request, 'clientId'))),
  );
  router.put(
    '/clients/:clientId/proposal',
    answers((request, response) =>
      saveProposal(pool, viewerOf(response), {
        clientId: idIn(request, 'clientId'),
        request: read(SaveProposalRequest, request.body),
      }),
    ),
  );
  return router;
};
