import type { Problem } from '@iunctus/contract';

/** Thrown by services: the answer is this problem. */
export class ProblemError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.code);
  }
}

/** Throws a problem; its type lets it stand where a value is wanted. */
export const problem = (found: Problem): never => {
  throw new ProblemError(found);
};

/** Throws that a field of the request breaks a rule. */
export const badRequest = (field: string, rule: string): never =>
  problem({ code: 'badRequest', issues: [{ field, rule }] });

const STATUS: Readonly<Record<Problem['code'], number>> = {
  badRequest: 400,
  wrongSignIn: 401,
  notSignedIn: 401,
  notAllowed: 403,
  foreignOrigin: 403,
  notFound: 404,
  staleProposal: 409,
  staleRevision: 409,
  proofsBroken: 422,
  tooLarge: 413,
  nameTaken: 422,
  emailTaken: 422,
  lastAdministrator: 422,
  refused: 422,
  entryRefused: 422,
  overtaken: 409,
  tooManyTries: 429,
  failed: 500,
  unavailable: 503,
  busy: 503,
  tookTooLong: 503,
};

/** The HTTP status of a problem. */
export const statusOf = (found: Problem): number => STATUS[found.code];

/** After how many seconds to ask again, where that may help. */
export const retryAfter = (found: Problem): number | null =>
  'seconds' in found ? found.seconds : null;
