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

const STATUS: Readonly<Record<Problem['code'], number>> = {
  badRequest: 400,
  wrongSignIn: 401,
  notSignedIn: 401,
  notFound: 404,
  nameTaken: 422,
  tooLarge: 413,
  staleProposal: 409,
  staleRevision: 409,
  refused: 422,
  failed: 500,
};

/** The HTTP status of a problem. */
export const statusOf = (found: Problem): number => STATUS[found.code];
