import { BalancesQuery } from '@iunctus/contract';
import { Router } from 'express';
import type pg from 'pg';
import { answers, idIn, read, viewerOf } from '../http/handle';
import { balancesOf } from './balances.service';

/** Balances by account. */
export const balanceRoutes = (pool: pg.Pool): Router => {
  const router = Router();
  router.get(
    '/clients/:clientId/balances',
    answers((request, response) =>
      balancesOf(pool, viewerOf(response), {
        clientId: idIn(request, 'clientId'),
        ...read(BalancesQuery, request.query),
      }),
    ),
  );
  return router;
};
