import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { catchError, exhaustMap, map, of, switchMap, tap } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { problemOf } from '../../shared/api/problem';
import { ClientsApiActions, ClientsPageActions } from './clients.actions';

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
            of(ClientsApiActions.clientAdditionFailed({ problem: problemOf(error) })),
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
