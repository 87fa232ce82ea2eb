import type { HttpInterceptorFn } from '@angular/common/http';
import { inject } from '@angular/core';
import { Store } from '@ngrx/store';
import { tap } from 'rxjs';
import { problemOf } from '../../shared/api/problem';
import { SessionApiActions } from './session.actions';
import { sessionFeature } from './session.feature';

/**
 * When the server no longer knows who asks, the way leads back to the sign-in. What was asked in a session before, and
 * is refused late, says nothing about the one that was begun since.
 */
export const expiredInterceptor: HttpInterceptorFn = (request, next) => {
  const store = inject(Store);
  const session = store.selectSignal(sessionFeature.selectSession);
  const asking = session();
  return next(request).pipe(
    tap({
      error: (error: unknown) => {
        if (problemOf(error).code === 'notSignedIn' && session() === asking)
          store.dispatch(SessionApiActions.sessionLost());
      },
    }),
  );
};
