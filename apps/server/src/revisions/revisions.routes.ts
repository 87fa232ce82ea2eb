import { AdoptRequest } from '@iunctus/contract';
import { Router } from 'express';
import type pg from 'pg';
import { answers, idIn, numberIn, read, viewerOf } from '../http/handle';
import { adopt } from './adopt';
import { chartAt, listRevisions, restoreOf, undoOf } from './revisions.service';

/** A chart's revisions: listed, adopted, taken back. */
export const revisionRoutes = (pool: pg.Pool): Router => {
  const router = Router();
  router.get(
    '/clients/:clientId/revisions',
    answers((request, response) =>
      listRevisions(pool, viewerOf(response), idIn(request, 'clientId')),
    ),
  );
  router.post(
    '/clients/:clientId/revisions',
    answers((request, response) =>
      adopt(pool, viewerOf(response), {
        clientId: idIn(request, 'clientId'),
        request: read(AdoptRequest, request.body),
      }),
    ),
  );
  router.get(
    '/clients/:clientId/revisions/:number/undo',
    answers((request, response) =>
      undoOf(pool, viewerOf(response), {
        clientId: idIn(request, 'clientId'),
        revision: numberIn(request, 'number'),
      }),
    ),
  );
  router.get(
    '/clients/:clientId/revisions/:number/chart',
    answers((request, response) =>
      chartAt(pool, viewerOf(response), {
        clientId: idIn(request, 'clientId'),
        revision: numberIn(request, 'number'),
      }),
    ),
  );
  router.get(
    '/clients/:clientId/revisions/:number/restore',
    answers((request, response) =>
      restoreOf(pool, viewerOf(response), {
        clientId: idIn(request, 'clientId'),
        revision: numberIn(request, 'number'),
      }),
    ),
  );
  return router;
};
