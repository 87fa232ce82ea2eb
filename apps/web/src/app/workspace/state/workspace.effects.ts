import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import {
  catchError,
  concatMap,
  EMPTY,
  exhaustMap,
  filter,
  map,
  type Observable,
  of,
  switchMap,
  withLatestFrom,
  take,
} from 'rxjs';
import type { BenchAnswer, SaveProposalRequest } from '@iunctus/contract';
import { ApiService } from '../../shared/api/api.service';
import { problemOf } from '../../shared/api/problem';
import { KeptProposals } from '../model/kept-proposals';
import { WorkspaceApiActions, WorkspaceActions } from './workspace.actions';
import { isSaved } from './proposal-state';
import { workspaceFeature, type WorkspaceState } from './workspace.feature';

const loadedOrMissing = ({ client, chart }: BenchAnswer, kept: readonly SaveProposalRequest[]) =>
  chart === null
    ? WorkspaceApiActions.chartMissing({ client })
    : WorkspaceApiActions.benchLoaded({ client, chart, kept });

const loadFailed = (error: unknown) =>
  of(WorkspaceApiActions.benchLoadFailed({ problem: problemOf(error) }));

/** Fetches a client's chart and proposal, and what this browser kept of it. */
export const loadBench$ = createEffect(
  (actions$ = inject(Actions), api = inject(ApiService), kept = inject(KeptProposals)) =>
    actions$.pipe(
      ofType(WorkspaceActions.clientOpened),
      switchMap(({ clientId }) =>
        api.ask('bench', { clientId }).pipe(
          switchMap(async (bench) => loadedOrMissing(bench, await kept.of(clientId))),
          catchError(loadFailed),
        ),
      ),
    ),
  { functional: true },
);

/** Keeps what was chosen of a client. */
export const keepNature$ = createEffect(
  (actions$ = inject(Actions), api = inject(ApiService)) =>
    actions$.pipe(
      ofType(WorkspaceActions.natureChosen),
      concatMap(({ clientId, nature }) =>
        api.ask('changeNature', { clientId, body: nature }).pipe(
          map((client) => WorkspaceApiActions.clientChanged({ client })),
          catchError((error: unknown) =>
            of(WorkspaceApiActions.clientChangeFailed({ problem: problemOf(error) })),
          ),
        ),
      ),
    ),
  { functional: true },
);

/** Gives a client an empty chart, opens it, and proposes the first steps. */
export const beginChart$ = createEffect(
  (actions$ = inject(Actions), api = inject(ApiService)) =>
    actions$.pipe(
      ofType(WorkspaceActions.chartBegun),
      exhaustMap(({ clientId, steps }) =>
        api.ask('beginChart', { clientId }).pipe(
          switchMap(() => api.ask('bench', { clientId })),
          switchMap((bench) => [
            loadedOrMissing(bench, []),
            ...steps.map((step) => WorkspaceActions.stepProposed({ step })),
          ]),
          catchError(loadFailed),
        ),
      ),
    ),
  { functional: true },
);

/** Fetches the amounts for the period that is shown. */
export const loadBalances$ = createEffect(
  (actions$ = inject(Actions), api = inject(ApiService), store = inject(Store)) =>
    actions$.pipe(
      ofType(
        WorkspaceApiActions.benchLoaded,
        WorkspaceActions.periodChosen,
        WorkspaceActions.booksChanged,
      ),
      withLatestFrom(store.select(workspaceFeature.selectWorkspaceState)),
      switchMap(([, { clientId, period }]) => {
        if (clientId === null || period === null) return EMPTY;
        return api.ask('balances', { clientId, query: period }).pipe(
          map((balances) => WorkspaceApiActions.balancesLoaded({ balances })),
          catchError((error: unknown) =>
            of(WorkspaceApiActions.balancesLoadFailed({ problem: problemOf(error) })),
          ),
        );
      }),
    ),
  { functional: true },
);

/** The proposal once all of it is kept, or as it is where keeping it failed. */
const whenKept = (store: Store): Observable<WorkspaceState> =>
  store.select(workspaceFeature.selectWorkspaceState).pipe(
    filter(({ proposal }) => isSaved(proposal) || proposal.saveProblem !== null),
    take(1),
  );

/** What follows when adopting did not succeed: the newest state, where the server's is another. */
const adoptFailures = (error: unknown, clientId: string) => {
  const problem = problemOf(error);
  const failure = WorkspaceApiActions.adoptFailed({ problem });
  const elsewhere = problem.code === 'staleRevision' || problem.code === 'staleProposal';
  return elsewhere ? of(failure, WorkspaceActions.clientOpened({ clientId })) : of(failure);
};

/**
 * Adopts the proposal as the server keeps it, once it keeps all of it, and opens the new revision. What no longer
 * fits comes back as conflicts.
 */
export const adopt$ = createEffect(
  (actions$ = inject(Actions), api = inject(ApiService), store = inject<Store>(Store)) =>
    actions$.pipe(
      ofType(WorkspaceActions.adoptRequested),
      exhaustMap(() =>
        whenKept(store).pipe(
          switchMap(({ clientId, proposal }) => {
            if (clientId === null) return EMPTY;
            if (proposal.saveProblem !== null)
              return of(WorkspaceApiActions.adoptFailed({ problem: proposal.saveProblem }));
            return api.ask('adopt', { clientId, body: { version: proposal.version } }).pipe(
              switchMap((answer) => [
                WorkspaceApiActions.adopted(answer),
                WorkspaceActions.clientOpened({ clientId }),
              ]),
              catchError((error: unknown) => adoptFailures(error, clientId)),
            );
          }),
        ),
      ),
    ),
  { functional: true },
);

/** Puts what takes a revision back, or brings the chart back to one, into the proposal. */
export const takeBack$ = createEffect(
  (actions$ = inject(Actions), api = inject(ApiService), store = inject(Store)) =>
    actions$.pipe(
      ofType(WorkspaceActions.takeBackRequested, WorkspaceActions.restoreRequested),
      withLatestFrom(store.select(workspaceFeature.selectClientId)),
      exhaustMap(([{ type, revision }, clientId]) => {
        if (clientId === null) return EMPTY;
        const whole = type === WorkspaceActions.restoreRequested.type;
        const answer$ = whole
          ? api.ask('restore', { clientId, number: revision })
          : api.ask('undo', { clientId, number: revision });
        return answer$.pipe(
          map(({ operations, conflicts }) =>
            WorkspaceApiActions.takeBackPrepared({
              revision,
              whole,
              step: operations.length === 0 ? null : { id: crypto.randomUUID(), operations },
              left: conflicts.length,
            }),
          ),
          catchError((error: unknown) =>
            of(WorkspaceApiActions.adoptFailed({ problem: problemOf(error) })),
          ),
        );
      }),
    ),
  { functional: true },
);
