import { createFeature, createReducer, on } from '@ngrx/store';
import type { SessionAnswer } from '@iunctus/contract';
import { failed, IDLE, LOADING, READY, type Loading } from '../../shared/loading';
import { SessionApiActions, SessionPageActions } from './session.actions';

export interface SessionState {
  readonly session: SessionAnswer | null;
  readonly signIn: Loading;
}

const initial: SessionState = { session: null, signIn: IDLE };

export const sessionFeature = createFeature({
  name: 'session',
  reducer: createReducer(
    initial,
    on(SessionPageActions.signInSubmitted, SessionPageActions.invitationTakenUp, (state) => ({
      ...state,
      signIn: LOADING,
    })),
    on(SessionApiActions.sessionFound, SessionApiActions.signedIn, (state, { session }) => ({
      ...state,
      session,
      signIn: READY,
    })),
    on(SessionApiActions.signInFailed, (state, { problem }) => ({
      ...state,
      signIn: failed(problem),
    })),
    on(SessionApiActions.signedOut, SessionApiActions.sessionLost, () => initial),
  ),
});
