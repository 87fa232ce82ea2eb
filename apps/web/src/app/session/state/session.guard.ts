import { inject } from '@angular/core';
import { Router, type CanActivateFn, type UrlTree } from '@angular/router';
import type { SessionAnswer } from '@iunctus/contract';
import { Store } from '@ngrx/store';
import { catchError, map, of, switchMap, take } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { SessionApiActions } from './session.actions';
import { sessionFeature } from './session.feature';
import { signInFor } from './wanted-place';

/** Lets in whom `admits` lets in, asking the server once who it is; others go to the sign-in or to what is theirs. */
const guard =
  (admits: (session: SessionAnswer) => true | string): CanActivateFn =>
  (_route, { url }) => {
    const [store, api, router] = [inject(Store), inject(ApiService), inject(Router)];
    const admitted = (session: SessionAnswer): true | UrlTree => {
      const way = admits(session);
      return way === true ? true : router.parseUrl(way);
    };
    return store.select(sessionFeature.selectSession).pipe(
      take(1),
      switchMap((known) => {
        if (known !== null) return of(admitted(known));
        return api.ask('session', {}).pipe(
          map((session) => {
            if (session === null) return signInFor(router, url);
            store.dispatch(SessionApiActions.sessionFound({ session }));
            return admitted(session);
          }),
          catchError(() => of(signInFor(router, url))),
        );
      }),
    );
  };

/** For everybody who is signed in. */
export const signedInGuard: CanActivateFn = guard(() => true);

/** For people who work on charts; an onlooker goes to the one client that they see. */
export const workGuard: CanActivateFn = guard(({ user }) =>
  user.clientId === null ? true : `/look/${user.clientId}`,
);
