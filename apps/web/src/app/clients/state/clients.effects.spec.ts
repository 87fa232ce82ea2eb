import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore, Store } from '@ngrx/store';
import { aClient } from '../../../testing/a-client';
import { refuse, testServer, waitingAt } from '../../../testing/test-server';
import { ClientsPageActions } from './clients.actions';
import * as effects from './clients.effects';
import { clientsFeature } from './clients.feature';

const REQUEST = {
  name: 'Linden Bindery',
  legalForm: 'corporation',
  industry: null,
  country: 'US',
  currency: 'USD',
  fiscalYearStart: 1,
} as const;
const CLIENT = aClient({ ...REQUEST, latestMonth: null });

describe('the clients of the practice', () => {
  const navigate = jest.fn(() => Promise.resolve(true));
  let store: Store;
  beforeEach(() => {
    navigate.mockClear();
    TestBed.configureTestingModule({
      providers: [
        ...testServer,
        provideStore(),
        provideState(clientsFeature),
        provideEffects(effects),
        { provide: Router, useValue: { navigate } },
      ],
    });
    store = TestBed.inject(Store);
  });
  const state = () => store.selectSignal(clientsFeature.selectClientsState)();

  it('are read when the place is opened', () => {
    store.dispatch(ClientsPageActions.opened());
    expect(state().load.status).toBe('loading');
    waitingAt('/api/clients').flush([CLIENT]);
    expect([state().load.status, state().clients]).toEqual(['ready', [CLIENT]]);
  });

  it('say why they could not be read', () => {
    store.dispatch(ClientsPageActions.opened());
    refuse(waitingAt('/api/clients'), 'notFound', 404);
    expect(state().load).toMatchObject({ status: 'failed', problem: { code: 'notFound' } });
  });

  it('get one more, which is opened', () => {
    store.dispatch(ClientsPageActions.formOpened({ clientId: null }));
    store.dispatch(ClientsPageActions.additionSubmitted({ request: REQUEST }));
    waitingAt('/api/clients').flush(CLIENT);
    expect(state()).toMatchObject({ clients: [CLIENT], form: { type: 'none' } });
    expect(navigate).toHaveBeenCalledWith(['/clients', CLIENT.id, 'chart']);
  });

  it('keep the form open when the server refuses, with the reason', () => {
    store.dispatch(ClientsPageActions.formOpened({ clientId: null }));
    store.dispatch(ClientsPageActions.additionSubmitted({ request: REQUEST }));
    refuse(waitingAt('/api/clients'), 'notAllowed', 403);
    expect(state()).toMatchObject({ form: { type: 'new' }, change: { status: 'failed' } });
    expect(navigate).not.toHaveBeenCalled();
  });
});
