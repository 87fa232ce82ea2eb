import { inject } from '@angular/core';
import { Router, type CanActivateFn } from '@angular/router';
import { Store } from '@ngrx/store';
import { catchError, map, of, switchMap, take } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { SessionApiActions } from './session.actions';
import { sessionFeature } from './session.feature';

/** Lets in who is signed in, asking the server once; others go to the sign-in. */
export const signedInGuard: CanActivateFn = () => {
  const [store, api, router] = [inject(Store), inject(ApiService), inject(Router)];
  return store.select(sessionFeature.selectSession).pipe(
    take(1),
    switchMap((known) => {
      if (known !== null) return of(true);
      return api.session().pipe(
        map((session) => {
          if (session === null) return router.parseUrl('/sign-in');
          store.dispatch(SessionApiActions.sessionFound({ session }));
          return true;
        }),
        catchError(() => of(router.parseUrl('/sign-in'))),
      );
    }),
  );
};
