import { KeepChartRequest, OriginRequest, RenameKeptChartRequest } from '@iunctus/contract';
import { Router } from 'express';
import type pg from 'pg';
import { answers, idIn, numberIn, read, viewerOf } from '../http/handle';
import {
  keepChartOf,
  keptVersion,
  listKeptCharts,
  originOf,
  removeKeptChart,
  renameKeptChart,
  setOrigin,
} from './kept-charts.service';

/** The practice's own starting charts. */
export const keptChartRoutes = (pool: pg.Pool): Router => {
  const router = Router();
  router.get(
    '/kept-charts',
    answers((_request, response) => listKeptCharts(pool, viewerOf(response))),
  );
  router.put(
    '/kept-charts/:keptChartId',
    answers((request, response) =>
      renameKeptChart(pool, viewerOf(response), {
        keptChartId: idIn(request, 'keptChartId'),
        request: read(RenameKeptChartRequest, request.body),
      }),
    ),
  );
  router.delete(
    '/kept-charts/:keptChartId',
    answers((request, response) =>
      removeKeptChart(pool, viewerOf(response), idIn(request, 'keptChartId')),
    ),
  );
  router.get(
    '/kept-charts/:keptChartId/versions/:number',
    answers((request, response) =>
      keptVersion(pool, viewerOf(response), {
        keptChartId: idIn(request, 'keptChartId'),
        version: numberIn(request, 'number'),
      }),
    ),
  );
  router.post(
    '/clients/:clientId/kept-chart',
    answers((request, response) =>
      keepChartOf(pool, viewerOf(response), {
        clientId: idIn(request, 'clientId'),
        request: read(KeepChartRequest, request.body),
      }),
    ),
  );
  router.get(
    '/clients/:clientId/origin',
    answers((request, response) => originOf(pool, viewerOf(response), idIn(request, 'clientId'))),
  );
  router.put(
    '/clients/:clientId/origin',
    answers((request, response) =>
      setOrigin(pool, viewerOf(response), {
        clientId: idIn(request, 'clientId'),
        request: read(OriginRequest, request.body),
      }),
    ),
  );
  return router;
};
