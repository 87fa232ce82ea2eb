import type { BalancesAnswer, BenchChart } from '@iunctus/contract';
import type { ProposalStep } from '@iunctus/core';
import { aChart } from '@iunctus/core/testing';
import type { Action } from '@ngrx/store';
import { aBench, aClient } from '../../../testing/a-client';
import { WorkspaceApiActions, WorkspaceActions } from './workspace.actions';
import { workspaceFeature, type WorkspaceState } from './workspace.feature';
import { broughtBack, mergeSteps, requestOf } from './kept-proposal';

const CHART = aChart('1010 Bank\n6010 Wages\n6020 Training');

const CLIENT = aClient({ id: 'c1' });

const rename = (id: string, account: string, value: string): ProposalStep => ({
  id,
  operations: [{ type: 'editField', id: account, field: 'name', value }],
});
const [A, B, C] = [
  rename('a', '6010', 'Pay'),
  rename('b', '6020', 'Courses'),
  rename('c', '1010', 'Account'),
] as const;

const chartWith = (steps: readonly ProposalStep[], version = 1): BenchChart =>
  aBench(CHART, {
    version,
    steps: [...steps],
    name: 'Names said plainly',
    state: 'approved',
    reviewer: { id: 'tobias', name: 'Tobias Fenn' },
  });

const after = (...actions: readonly Action[]): WorkspaceState =>
  actions.reduce<WorkspaceState | undefined>(
    (state, action) => workspaceFeature.reducer(state, action),
    undefined,
  ) as WorkspaceState;

const openedWith = (steps: readonly ProposalStep[]) =>
  WorkspaceApiActions.benchLoaded({ client: CLIENT, chart: chartWith(steps), kept: [] });
const loaded = openedWith([]);
const propose = (step: ProposalStep) => WorkspaceActions.stepProposed({ step });

describe('the bench’s state', () => {
  it('opens with the proposal as kept and the fiscal year to date', () => {
    const state = after(openedWith([A]));
    expect(state.proposal.steps).toEqual([A]);
    expect(state.period).toEqual({ first: '2026-07', last: '2026-10' });
  });

  it('keeps an approval while only the name changes, and drops it with another step', () => {
    const start = openedWith([A]);
    const renamed = WorkspaceActions.detailsChanged({
      name: 'Pay and courses',
      comment: 'As said.',
    });
    expect(after(start, renamed).proposal).toMatchObject({
      state: 'approved',
      name: 'Pay and courses',
    });
    expect(after(start, propose(B)).proposal).toMatchObject({ state: 'draft', reviewer: null });
    expect(after(start, WorkspaceActions.undoRequested()).proposal.state).toBe('draft');
  });

  it('forgets name and comment with a proposal that is discarded', () => {
    const start = openedWith([A]);
    const { proposal } = after(start, WorkspaceActions.proposalDiscarded());
    expect(proposal).toMatchObject({ steps: [], name: '', comment: '' });
  });

  it('counts pending splits into the amounts, for the period that is shown alone', () => {
    const balances = {
      first: '2026-07',
      last: '2026-10',
      amounts: [['6010', 90, 90, 90]],
      splits: [['old', 5, 5, 5]],
    } satisfies BalancesAnswer;
    const seen = WorkspaceApiActions.splitsLoaded({ amounts: [['new', 7, 7, 7]] });
    const shown = WorkspaceApiActions.balancesLoaded({ balances });
    const idsOf = (state: WorkspaceState) =>
      workspaceFeature.selectAmounts({ workspace: state }).map(([id]) => id);
    expect(idsOf(after(loaded, shown, seen))).toEqual(['6010', 'old', 'new']);
    expect(idsOf(after(loaded, shown, seen, shown))).toEqual(['6010', 'old']);
  });

  it('says what was adopted: the revision, and how many accounts have their listed balance', () => {
    const adopted = (revision: number | null, posted: number) =>
      after(loaded, WorkspaceApiActions.adopted({ revision, posted })).notice;
    expect(adopted(4, 0)).toEqual({ type: 'adopted', revision: 4, posted: 0 });
    expect(adopted(null, 7)).toEqual({ type: 'adopted', revision: null, posted: 7 });
  });

  it('keeps the balances of a step through undo and redo', () => {
    const opening = { last: '2026-10', list: 'balances.csv', balances: [] };
    const step = { id: 'o', operations: [], opening };
    const undone = after(loaded, propose(step), WorkspaceActions.undoRequested());
    expect(undone.proposal.steps).toEqual([]);
    const redone = workspaceFeature.reducer(undone, WorkspaceActions.redoRequested());
    expect(redone.proposal.steps).toEqual([step]);
  });

  it('tells once what a newer starting chart left out', () => {
    const brought = WorkspaceActions.versionBrought({ name: 'Drinks makers', version: 2, left: 3 });
    const state = after(loaded, brought);
    expect(state.notice).toMatchObject({ type: 'brought', version: 2, left: 3 });
    expect(workspaceFeature.reducer(state, WorkspaceActions.noticeRead()).notice).toBeNull();
  });

  it('knows at once what a client turned out to be, and leaves another client alone', () => {
    const changed = { ...CLIENT, legalForm: 'corporation' as const };
    const same = after(loaded, WorkspaceApiActions.clientChanged({ client: changed }));
    expect(same.client?.legalForm).toBe('corporation');
    const other = WorkspaceApiActions.clientChanged({ client: { ...changed, id: 'c2' } });
    expect(after(loaded, other).client).toEqual(CLIENT);
  });

  it('undoes and redoes step by step', () => {
    const undone = after(loaded, propose(A), propose(B), WorkspaceActions.undoRequested());
    expect(undone.proposal.steps).toEqual([A]);
    const redone = workspaceFeature.reducer(undone, WorkspaceActions.redoRequested());
    expect(redone.proposal.steps).toEqual([A, B]);
  });

  it('forgets what was undone once something else is proposed', () => {
    const state = after(loaded, propose(A), WorkspaceActions.undoRequested(), propose(B));
    expect([state.proposal.steps, state.proposal.future]).toEqual([[B], []]);
  });

  it('takes back in one step that everything was discarded, its name too', () => {
    const start = openedWith([A]);
    const discarded = after(start, propose(B), WorkspaceActions.proposalDiscarded());
    expect([discarded.proposal.steps, discarded.proposal.name]).toEqual([[], '']);
    const back = workspaceFeature.reducer(discarded, WorkspaceActions.undoRequested());
    expect([back.proposal.steps, back.proposal.name]).toEqual([[A, B], 'Names said plainly']);
    const again = workspaceFeature.reducer(back, WorkspaceActions.redoRequested());
    expect([again.proposal.steps, again.proposal.name]).toEqual([[], '']);
  });

  it('brings back the one operation that was dropped, not the last one made', () => {
    const dropped = WorkspaceActions.operationDropped({ steps: [B] });
    const state = after(loaded, propose(A), propose(B), dropped, WorkspaceActions.undoRequested());
    expect(state.proposal.steps).toEqual([A, B]);
  });

  it('leaves a comment that was typed since as it is when an edit is undone', () => {
    const details = WorkspaceActions.detailsChanged({ name: 'Pay', comment: 'As said.' });
    const state = after(loaded, propose(A), details, WorkspaceActions.undoRequested());
    expect(state.proposal).toMatchObject({ steps: [], name: 'Pay', comment: 'As said.' });
  });

  it('undoes steps of an earlier visit one by one', () => {
    const undo = WorkspaceActions.undoRequested();
    expect(after(openedWith([A, B]), undo).proposal.steps).toEqual([A]);
    expect(after(openedWith([A, B]), undo, undo).proposal.steps).toEqual([]);
  });

  it('says that it is saved only once the newest edit is', () => {
    const saving = (...actions: readonly Action[]) =>
      workspaceFeature.selectSaving.projector(after(loaded, ...actions).proposal);
    const saved = WorkspaceApiActions.proposalSaved({ version: 1, edits: 1, steps: [A] });
    expect(saving(propose(A))).toBe('saving');
    expect(saving(propose(A), saved)).toBe('saved');
    expect(saving(propose(A), propose(B), saved)).toBe('saving');
    expect(
      saving(
        propose(A),
        WorkspaceApiActions.proposalSaveFailed({ problem: { code: 'unreachable' } }),
      ),
    ).toBe('failed');
  });

  it('keeps the period when the same client is opened again after adopting', () => {
    const period = { first: '2025-07', last: '2026-06' };
    const state = after(
      loaded,
      WorkspaceActions.periodChosen({ period }),
      WorkspaceActions.clientOpened({ clientId: 'c1' }),
      loaded,
    );
    expect(state.period).toEqual(period);
  });

  it('forgets another client’s chart before the new one comes', () => {
    const state = after(loaded, WorkspaceActions.clientOpened({ clientId: 'c2' }));
    expect([state.adopted, state.client, state.load.status]).toEqual([null, null, 'loading']);
  });
});

describe('what is sent of a proposal', () => {
  const sent = (...actions: readonly Action[]) => requestOf(after(...actions).proposal, 3);

  it('is what changed: the steps after those that the server has', () => {
    expect(sent(openedWith([A, B]), propose(C))).toMatchObject({ keeps: 2, steps: [C] });
    expect(sent(openedWith([A, B]), WorkspaceActions.undoRequested())).toMatchObject({
      keeps: 1,
      steps: [],
    });
    const dropped = WorkspaceActions.operationDropped({ steps: [B] });
    expect(sent(openedWith([A, B]), dropped)).toMatchObject({ keeps: 0, steps: [B] });
  });

  it('counts from what was saved, also when more was changed while it was on its way', () => {
    const saved = WorkspaceApiActions.proposalSaved({ version: 2, edits: 1, steps: [A] });
    const state = after(loaded, propose(A), propose(B), saved);
    expect(requestOf(state.proposal, 3)).toMatchObject({ version: 2, keeps: 1, steps: [B] });
    expect(workspaceFeature.selectSaving.projector(state.proposal)).toBe('saving');
  });

  it('is all of it where the server brought the proposal to a newer chart', () => {
    const chart = chartWith([A]);
    const moved = { ...chart, proposal: { ...chart.proposal, asKept: false } };
    const state = after(
      WorkspaceApiActions.benchLoaded({ client: CLIENT, chart: moved, kept: [] }),
    );
    expect(requestOf(state.proposal, 3)).toMatchObject({ keeps: 0, steps: [A] });
    expect(workspaceFeature.selectSaving.projector(state.proposal)).toBe('saving');
  });
});

describe('what the browser kept', () => {
  const keptOf = (...actions: readonly Action[]) => requestOf(after(...actions).proposal, 3);
  const opening = (chart: BenchChart, ...kept: ReturnType<typeof keptOf>[]) =>
    after(WorkspaceApiActions.benchLoaded({ client: CLIENT, chart, kept }));

  it('stands again as it was left, an undone step included, and is to be saved', () => {
    const kept = keptOf(openedWith([A, B]), WorkspaceActions.undoRequested(), propose(C));
    const { proposal, notice } = opening(chartWith([A, B]), kept);
    expect([proposal.steps, notice]).toEqual([[A, C], { type: 'broughtBack' }]);
    expect(workspaceFeature.selectSaving.projector(proposal)).toBe('saving');
  });

  it('stays without a name where everything was discarded before the server knew', () => {
    const kept = keptOf(openedWith([A]), WorkspaceActions.proposalDiscarded());
    const { proposal } = opening(chartWith([A]), kept);
    expect([proposal.steps, proposal.name]).toEqual([[], '']);
  });

  it('comes on top of what another window stored meanwhile', () => {
    const kept = keptOf(openedWith([A]), propose(C));
    expect(opening(chartWith([A, B], 2), kept).proposal.steps).toEqual([A, B, C]);
  });

  it('is not there twice where the server had taken it and only its answer was lost', () => {
    const kept = keptOf(openedWith([A]), propose(C));
    expect(opening(chartWith([A, C], 2), kept).proposal.steps).toEqual([A, C]);
  });

  it('of two windows is put together', () => {
    const one = keptOf(openedWith([A]), propose(B));
    const other = keptOf(openedWith([A]), propose(C));
    expect(broughtBack(chartWith([A]), [one, other]).steps).toEqual([A, B, C]);
  });

  it('does not overrule what this window has', () => {
    const state = after(openedWith([A]), propose(B));
    const again = WorkspaceApiActions.benchLoaded({
      client: CLIENT,
      chart: chartWith([A]),
      kept: [keptOf(openedWith([A]))],
    });
    expect(workspaceFeature.reducer(state, again).proposal.steps).toEqual([A, B]);
  });
});

describe('two windows on one proposal', () => {
  it('go on from the version that the other stored', () => {
    const overtaken = WorkspaceApiActions.proposalOvertaken({
      client: CLIENT,
      chart: chartWith([A, B], 5),
    });
    const { proposal } = after(openedWith([A]), propose(C), overtaken);
    expect(proposal.steps).toEqual([A, B, C]);
    expect(requestOf(proposal, 3)).toMatchObject({ version: 5, keeps: 2, steps: [C] });
  });

  it('bring both windows’ steps together, the stored ones first', () => {
    const merged = mergeSteps({ steps: [A, C], savedSteps: [A] }, chartWith([A, B], 2));
    expect([merged.steps, merged.conflicts]).toEqual([[A, B, C], []]);
  });

  it('do not bring back what the other window dropped', () => {
    expect(mergeSteps({ steps: [A], savedSteps: [A] }, chartWith([], 2)).steps).toEqual([]);
  });

  it('set aside what does not fit together', () => {
    const taken = rename('d', '6020', 'Pay');
    const merged = mergeSteps({ steps: [taken], savedSteps: [] }, chartWith([A], 2));
    expect(merged.steps).toEqual([A]);
    expect(merged.conflicts).toMatchObject([{ step: taken, refusal: { code: 'nameTaken' } }]);
  });
});
