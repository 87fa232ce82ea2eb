import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { catchError, exhaustMap, map, of, tap } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { problemOf } from '../../shared/api/problem';
import { SessionApiActions, SessionPageActions } from './session.actions';
import { isSignIn, signInFor, wantedFrom } from './wanted-place';

/** Checks a sign-in with the server. */
export const signIn$ = createEffect(
  (actions$ = inject(Actions), api = inject(ApiService)) =>
    actions$.pipe(
      ofType(SessionPageActions.signInSubmitted),
      exhaustMap(({ request }) =>
        api.ask('signIn', { body: request }).pipe(
          map((session) => SessionApiActions.signedIn({ session })),
          catchError((error: unknown) =>
            of(SessionApiActions.signInFailed({ problem: problemOf(error) })),
          ),
        ),
      ),
    ),
  { functional: true },
);

/** Sets a password by an invitation, which signs in. */
export const takeUpInvitation$ = createEffect(
  (actions$ = inject(Actions), api = inject(ApiService)) =>
    actions$.pipe(
      ofType(SessionPageActions.invitationTakenUp),
      exhaustMap(({ request }) =>
        api.ask('takeUpInvitation', { body: request }).pipe(
          map((session) => SessionApiActions.signedIn({ session })),
          catchError((error: unknown) =>
            of(SessionApiActions.signInFailed({ problem: problemOf(error) })),
          ),
        ),
      ),
    ),
  { functional: true },
);

/** Ends the session; whatever the server says, this browser is signed out. */
export const signOut$ = createEffect(
  (actions$ = inject(Actions), api = inject(ApiService)) =>
    actions$.pipe(
      ofType(SessionPageActions.signOutRequested),
      exhaustMap(() =>
        api.ask('signOut', {}).pipe(
          map(() => SessionApiActions.signedOut()),
          catchError(() => of(SessionApiActions.signedOut())),
        ),
      ),
    ),
  { functional: true },
);

/** Goes on to where one wanted to go, or to the clients. */
export const goOn$ = createEffect(
  (actions$ = inject(Actions), router = inject(Router)) =>
    actions$.pipe(
      ofType(SessionApiActions.signedIn),
      tap(() => void router.navigateByUrl(wantedFrom(router.url))),
    ),
  { functional: true, dispatch: false },
);

/** Goes to the sign-in; from a session that was lost one comes back to where one was. */
export const leave$ = createEffect(
  (actions$ = inject(Actions), router = inject(Router)) =>
    actions$.pipe(
      ofType(SessionApiActions.signedOut, SessionApiActions.sessionLost),
      tap(({ type }) => {
        const lost = type === SessionApiActions.sessionLost.type;
        // Another answer may say so too, when the way to the sign-in is gone already.
        if (lost && isSignIn(router.url)) return;
        void router.navigateByUrl(lost ? signInFor(router, router.url) : '/sign-in');
      }),
    ),
  { functional: true, dispatch: false },
);
