import { createFeature, createReducer, on } from '@ngrx/store';
import type { ClientAnswer } from '@iunctus/contract';
import { failed, IDLE, LOADING, READY, type Loading } from '../../shared/loading';
import { ClientsApiActions, ClientsPageActions } from './clients.actions';

export interface ClientsState {
  readonly clients: readonly ClientAnswer[];
  readonly load: Loading;
  readonly adding: boolean;
  readonly addition: Loading;
}

const initial: ClientsState = { clients: [], load: IDLE, adding: false, addition: IDLE };

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
    on(ClientsPageActions.additionOpened, (state) => ({ ...state, adding: true, addition: IDLE })),
    on(ClientsPageActions.additionClosed, (state) => ({ ...state, adding: false })),
    on(ClientsPageActions.additionSubmitted, (state) => ({ ...state, addition: LOADING })),
    on(ClientsApiActions.clientAdded, (state, { client }) => ({
      ...state,
      clients: [...state.clients, client].sort(byName),
      adding: false,
      addition: READY,
    })),
    on(ClientsApiActions.clientAdditionFailed, (state, { problem }) => ({
      ...state,
      addition: failed(problem),
    })),
  ),
});
