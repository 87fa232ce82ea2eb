import type { Problem } from '@iunctus/contract';
import { problemOfDatabaseError } from '../database/errors';
import { ProblemError } from './problem';

/** What body readers and routers say of requests that are none: each has a status below 500. */
const requestProblem = (error: unknown): Problem | undefined => {
  if (typeof error !== 'object' || error === null) return undefined;
  const type = Reflect.get(error, 'type') as unknown;
  if (type === 'entity.too.large') return { code: 'tooLarge' };
  if (type === 'encoding.unsupported')
    return { code: 'badRequest', issues: [{ field: 'content-encoding', rule: 'is none' }] };
  const status = Reflect.get(error, 'status') as unknown;
  if (typeof status !== 'number' || status < 400 || status >= 500) return undefined;
  const rule = error instanceof URIError ? 'is no address' : 'cannot be read';
  return { code: 'badRequest', issues: [{ field: '', rule }] };
};

/** The problem that an error stands for; one that is nobody's mistake but ours comes with `id`, and is to be logged. */
export const problemOf = (error: unknown, id: string): Problem => {
  if (error instanceof ProblemError) return error.problem;
  return problemOfDatabaseError(error) ?? requestProblem(error) ?? { code: 'failed', id };
};

/** What is logged of an error: what it is and where it happened, nothing of what was asked. */
export const storyOf = (error: unknown): string =>
  error instanceof Error ? (error.stack ?? error.message) : String(error);
