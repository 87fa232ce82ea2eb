import { BalancesQuery, type BalancesAnswer } from '@iunctus/contract';
import { Router } from 'express';
import type pg from 'pg';
import type { Viewer } from '../access/access.service';
import { maybeChart } from '../charts/charts.queries';
import { clientOf } from '../clients/clients.service';
import { answers, idIn, read, viewerOf } from '../http/handle';
import { problem } from '../http/problem';
import { manySplitAmounts } from '../splits/splits.queries';
import { manyAmounts } from './balances.queries';

/** The amounts of a client's accounts for a period. */
export const balancesOf = async (
  pool: pg.Pool,
  viewer: Viewer,
  asked: BalancesQuery & { readonly clientId: string },
): Promise<BalancesAnswer> => {
  const { first, last } = asked;
  const client = await clientOf(pool, viewer, asked.clientId);
  const head = (await maybeChart(pool, viewer, asked.clientId)) ?? problem({ code: 'notFound' });
  const { fiscalYearStart } = client;
  const period = { first, last, fiscalYearStart };
  return {
    first,
    last,
    amounts: await manyAmounts(pool, head, period),
    splits: await manySplitAmounts(pool, head, period),
  };
};

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
