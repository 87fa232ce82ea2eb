import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { catchError, map, of, switchMap } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { problemOf } from '../../shared/api/problem';
import { HistoryApiActions, HistoryPageActions } from './history.actions';

/** Fetches the revisions of a client's chart. */
export const loadRevisions$ = createEffect(
  (actions$ = inject(Actions), api = inject(ApiService)) =>
    actions$.pipe(
      ofType(HistoryPageActions.opened),
      switchMap(({ clientId }) =>
        api.ask('revisions', { clientId }).pipe(
          map((revisions) => HistoryApiActions.revisionsLoaded({ revisions })),
          catchError((error: unknown) =>
            of(HistoryApiActions.revisionsLoadFailed({ problem: problemOf(error) })),
          ),
        ),
      ),
    ),
  { functional: true },
);
