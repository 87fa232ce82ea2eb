import type { HttpInterceptorFn } from '@angular/common/http';
import { inject } from '@angular/core';
import { Store } from '@ngrx/store';
import { tap } from 'rxjs';
import { problemOf } from '../../shared/api/problem';
import { SessionApiActions } from './session.actions';

/** When the server no longer knows who asks, the way leads back to the sign-in. */
export const expiredInterceptor: HttpInterceptorFn = (request, next) => {
  const store = inject(Store);
  return next(request).pipe(
    tap({
      error: (error: unknown) => {
        if (problemOf(error).code === 'notSignedIn')
          store.dispatch(SessionApiActions.sessionLost());
      },
    }),
  );
};
