import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import { catchError, EMPTY, exhaustMap, map, type Observable, of, withLatestFrom } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { problemOf } from '../../shared/api/problem';
import { WorkspaceApiActions, WorkspaceActions } from './workspace.actions';
import { workspaceFeature } from './workspace.feature';

/** The bench is opened anew after either: the server says how far the proposal has come. */
const reopened = (clientId: string, request$: Observable<unknown>) =>
  request$.pipe(
    map(() => WorkspaceActions.clientOpened({ clientId })),
    catchError((error: unknown) =>
      of(WorkspaceApiActions.reviewRequestFailed({ problem: problemOf(error) })),
    ),
  );

/** Hands the proposal, as it was last kept, to a colleague. */
export const handOver$ = createEffect(
  (actions$ = inject(Actions), api = inject(ApiService), store = inject(Store)) =>
    actions$.pipe(
      ofType(WorkspaceActions.handOverRequested),
      withLatestFrom(store.select(workspaceFeature.selectWorkspaceState)),
      exhaustMap(([{ reviewerId }, { clientId, proposal }]) =>
        clientId === null
          ? EMPTY
          : reopened(
              clientId,
              api.ask('handOver', { clientId, body: { reviewerId, version: proposal.version } }),
            ),
      ),
    ),
  { functional: true },
);

/** Takes the proposal back from the colleague who has it. */
export const withdraw$ = createEffect(
  (actions$ = inject(Actions), api = inject(ApiService), store = inject(Store)) =>
    actions$.pipe(
      ofType(WorkspaceActions.withdrawalRequested),
      withLatestFrom(store.select(workspaceFeature.selectClientId)),
      exhaustMap(([, clientId]) =>
        clientId === null ? EMPTY : reopened(clientId, api.ask('takeBack', { clientId })),
      ),
    ),
  { functional: true },
);
