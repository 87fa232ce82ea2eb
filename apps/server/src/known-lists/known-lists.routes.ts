import { KnownList } from '@iunctus/contract';
import { Router } from 'express';
import type pg from 'pg';
import { answers, read, viewerOf } from '../http/handle';
import { keepKnownList, knownLists } from './known-lists.service';

/** What the columns and types of lists from elsewhere mean. */
export const knownListRoutes = (pool: pg.Pool): Router => {
  const router = Router();
  router.get(
    '/known-lists',
    answers((_request, response) => knownLists(pool, viewerOf(response))),
  );
  router.put(
    '/known-lists',
    answers((request, response) =>
      keepKnownList(pool, viewerOf(response), read(KnownList, request.body)),
    ),
  );
  return router;
};
