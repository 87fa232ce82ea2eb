import type { HttpInterceptorFn, HttpRequest } from '@angular/common/http';
import { inject } from '@angular/core';
import { defer, finalize, retry, throwError, timer } from 'rxjs';
import { ConnectionService, type Trouble } from './connection.service';
import { problemOf, type ApiProblem } from './problem';

/** Longest wait between two tries, in seconds, and how many there are: about ten minutes. */
const LONGEST = 5;
const TRIES = 120;

const troubleOf = ({ code }: ApiProblem): Trouble | null =>
  code === 'unreachable' || code === 'unavailable' || code === 'busy' ? code : null;

/** Reads, and saves that name the version that they follow: asking again does no harm, whatever became of the first. */
const isSafe = ({ method, url }: HttpRequest<unknown>): boolean =>
  method === 'GET' || (method === 'PUT' && url.endsWith('/proposal'));

/** While the server or its database is away, asks again by itself until it is back, and says so meanwhile. */
export const retryInterceptor: HttpInterceptorFn = (request, next) => {
  if (!isSafe(request)) return next(request);
  const connection = inject(ConnectionService);
  return defer(() => {
    let done: (() => void) | null = null;
    const settle = (): void => {
      done?.();
      done = null;
    };
    return next(request).pipe(
      retry({
        count: TRIES,
        delay: (error: unknown, count) => {
          const trouble = troubleOf(problemOf(error));
          if (trouble === null) return throwError(() => error);
          settle();
          done = connection.wait(trouble);
          return timer(1000 * Math.min(count, LONGEST));
        },
      }),
      finalize(settle),
    );
  });
};
