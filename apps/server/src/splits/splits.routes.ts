import { PostingsRequest, SplitsRequest } from '@iunctus/contract';
import { Router } from 'express';
import type pg from 'pg';
import { answers, idIn, read, viewerOf } from '../http/handle';
import { lookAtSplits, postingsOf } from './splits.service';

/** Looking at what an account's postings are, and what a split of them would move. */
export const splitRoutes = (pool: pg.Pool): Router => {
  const router = Router();
  router.post(
    '/clients/:clientId/postings',
    answers((request, response) =>
      postingsOf(pool, viewerOf(response), {
        clientId: idIn(request, 'clientId'),
        request: read(PostingsRequest, request.body),
      }),
    ),
  );
  router.post(
    '/clients/:clientId/splits',
    answers((request, response) =>
      lookAtSplits(pool, viewerOf(response), {
        clientId: idIn(request, 'clientId'),
        request: read(SplitsRequest, request.body),
      }),
    ),
  );
  return router;
};
