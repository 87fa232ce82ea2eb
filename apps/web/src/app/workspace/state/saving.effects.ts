import { inject } from '@angular/core';
import { createEffect } from '@ngrx/effects';
import { createSelector, Store } from '@ngrx/store';
import {
  catchError,
  concatMap,
  distinctUntilChanged,
  EMPTY,
  filter,
  fromEvent,
  map,
  merge,
  of,
  switchMap,
  take,
  tap,
  timer,
  type Observable,
} from 'rxjs';
import { Rights } from '../../session/state/rights';
import { ApiService } from '../../shared/api/api.service';
import { problemOf } from '../../shared/api/problem';
import { passes } from '../../shared/words/saving-words';
import { KeptProposals } from '../model/kept-proposals';
import { requestOf } from './kept-proposal';
import { isSaved } from './proposal-state';
import { WorkspaceApiActions } from './workspace.actions';
import { workspaceFeature, type WorkspaceState } from './workspace.feature';

/** What is to be saved: told apart by client and edit, and by whether a try has failed since. */
const selectUnsaved = createSelector(
  workspaceFeature.selectClientId,
  workspaceFeature.selectAdopted,
  workspaceFeature.selectProposal,
  (clientId, adopted, proposal) =>
    clientId === null || adopted === null || isSaved(proposal)
      ? null
      : { clientId, edits: proposal.edits, failed: proposal.saveProblem !== null },
);

const same = <T extends object>(a: T | null, b: T | null): boolean =>
  a === b ||
  (a !== null && b !== null && (Object.keys(a) as (keyof T)[]).every((key) => a[key] === b[key]));

type Told = ReturnType<
  | typeof WorkspaceApiActions.proposalSaved
  | typeof WorkspaceApiActions.proposalSaveFailed
  | typeof WorkspaceApiActions.proposalOvertaken
  | typeof WorkspaceApiActions.chartMissing
>;

const failed = (error: unknown): Observable<Told> =>
  of(WorkspaceApiActions.proposalSaveFailed({ problem: problemOf(error) }));

const overtaken = (api: ApiService, clientId: string): Observable<Told> =>
  api.ask('bench', { clientId }).pipe(
    map(({ client, chart }) =>
      chart === null
        ? WorkspaceApiActions.chartMissing({ client })
        : WorkspaceApiActions.proposalOvertaken({ client, chart }),
    ),
    catchError(failed),
  );

const save = (api: ApiService, state: WorkspaceState): Observable<Told> => {
  const { clientId, adopted, proposal } = state;
  if (clientId === null || adopted === null || isSaved(proposal)) return EMPTY;
  const { edits, steps } = proposal;
  return api.ask('saveProposal', { clientId, body: requestOf(proposal, adopted.revision) }).pipe(
    map(({ version }) => WorkspaceApiActions.proposalSaved({ version, edits, steps })),
    catchError((error: unknown) =>
      problemOf(error).code === 'staleProposal' ? overtaken(api, clientId) : failed(error),
    ),
  );
};

/** Saves the proposal whenever it is not saved, one save after the other, always the newest state. */
export const saveProposal$ = createEffect(
  (api = inject(ApiService), store = inject(Store), rights = inject(Rights)) =>
    store.select(selectUnsaved).pipe(
      distinctUntilChanged(same),
      filter((unsaved) => unsaved !== null && !unsaved.failed && rights.may('change')),
      concatMap(() =>
        store.select(workspaceFeature.selectWorkspaceState).pipe(
          take(1),
          concatMap((state) => save(api, state)),
        ),
      ),
    ),
  { functional: true },
);

/** How long after a failed save it is tried again, in milliseconds. */
const AGAIN_AFTER = 5000;

/** Tries again by itself, and at once when the network is back. */
export const saveAgain$ = createEffect(
  (store = inject(Store)) =>
    store.select(workspaceFeature.selectProposal).pipe(
      map(({ saveProblem }) => saveProblem),
      distinctUntilChanged(),
      switchMap((problem) =>
        problem === null || !passes(problem)
          ? EMPTY
          : merge(timer(AGAIN_AFTER), fromEvent(window, 'online')).pipe(take(1)),
      ),
      map(() => WorkspaceApiActions.saveDueAgain()),
    ),
  { functional: true },
);

/** Keeps in this browser what is not saved yet, and forgets it once it is. */
export const keepHere$ = createEffect(
  (store = inject(Store), kept = inject(KeptProposals)) =>
    store.select(workspaceFeature.selectWorkspaceState).pipe(
      filter(({ clientId, adopted }) => clientId !== null && adopted !== null),
      distinctUntilChanged(
        (a, b) =>
          a.clientId === b.clientId &&
          a.proposal.edits === b.proposal.edits &&
          a.proposal.savedEdits === b.proposal.savedEdits,
      ),
      tap(({ clientId, adopted, proposal }) => {
        if (clientId === null || adopted === null) return;
        if (isSaved(proposal)) kept.forget(clientId);
        else kept.keep(clientId, requestOf(proposal, adopted.revision));
      }),
    ),
  { functional: true, dispatch: false },
);
