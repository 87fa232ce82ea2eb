import { inject } from '@angular/core';
import { createEffect } from '@ngrx/effects';
import { createSelector, Store } from '@ngrx/store';
import { catchError, distinctUntilChanged, map, of, switchMap } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { problemOf } from '../../shared/api/problem';
import { WorkspaceApiActions } from './workspace.actions';
import { workspaceFeature } from './workspace.feature';
import { listedIn, withBooks } from './listed-openings';

/** What is to be asked about the proposal's balances; when the books were read again, ask anew. */
const selectQuestion = createSelector(
  workspaceFeature.selectClient,
  workspaceFeature.selectBalances,
  workspaceFeature.selectSteps,
  (client, balances, steps) =>
    client === null || balances === null ? null : { client, balances, listed: listedIn(steps) },
);

type Question = ReturnType<typeof selectQuestion>;

const sameQuestion = (a: Question, b: Question): boolean =>
  a?.balances === b?.balances &&
  a?.client === b?.client &&
  a?.listed.length === b?.listed.length &&
  (a?.listed.every(({ opening }, at) => opening === b?.listed[at]?.opening) ?? true);

/** Fetches the books that the proposal's balances are held against, whenever either changes. */
export const loadOpenings$ = createEffect(
  (store = inject(Store), api = inject(ApiService)) =>
    store.select(selectQuestion).pipe(
      distinctUntilChanged(sameQuestion),
      switchMap((question) => {
        const { client, listed } = question ?? { client: null, listed: [] };
        const answer$ = client === null ? of([]) : withBooks(api, client, listed);
        return answer$.pipe(
          map((openings) => WorkspaceApiActions.openingsLoaded({ openings })),
          catchError((error: unknown) =>
            of(WorkspaceApiActions.balancesLoadFailed({ problem: problemOf(error) })),
          ),
        );
      }),
    ),
  { functional: true },
);
