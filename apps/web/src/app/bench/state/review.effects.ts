import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import { catchError, EMPTY, exhaustMap, map, type Observable, of, withLatestFrom } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { problemOf } from '../../shared/api/problem';
import { BenchApiActions, BenchPageActions } from './bench.actions';
import { benchFeature } from './bench.feature';

/** The bench is opened anew after either: the server says how far the proposal has come. */
const reopened = (clientId: string, request$: Observable<unknown>) =>
  request$.pipe(
    map(() => BenchPageActions.clientOpened({ clientId })),
    catchError((error: unknown) =>
      of(BenchApiActions.reviewRequestFailed({ problem: problemOf(error) })),
    ),
  );

/** Hands the proposal, as it was last kept, to a colleague. */
export const handOver$ = createEffect(
  (actions$ = inject(Actions), api = inject(ApiService), store = inject(Store)) =>
    actions$.pipe(
      ofType(BenchPageActions.handOverRequested),
      withLatestFrom(store.select(benchFeature.selectBenchState)),
      exhaustMap(([{ reviewerId }, { clientId, proposal }]) =>
        clientId === null
          ? EMPTY
          : reopened(clientId, api.handOver(clientId, { reviewerId, version: proposal.version })),
      ),
    ),
  { functional: true },
);

/** Takes the proposal back from the colleague who has it. */
export const withdraw$ = createEffect(
  (actions$ = inject(Actions), api = inject(ApiService), store = inject(Store)) =>
    actions$.pipe(
      ofType(BenchPageActions.withdrawalRequested),
      withLatestFrom(store.select(benchFeature.selectClientId)),
      exhaustMap(([, clientId]) =>
        clientId === null ? EMPTY : reopened(clientId, api.withdraw(clientId)),
      ),
    ),
  { functional: true },
);
