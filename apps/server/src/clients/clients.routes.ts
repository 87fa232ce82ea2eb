import { ClientNature, NewClientRequest } from '@iunctus/contract';
import { Router } from 'express';
import type pg from 'pg';
import { answers, idIn, read, viewerOf } from '../http/handle';
import { addClient, changeNature, clientOf, listClients } from './clients.service';

/** The practice's clients. */
export const clientRoutes = (pool: pg.Pool): Router => {
  const router = Router();
  router.get(
    '/clients',
    answers((_request, response) => listClients(pool, viewerOf(response))),
  );
  router.post(
    '/clients',
    answers((request, response) =>
      addClient(pool, viewerOf(response), read(NewClientRequest, request.body)),
    ),
  );
  router.put(
    '/clients/:clientId/nature',
    answers((request, response) =>
      changeNature(pool, viewerOf(response), {
        clientId: idIn(request, 'clientId'),
        nature: read(ClientNature, request.body),
      }),
    ),
  );
  router.get(
    '/clients/:clientId',
    answers((request, response) => clientOf(pool, viewerOf(response), idIn(request, 'clientId'))),
  );
  return router;
};
