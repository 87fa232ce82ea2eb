import { ReturnFileRequest } from '@iunctus/contract';
import { Router } from 'express';
import { answers, read } from '../http/handle';
import { receiveReturn } from './tax-software';

/** Services outside, as small stand-ins that ship with the application. */
export const simulatedRoutes = (): Router => {
  const router = Router();
  router.post(
    '/simulated/tax-software',
    answers(async (request) => receiveReturn(read(ReturnFileRequest, request.body))),
  );
  return router;
};
