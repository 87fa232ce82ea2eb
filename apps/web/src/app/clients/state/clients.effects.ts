import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import type { ClientAnswer } from '@iunctus/contract';
import { catchError, concatMap, exhaustMap, map, of, switchMap, tap, type Observable } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { problemOf } from '../../shared/api/problem';
import { ClientsApiActions, ClientsPageActions } from './clients.actions';

type Change = ReturnType<
  | typeof ClientsPageActions.changeSubmitted
  | typeof ClientsPageActions.putAwayRequested
  | typeof ClientsPageActions.bringBackRequested
>;

const changed = (api: ApiService, asked: Change): Observable<ClientAnswer> => {
  const { clientId } = asked;
  switch (asked.type) {
    case ClientsPageActions.changeSubmitted.type:
      return api.ask('changeClient', { clientId, body: asked.request });
    case ClientsPageActions.putAwayRequested.type:
      return api.ask('putClientAway', { clientId });
    case ClientsPageActions.bringBackRequested.type:
      return api.ask('bringClientBack', { clientId });
  }
};

/** Fetches the clients. */
export const loadClients$ = createEffect(
  (actions$ = inject(Actions), api = inject(ApiService)) =>
    actions$.pipe(
      ofType(ClientsPageActions.opened),
      switchMap(() =>
        api.ask('clients', {}).pipe(
          map((clients) => ClientsApiActions.clientsLoaded({ clients })),
          catchError((error: unknown) =>
            of(ClientsApiActions.clientsLoadFailed({ problem: problemOf(error) })),
          ),
        ),
      ),
    ),
  { functional: true },
);

/** Adds a client. */
export const addClient$ = createEffect(
  (actions$ = inject(Actions), api = inject(ApiService)) =>
    actions$.pipe(
      ofType(ClientsPageActions.additionSubmitted),
      exhaustMap(({ request }) =>
        api.ask('addClient', { body: request }).pipe(
          map((client) => ClientsApiActions.clientAdded({ client })),
          catchError((error: unknown) =>
            of(ClientsApiActions.clientChangeFailed({ problem: problemOf(error) })),
          ),
        ),
      ),
    ),
  { functional: true },
);

/** Says anew what a client is, puts it away or brings it back. */
export const changeClient$ = createEffect(
  (actions$ = inject(Actions), api = inject(ApiService)) =>
    actions$.pipe(
      ofType(
        ClientsPageActions.changeSubmitted,
        ClientsPageActions.putAwayRequested,
        ClientsPageActions.bringBackRequested,
      ),
      concatMap((asked) =>
        changed(api, asked).pipe(
          map((client) => ClientsApiActions.clientChanged({ client })),
          catchError((error: unknown) =>
            of(ClientsApiActions.clientChangeFailed({ problem: problemOf(error) })),
          ),
        ),
      ),
    ),
  { functional: true },
);

/** Goes on to the new client, which says how to start a chart. */
export const openAdded$ = createEffect(
  (actions$ = inject(Actions), router = inject(Router)) =>
    actions$.pipe(
      ofType(ClientsApiActions.clientAdded),
      tap(({ client }) => void router.navigate(['/clients', client.id, 'chart'])),
    ),
  { functional: true, dispatch: false },
);
