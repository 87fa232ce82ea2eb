import { OpeningRequest } from '@iunctus/contract';
import { Router } from 'express';
import type pg from 'pg';
import { answers, idIn, read, viewerOf } from '../http/handle';
import { bringOpening } from './openings.service';

/** Bringing opening balances in. */
export const openingRoutes = (pool: pg.Pool): Router => {
  const router = Router();
  router.post(
    '/clients/:clientId/opening-balances',
    answers((request, response) =>
      bringOpening(pool, viewerOf(response), {
        clientId: idIn(request, 'clientId'),
        request: read(OpeningRequest, request.body),
      }),
    ),
  );
  return router;
};
