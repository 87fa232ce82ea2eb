import { HttpErrorResponse } from '@angular/common/http';
import { Problem } from '@iunctus/contract';
import * as v from 'valibot';

/** Why a request came to nothing: the server's word, or that it could not be reached or understood. */
export type ApiProblem =
  Problem | { readonly code: 'unreachable' } | { readonly code: 'unreadable' };

/** The problem that a failed request stands for. */
export const problemOf = (error: unknown): ApiProblem => {
  if (error instanceof v.ValiError) return { code: 'unreadable' };
  if (!(error instanceof HttpErrorResponse) || error.status === 0) return { code: 'unreachable' };
  const parsed = v.safeParse(Problem, error.error);
  return parsed.success ? parsed.output : { code: 'unreadable' };
};
