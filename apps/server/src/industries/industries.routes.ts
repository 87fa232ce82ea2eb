import { IndustriesQuery } from '@iunctus/contract';
import { Router } from 'express';
import { answers, read } from '../http/handle';
import { findIndustries } from './industries.service';

/** Finding an industry. */
export const industryRoutes = (): Router => {
  const router = Router();
  router.get(
    '/industries',
    answers((request) =>
      Promise.resolve(findIndustries(read(IndustriesQuery, request.query).words)),
    ),
  );
  return router;
};
