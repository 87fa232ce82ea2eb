import { pendingSplits } from '@iunctus/core';
import { inject } from '@angular/core';
import { createEffect } from '@ngrx/effects';
import { createSelector, Store } from '@ngrx/store';
import { catchError, distinctUntilChanged, EMPTY, map, of, switchMap } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { problemOf } from '../../shared/api/problem';
import { WorkspaceApiActions } from './workspace.actions';
import { workspaceFeature } from './workspace.feature';

/** What is to be asked about the proposal's splits; the amounts that are shown go with it, for others ask anew. */
const selectQuestion = createSelector(
  workspaceFeature.selectClientId,
  workspaceFeature.selectBalances,
  workspaceFeature.selectSteps,
  (clientId, balances, steps) => {
    const { splits, without } = pendingSplits(steps);
    if (clientId === null || balances === null || splits.length === 0) return null;
    const { first, last } = balances;
    const request = { first, last, splits: [...splits], without: [...without] };
    return { clientId, balances, request };
  },
);

type Question = ReturnType<typeof selectQuestion>;

const sameQuestion = (a: Question, b: Question): boolean =>
  a?.balances === b?.balances && JSON.stringify(a?.request) === JSON.stringify(b?.request);

/** Fetches what the proposal's splits come to, whenever they or the amounts that are shown change. */
export const loadSplits$ = createEffect(
  (store = inject(Store), api = inject(ApiService)) =>
    store.select(selectQuestion).pipe(
      distinctUntilChanged(sameQuestion),
      switchMap((question) => {
        if (question === null) return EMPTY;
        return api.ask('splits', { clientId: question.clientId, body: question.request }).pipe(
          map((seen) =>
            WorkspaceApiActions.splitsLoaded({ amounts: seen.map(({ amounts }) => amounts) }),
          ),
          catchError((error: unknown) =>
            of(WorkspaceApiActions.balancesLoadFailed({ problem: problemOf(error) })),
          ),
        );
      }),
    ),
  { functional: true },
);
