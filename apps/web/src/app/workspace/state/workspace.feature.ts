import { createFeature, createReducer, createSelector, on } from '@ngrx/store';
import type {
  BalancesAnswer,
  BenchChart,
  ClientAnswer,
  FormerTitle,
  SaveProposalRequest,
  Waiting,
} from '@iunctus/contract';
import {
  type AmountsTuple,
  namedPeriod,
  type BookedChartRecord,
  type PendingOpening,
  type Period,
} from '@iunctus/core';
import { SessionApiActions } from '../../session/state/session.actions';
import type { ApiProblem } from '../../shared/api/problem';
import { WorkspaceApiActions, WorkspaceActions } from './workspace.actions';
import type { Notice } from './notice';
import { broughtBack, mergeSteps, requestOf } from './kept-proposal';
import {
  changed,
  described,
  isSaved,
  joined,
  NO_PROPOSAL,
  received,
  redone,
  saved,
  undone,
  type ProposalState,
} from './proposal-state';

/** How far the bench has come. `noChart` is an ordinary state: the client has none yet. */
export type BenchLoad =
  | { readonly status: 'idle' | 'loading' | 'ready' | 'noChart' }
  | { readonly status: 'failed'; readonly problem: ApiProblem };

/** The chart as adopted. One object per revision, so that what is computed from it is kept. */
export interface AdoptedChart {
  readonly revision: number;
  readonly chart: BookedChartRecord;
  readonly former: readonly FormerTitle[];
}

export interface WorkspaceState {
  readonly load: BenchLoad;
  readonly clientId: string | null;
  readonly client: ClientAnswer | null;
  readonly adopted: AdoptedChart | null;
  readonly proposal: ProposalState;
  /** Colleagues' proposals that wait for the viewer's word. */
  readonly waiting: readonly Waiting[];
  readonly period: Period | null;
  readonly balances: BalancesAnswer | null;
  /** What pending splits come to in the period that is shown. */
  readonly splitAmounts: readonly AmountsTuple[];
  /** The balances that the proposal brings along, with the books at their time as far as they are fetched. */
  readonly openings: readonly PendingOpening[];
  readonly adopting: boolean;
  readonly notice: Notice | null;
}

const initial: WorkspaceState = {
  load: { status: 'idle' },
  clientId: null,
  client: null,
  adopted: null,
  proposal: NO_PROPOSAL,
  waiting: [],
  period: null,
  balances: null,
  splitAmounts: [],
  openings: [],
  adopting: false,
  notice: null,
};

const adoptedOf = ({ revision, former, ...bench }: BenchChart): AdoptedChart => {
  const { proposal: _proposal, waiting: _waiting, ...chart } = bench;
  return { revision, chart, former };
};

const periodOf = (client: ClientAnswer): Period => {
  const latest = client.latestMonth ?? new Date().toISOString().slice(0, 7);
  return namedPeriod('yearToDate', latest, client.fiscalYearStart);
};

/** This window's proposal on top of the one that another window stored meanwhile. */
const overtakenBy = (own: ProposalState, chart: BenchChart): ProposalState => {
  const { version, asKept, steps } = chart.proposal;
  const { name, comment } = own;
  const stored = { ...own, version, savedSteps: asKept ? steps : [] };
  return joined(stored, { name, comment, ...mergeSteps(own, chart) });
};

interface Opening {
  readonly client: ClientAnswer;
  readonly chart: BenchChart;
  /** What this browser kept of the proposal. */
  readonly kept: readonly SaveProposalRequest[];
}

/** What is not with the server: as this window has it, or else as the browser kept it. */
const unsavedOf = (state: WorkspaceState, { client, kept }: Opening): Opening['kept'] =>
  state.adopted === null || state.client?.id !== client.id
    ? kept
    : isSaved(state.proposal)
      ? []
      : [requestOf(state.proposal, state.adopted.revision)];

const opened = (state: WorkspaceState, opening: Opening): WorkspaceState => {
  const { client, chart } = opening;
  const unsaved = unsavedOf(state, opening);
  const proposal = received(chart.proposal);
  return {
    ...state,
    load: { status: 'ready' },
    clientId: client.id,
    client,
    adopted: adoptedOf(chart),
    period: state.client?.id === client.id && state.period ? state.period : periodOf(client),
    adopting: false,
    waiting: chart.waiting,
    proposal: unsaved.length === 0 ? proposal : joined(proposal, broughtBack(chart, unsaved)),
    notice: unsaved === opening.kept && unsaved.length > 0 ? { type: 'broughtBack' } : state.notice,
  };
};

/** The chart with more accounts that have postings; the same one where they had some before. */
const withPosted = (adopted: AdoptedChart, accounts: readonly string[]): AdoptedChart => {
  const posted = new Set([...adopted.chart.posted, ...accounts]);
  return posted.size === adopted.chart.posted.length
    ? adopted
    : { ...adopted, chart: { ...adopted.chart, posted: [...posted] } };
};

export const workspaceFeature = createFeature({
  name: 'workspace',
  reducer: createReducer(
    initial,
    on(WorkspaceActions.clientOpened, (state, { clientId }) => ({
      ...(state.clientId === clientId ? state : initial),
      clientId,
      load: { status: 'loading' } as const,
    })),
    on(SessionApiActions.signedOut, SessionApiActions.sessionLost, () => initial),
    on(WorkspaceApiActions.benchLoaded, (state, opening) => opened(state, opening)),
    on(WorkspaceApiActions.chartMissing, (state, { client }) => ({
      ...state,
      client,
      load: { status: 'noChart' } as const,
    })),
    on(WorkspaceApiActions.benchLoadFailed, (state, { problem }) => ({
      ...state,
      load: { status: 'failed', problem } as const,
    })),
    on(WorkspaceApiActions.clientChanged, (state, { client }) =>
      state.clientId === client.id ? { ...state, client } : state,
    ),
    on(WorkspaceActions.chartBegun, (state) => ({
      ...state,
      load: { status: 'loading' } as const,
    })),
    on(WorkspaceActions.stepProposed, (state, { step }) => ({
      ...state,
      proposal: changed(state.proposal, { steps: [...state.proposal.steps, step] }),
    })),
    on(WorkspaceActions.undoRequested, (state) => ({ ...state, proposal: undone(state.proposal) })),
    on(WorkspaceActions.redoRequested, (state) => ({ ...state, proposal: redone(state.proposal) })),
    on(WorkspaceActions.operationDropped, (state, { steps }) => ({
      ...state,
      proposal: changed(state.proposal, { steps }),
    })),
    on(WorkspaceActions.proposalDiscarded, (state) => ({
      ...state,
      proposal: changed(state.proposal, { steps: [], conflicts: [], name: '', comment: '' }),
    })),
    on(WorkspaceActions.detailsChanged, (state, details) => ({
      ...state,
      proposal: described(state.proposal, details),
    })),
    on(WorkspaceActions.conflictSettled, (state, { stepId, step }) => ({
      ...state,
      proposal: changed(state.proposal, {
        conflicts: state.proposal.conflicts.filter((one) => one.step.id !== stepId),
        ...(step === null ? {} : { steps: [...state.proposal.steps, step] }),
      }),
    })),
    on(WorkspaceActions.booksChanged, (state, { accounts }) => ({
      ...state,
      adopted: state.adopted === null ? null : withPosted(state.adopted, accounts),
    })),
    on(WorkspaceActions.periodChosen, (state, { period }) => ({ ...state, period })),
    on(WorkspaceApiActions.balancesLoaded, (state, { balances }) => ({
      ...state,
      balances,
      splitAmounts: [],
    })),
    on(WorkspaceApiActions.splitsLoaded, (state, { amounts }) => ({
      ...state,
      splitAmounts: amounts,
    })),
    on(WorkspaceApiActions.openingsLoaded, (state, { openings }) => ({ ...state, openings })),
    on(
      WorkspaceApiActions.balancesLoadFailed,
      WorkspaceApiActions.clientChangeFailed,
      WorkspaceApiActions.reviewRequestFailed,
      (state, { problem }) => ({
        ...state,
        notice: { type: 'problem', problem } as const,
      }),
    ),
    on(WorkspaceApiActions.proposalSaved, (state, answer) => ({
      ...state,
      proposal: saved(state.proposal, answer),
    })),
    on(WorkspaceApiActions.proposalSaveFailed, (state, { problem }) => ({
      ...state,
      proposal: { ...state.proposal, saveProblem: problem },
    })),
    on(WorkspaceApiActions.saveDueAgain, (state) => ({
      ...state,
      proposal: { ...state.proposal, saveProblem: null },
    })),
    on(WorkspaceApiActions.proposalOvertaken, (state, { client, chart }) => ({
      ...state,
      adopted: adoptedOf(chart),
      client,
      notice: { type: 'merged' } as const,
      proposal: overtakenBy(state.proposal, chart),
    })),
    on(WorkspaceActions.adoptRequested, (state) => ({ ...state, adopting: true })),
    on(WorkspaceApiActions.adopted, (state, { revision, posted }) => ({
      ...state,
      notice: {
        type: 'adopted',
        revision,
        posted,
      } as const,
    })),
    on(WorkspaceApiActions.adoptFailed, (state, { problem }) => ({
      ...state,
      adopting: false,
      notice: { type: 'problem', problem } as const,
    })),
    on(WorkspaceApiActions.takeBackPrepared, (state, { revision, whole, step, left }) => ({
      ...state,
      notice: { type: 'takenBack', revision, whole, left } as const,
      proposal:
        step === null
          ? state.proposal
          : changed(state.proposal, { steps: [...state.proposal.steps, step] }),
    })),
    on(WorkspaceActions.versionBrought, (state, { name, version, left }) => ({
      ...state,
      notice: { type: 'brought', name, version, left } as const,
    })),
    on(WorkspaceActions.noticeRead, (state) => ({ ...state, notice: null })),
    on(WorkspaceActions.changeRefused, (state) => ({
      ...state,
      notice: { type: 'readOnly' } as const,
    })),
  ),
  extraSelectors: ({ selectProposal, selectAdopted, selectBalances, selectSplitAmounts }) => ({
    /** The amounts of accounts and of splits, adopted and pending, as one ledger. */
    selectAmounts: createSelector(selectBalances, selectSplitAmounts, (balances, pending) =>
      balances === null ? [] : [...balances.amounts, ...balances.splits, ...pending],
    ),
    selectSteps: createSelector(selectProposal, ({ steps }) => steps),
    selectSaving: createSelector(selectProposal, (proposal) =>
      proposal.saveProblem !== null ? 'failed' : isSaved(proposal) ? 'saved' : 'saving',
    ),
    selectRevision: createSelector(selectAdopted, (adopted) => adopted?.revision ?? 0),
  }),
});
