import { HandOverRequest, RemarkRequest, VerdictRequest } from '@iunctus/contract';
import { Router, type Request } from 'express';
import type pg from 'pg';
import { answers, idIn, read, viewerOf } from '../http/handle';
import {
  handOverTo,
  judgeProposal,
  people,
  remarkOn,
  reviewOf,
  takeBackFromReview,
} from './reviews.service';

const about = (request: Request) => ({
  clientId: idIn(request, 'clientId'),
  authorId: idIn(request, 'authorId'),
});

/** Proposals on their way to a colleague and back. */
export const reviewRoutes = (pool: pg.Pool): Router => {
  const router = Router();
  router.get(
    '/people',
    answers((_request, response) => people(pool, viewerOf(response))),
  );
  router.post(
    '/clients/:clientId/proposal/hand-over',
    answers((request, response) =>
      handOverTo(pool, viewerOf(response), {
        clientId: idIn(request, 'clientId'),
        request: read(HandOverRequest, request.body),
      }),
    ),
  );
  router.post(
    '/clients/:clientId/proposal/take-back',
    answers((request, response) =>
      takeBackFromReview(pool, viewerOf(response), idIn(request, 'clientId')),
    ),
  );
  router.get(
    '/clients/:clientId/reviews/:authorId',
    answers((request, response) => reviewOf(pool, viewerOf(response), about(request))),
  );
  router.post(
    '/clients/:clientId/reviews/:authorId/remarks',
    answers((request, response) =>
      remarkOn(pool, viewerOf(response), {
        ...about(request),
        request: read(RemarkRequest, request.body),
      }),
    ),
  );
  router.post(
    '/clients/:clientId/reviews/:authorId/verdict',
    answers((request, response) =>
      judgeProposal(pool, viewerOf(response), {
        ...about(request),
        request: read(VerdictRequest, request.body),
      }),
    ),
  );
  return router;
};
