import { TestBed } from '@angular/core/testing';
import type { BenchChart } from '@iunctus/contract';
import { recordsOf, type ProposalStep } from '@iunctus/core';
import { aChart } from '@iunctus/core/testing';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore, Store } from '@ngrx/store';
import { aBench, aClient } from '../../../testing/a-client';
import { nothingAsked, refuse, testServer, waitingAt } from '../../../testing/test-server';
import { Rights } from '../../session/state/rights';
import { KeptProposals } from '../model/kept-proposals';
import * as savingEffects from './saving.effects';
import { WorkspaceActions, WorkspaceApiActions } from './workspace.actions';
import { workspaceFeature } from './workspace.feature';

const ID = '0b0e7c4e-7d38-4a52-9a6c-9f53c0ffee01';
const ADDRESS = `/api/clients/${ID}/proposal`;
/** The contract takes nothing but ids that are drawn. */
const idOf = (number: string): string => `00000000-0000-4000-8000-00000000${number}`;
const CHART = aChart('1010 Bank\n6010 Wages');
const CLIENT = aClient({ id: ID });
const BENCH: BenchChart = {
  ...aBench(CHART),
  accounts: recordsOf(CHART).map((one) => ({ ...one, id: idOf(one.id) })),
};
const rename = (id: string, value: string): ProposalStep => ({
  id: idOf(`000${id}`),
  operations: [{ type: 'editField', id: idOf('6010'), field: 'name', value }],
});

describe('saving a proposal', () => {
  const kept = { keep: jest.fn(), forget: jest.fn() };
  let store: Store;
  let changes = true;

  beforeEach(() => {
    jest.useFakeTimers();
    kept.keep.mockClear();
    changes = true;
    TestBed.configureTestingModule({
      providers: [
        ...testServer,
        provideStore(),
        provideState(workspaceFeature),
        provideEffects(savingEffects),
        { provide: Rights, useValue: { may: () => changes } },
        { provide: KeptProposals, useValue: kept },
      ],
    });
    store = TestBed.inject(Store);
    store.dispatch(WorkspaceActions.clientOpened({ clientId: ID }));
    store.dispatch(WorkspaceApiActions.benchLoaded({ client: CLIENT, chart: BENCH, kept: [] }));
  });
  afterEach(() => jest.useRealTimers());
  const propose = (step: ProposalStep) => store.dispatch(WorkspaceActions.stepProposed({ step }));
  const saving = () => store.selectSignal(workspaceFeature.selectSaving)();

  it('follows each edit, and says when it is kept', () => {
    propose(rename('a', 'Pay'));
    expect(saving()).not.toBe('saved');
    waitingAt(ADDRESS).flush({ version: 2 });
    expect(saving()).toBe('saved');
    nothingAsked();
  });

  it('does not overtake itself: edits made meanwhile follow in one save', () => {
    propose(rename('a', 'Pay'));
    const first = waitingAt(ADDRESS);
    propose(rename('b', 'Wages paid'));
    propose(rename('c', 'Wages and salaries'));
    nothingAsked();
    first.flush({ version: 2 });
    const second = waitingAt(ADDRESS);
    expect(second.request.body).toMatchObject({ version: 2 });
    second.flush({ version: 3 });
    expect(saving()).toBe('saved');
  });

  it('is tried again by itself after a while when the server is away', () => {
    propose(rename('a', 'Pay'));
    waitingAt(ADDRESS).error(new ProgressEvent('error'));
    nothingAsked();
    jest.advanceTimersByTime(5000);
    waitingAt(ADDRESS).flush({ version: 2 });
    expect(saving()).toBe('saved');
  });

  it('is not tried again by itself when it was refused for good', () => {
    propose(rename('a', 'Pay'));
    refuse(waitingAt(ADDRESS), 'notAllowed', 403);
    jest.advanceTimersByTime(60_000);
    nothingAsked();
  });

  it('keeps in the browser what is not with the server yet', () => {
    propose(rename('a', 'Pay'));
    expect(kept.keep).toHaveBeenCalledWith(ID, expect.objectContaining({ version: 1 }));
  });

  it('brings both together where another window saved first', () => {
    propose(rename('a', 'Pay'));
    refuse(waitingAt(ADDRESS), 'staleProposal');
    waitingAt(`/api/clients/${ID}/bench`).flush({
      client: CLIENT,
      chart: { ...BENCH, proposal: { ...BENCH.proposal, version: 5 } },
    });
    // What the other window saved stays, and this window's step stands on it.
    expect(waitingAt(ADDRESS).request.body).toMatchObject({
      version: 5,
      conflicts: [],
      steps: [{ id: idOf('000a') }],
    });
  });

  it('is not tried by somebody who may only read', () => {
    changes = false;
    propose(rename('a', 'Pay'));
    nothingAsked();
  });
});
