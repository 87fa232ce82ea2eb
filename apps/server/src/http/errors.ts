import { randomUUID } from 'node:crypto';
import type { Problem } from '@iunctus/contract';
import type { ErrorRequestHandler } from 'express';
import { problemOfDatabaseError } from '../database/errors';
import { ProblemError, statusOf } from './problem';

const bodyProblem = (error: unknown): Problem | undefined => {
  if (typeof error !== 'object' || error === null || !('type' in error)) return undefined;
  if (error.type === 'entity.too.large') return { code: 'tooLarge' };
  if (error.type === 'entity.parse.failed')
    return { code: 'badRequest', issues: [{ field: '', rule: 'is no JSON' }] };
  return undefined;
};

const problemOf = (error: unknown, log: (line: string) => void): Problem => {
  if (error instanceof ProblemError) return error.problem;
  const known = bodyProblem(error) ?? problemOfDatabaseError(error);
  if (known !== undefined) return known;
  const id = randomUUID();
  log(`${id} ${error instanceof Error ? (error.stack ?? error.message) : String(error)}`);
  return { code: 'failed', id };
};

/** The one place where an error becomes an answer. What is nobody's mistake but ours is logged once, with an id. */
export const errorHandler =
  (log: (line: string) => void): ErrorRequestHandler =>
  (error, _request, response, next) => {
    if (response.headersSent) return next(error);
    const found = problemOf(error, log);
    response.status(statusOf(found)).json(found);
  };
