import { computed, type Signal } from '@angular/core';
import { rxResource } from '@angular/core/rxjs-interop';
import type { Observable } from 'rxjs';
import { problemOf, type ApiProblem } from './problem';

/** Something of the server's that one page or component shows, and how far it has come. */
export interface Reading<T> {
  /** What was read last; `null` until it is there, and where it could not be had. */
  readonly value: Signal<T | null>;
  readonly loading: Signal<boolean>;
  /** Why it could not be had. */
  readonly problem: Signal<ApiProblem | null>;
  /** Reads it once more; what is there stays until then. */
  again(): void;
}

/**
 * Reads from the server what is not shared with other places. Another question stops the one before, so that no answer
 * overtakes a newer one. Called where things are injected.
 * @param question what is asked for; `undefined` while nothing is
 * @param ask      how it is asked
 */
export const reading = <Q, T>(
  question: () => Q | undefined,
  ask: (question: Q) => Observable<T>,
): Reading<T> => {
  const resource = rxResource<T, Q | undefined>({
    params: question,
    stream: ({ params }) => ask(params),
  });
  return {
    value: computed(() => (resource.hasValue() ? (resource.value() as T) : null)),
    loading: resource.isLoading,
    problem: computed(() => {
      const error = resource.error();
      // What is thrown and is no error of the language comes wrapped.
      return error === undefined ? null : problemOf(error.cause ?? error);
    }),
    again: () => void resource.reload(),
  };
};

/** Reads what there is one of: nothing has to be said of which. */
export const readingOnce = <T>(ask: () => Observable<T>): Reading<T> => reading(() => 'all', ask);
