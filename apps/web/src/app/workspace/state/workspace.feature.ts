import { createFeature, createReducer, createSelector, on } from '@ngrx/store';
import type {
  BalancesAnswer,
  BenchChart,
  ClientAnswer,
  FormerTitle,
  Person,
  ProposalAnswer,
  Remark,
  Waiting,
} from '@iunctus/contract';
import {
  type AmountsTuple,
  namedPeriod,
  type BookedChartRecord,
  type Conflict,
  type PendingOpening,
  type Period,
  type ProposalStep,
} from '@iunctus/core';
import type { ApiProblem } from '../../shared/api/problem';
import { WorkspaceApiActions, WorkspaceActions } from './workspace.actions';
import type { Notice } from './notice';
import { mergeSteps } from './merge-steps';

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

/** The proposal as it stands in this window. */
export interface ProposalState {
  readonly version: number;
  readonly steps: readonly ProposalStep[];
  readonly undone: readonly ProposalStep[];
  readonly conflicts: readonly Conflict[];
  /** What its author calls it, and says of it. */
  readonly name: string;
  readonly comment: string;
  readonly state: ProposalAnswer['state'];
  readonly reviewer: Person | null;
  readonly remarks: readonly Remark[];
  /** Ids of the steps that the server has. */
  readonly savedIds: readonly string[];
  /** Counts edits, to tell whether the last save was of the newest state. */
  readonly edits: number;
  readonly savedEdits: number;
  readonly saveProblem: ApiProblem | null;
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

const EMPTY: ProposalState = {
  version: 0,
  steps: [],
  undone: [],
  conflicts: [],
  name: '',
  comment: '',
  state: 'draft',
  reviewer: null,
  remarks: [],
  savedIds: [],
  edits: 0,
  savedEdits: 0,
  saveProblem: null,
};

const initial: WorkspaceState = {
  load: { status: 'idle' },
  clientId: null,
  client: null,
  adopted: null,
  proposal: EMPTY,
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

/** With other steps it is a draft again, whoever had it for review. */
const edited = (proposal: ProposalState, change: Partial<ProposalState>): ProposalState => ({
  ...proposal,
  ...(change.steps === undefined ? {} : { state: 'draft', reviewer: null }),
  ...change,
  edits: proposal.edits + 1,
});

const opened = (
  state: WorkspaceState,
  client: ClientAnswer,
  chart: BenchChart,
): WorkspaceState => ({
  ...state,
  load: { status: 'ready' },
  clientId: client.id,
  client,
  adopted: adoptedOf(chart),
  period: state.client?.id === client.id && state.period ? state.period : periodOf(client),
  adopting: false,
  waiting: chart.waiting,
  proposal: {
    ...EMPTY,
    version: chart.proposal.version,
    steps: chart.proposal.steps,
    conflicts: chart.proposal.conflicts,
    name: chart.proposal.name,
    comment: chart.proposal.comment,
    state: chart.proposal.state,
    reviewer: chart.proposal.reviewer,
    remarks: chart.proposal.remarks,
    savedIds: chart.proposal.steps.map(({ id }) => id),
  },
});

export const workspaceFeature = createFeature({
  name: 'workspace',
  reducer: createReducer(
    initial,
    on(WorkspaceActions.clientOpened, (state, { clientId }) => ({
      ...(state.clientId === clientId ? state : initial),
      clientId,
      load: { status: 'loading' } as const,
    })),
    on(WorkspaceApiActions.benchLoaded, (state, { client, chart }) => opened(state, client, chart)),
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
      proposal: edited(state.proposal, { steps: [...state.proposal.steps, step], undone: [] }),
    })),
    on(WorkspaceActions.undoRequested, (state) => {
      const last = state.proposal.steps.at(-1);
      if (last === undefined) return state;
      const { steps, undone } = state.proposal;
      const change = { steps: steps.slice(0, -1), undone: [...undone, last] };
      return { ...state, proposal: edited(state.proposal, change) };
    }),
    on(WorkspaceActions.redoRequested, (state) => {
      const last = state.proposal.undone.at(-1);
      if (last === undefined) return state;
      const { steps, undone } = state.proposal;
      const change = { steps: [...steps, last], undone: undone.slice(0, -1) };
      return { ...state, proposal: edited(state.proposal, change) };
    }),
    on(WorkspaceActions.operationDropped, (state, { steps }) => ({
      ...state,
      proposal: edited(state.proposal, { steps, undone: [] }),
    })),
    on(WorkspaceActions.proposalDiscarded, (state) => ({
      ...state,
      proposal: edited(state.proposal, {
        steps: [],
        undone: [...state.proposal.steps].reverse(),
        conflicts: [],
        name: '',
        comment: '',
      }),
    })),
    on(WorkspaceActions.detailsChanged, (state, { name, comment }) => ({
      ...state,
      proposal: edited(state.proposal, { name, comment }),
    })),
    on(WorkspaceActions.conflictDismissed, (state, { stepId }) => ({
      ...state,
      proposal: edited(state.proposal, {
        conflicts: state.proposal.conflicts.filter(({ step }) => step.id !== stepId),
      }),
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
    on(WorkspaceApiActions.proposalSaved, (state, { version, edits }) => ({
      ...state,
      proposal: {
        ...state.proposal,
        version,
        savedEdits: edits,
        savedIds: state.proposal.steps.map(({ id }) => id),
        saveProblem: null,
      },
    })),
    on(WorkspaceApiActions.proposalSaveFailed, (state, { problem }) => ({
      ...state,
      proposal: { ...state.proposal, saveProblem: problem },
    })),
    on(WorkspaceApiActions.proposalOvertaken, (state, { client, chart }) => ({
      ...state,
      adopted: adoptedOf(chart),
      client,
      notice: { type: 'merged' } as const,
      proposal: edited(state.proposal, mergeSteps(state.proposal, chart)),
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
          : edited(state.proposal, { steps: [...state.proposal.steps, step], undone: [] }),
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
    selectSaving: createSelector(selectProposal, ({ edits, savedEdits, saveProblem }) =>
      saveProblem !== null ? 'failed' : edits === savedEdits ? 'saved' : 'saving',
    ),
    selectRevision: createSelector(selectAdopted, (adopted) => adopted?.revision ?? 0),
  }),
});
