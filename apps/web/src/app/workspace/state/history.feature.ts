import { createFeature, createReducer, on } from '@ngrx/store';
import type { RevisionAnswer } from '@iunctus/contract';
import { failed, IDLE, LOADING, READY, type Loading } from '../../shared/loading';
import { HistoryApiActions, HistoryPageActions } from './history.actions';

export interface HistoryState {
  readonly load: Loading;
  readonly revisions: readonly RevisionAnswer[];
}

const initial: HistoryState = { load: IDLE, revisions: [] };

export const historyFeature = createFeature({
  name: 'history',
  reducer: createReducer(
    initial,
    on(HistoryPageActions.opened, () => ({ load: LOADING, revisions: [] })),
    on(HistoryApiActions.revisionsLoaded, (_state, { revisions }) => ({ load: READY, revisions })),
    on(HistoryApiActions.revisionsLoadFailed, (state, { problem }) => ({
      ...state,
      load: failed(problem),
    })),
  ),
});
