import { createFeature, createReducer, on } from '@ngrx/store';
import type { ClientAnswer } from '@iunctus/contract';
import { SessionApiActions } from '../../session/state/session.actions';
import { failed, IDLE, LOADING, READY, type Loading } from '../../shared/loading';
import { ClientsApiActions, ClientsPageActions } from './clients.actions';

/** Which form is open: none, that for a new client, or that of one. */
export type OpenForm =
  { readonly type: 'none' | 'new' } | { readonly type: 'client'; readonly clientId: string };

const NO_FORM: OpenForm = { type: 'none' };

export interface ClientsState {
  readonly clients: readonly ClientAnswer[];
  readonly load: Loading;
  readonly form: OpenForm;
  readonly change: Loading;
}

const initial: ClientsState = { clients: [], load: IDLE, form: NO_FORM, change: IDLE };

const byName = (a: ClientAnswer, b: ClientAnswer): number => a.name.localeCompare(b.name);

export const clientsFeature = createFeature({
  name: 'clients',
  reducer: createReducer(
    initial,
    on(ClientsPageActions.opened, (state) => ({ ...state, load: LOADING })),
    on(ClientsApiActions.clientsLoaded, (state, { clients }) => ({
      ...state,
      clients,
      load: READY,
    })),
    on(ClientsApiActions.clientsLoadFailed, (state, { problem }) => ({
      ...state,
      load: failed(problem),
    })),
    on(ClientsPageActions.formOpened, (state, { clientId }) => ({
      ...state,
      form:
        clientId === null ? ({ type: 'new' } as const) : ({ type: 'client', clientId } as const),
      change: IDLE,
    })),
    on(ClientsPageActions.formClosed, (state) => ({ ...state, form: NO_FORM, change: IDLE })),
    on(
      ClientsPageActions.additionSubmitted,
      ClientsPageActions.changeSubmitted,
      ClientsPageActions.putAwayRequested,
      ClientsPageActions.bringBackRequested,
      (state) => ({ ...state, change: LOADING }),
    ),
    on(ClientsApiActions.clientAdded, ClientsApiActions.clientChanged, (state, { client }) => ({
      ...state,
      clients: [...state.clients.filter(({ id }) => id !== client.id), client].sort(byName),
      form: NO_FORM,
      change: READY,
    })),
    on(ClientsApiActions.clientChangeFailed, (state, { problem }) => ({
      ...state,
      change: failed(problem),
    })),
    on(SessionApiActions.signedOut, SessionApiActions.sessionLost, () => initial),
  ),
});
