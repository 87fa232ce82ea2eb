import { createActionGroup, emptyProps, props } from '@ngrx/store';
import type {
  BalancesAnswer,
  BenchChart,
  ClientAnswer,
  ClientNature,
  SaveProposalRequest,
} from '@iunctus/contract';
import type { AmountsTuple, PendingOpening, Period, ProposalStep } from '@iunctus/core';
import type { ApiProblem } from '../../shared/api/problem';

export const WorkspaceActions = createActionGroup({
  source: 'Workspace',
  events: {
    'Client Opened': props<{ clientId: string }>(),
    'Chart Begun': props<{ clientId: string; steps: readonly ProposalStep[] }>(),
    'Nature Chosen': props<{ clientId: string; nature: ClientNature }>(),
    'Step Proposed': props<{ step: ProposalStep }>(),
    'Undo Requested': emptyProps(),
    'Redo Requested': emptyProps(),
    'Operation Dropped': props<{ steps: readonly ProposalStep[] }>(),
    'Proposal Discarded': emptyProps(),
    /** What was set aside is let go, or, as a step of its own, stands again. */
    'Conflict Settled': props<{ stepId: string; step: ProposalStep | null }>(),
    'Details Changed': props<{ name: string; comment: string }>(),
    'Hand Over Requested': props<{ reviewerId: string }>(),
    'Withdrawal Requested': emptyProps(),
    'Period Chosen': props<{ period: Period }>(),
    /** Something was posted to these accounts. */
    'Books Changed': props<{ accounts: readonly string[] }>(),
    'Adopt Requested': emptyProps(),
    'Take Back Requested': props<{ revision: number }>(),
    'Restore Requested': props<{ revision: number }>(),
    'Version Brought': props<{ name: string; version: number; left: number }>(),
    'Notice Read': emptyProps(),
    'Change Refused': emptyProps(),
  },
});

export const WorkspaceApiActions = createActionGroup({
  source: 'Workspace API',
  events: {
    'Bench Loaded': props<{
      client: ClientAnswer;
      chart: BenchChart;
      kept: readonly SaveProposalRequest[];
    }>(),
    'Client Changed': props<{ client: ClientAnswer }>(),
    'Client Change Failed': props<{ problem: ApiProblem }>(),
    'Chart Missing': props<{ client: ClientAnswer }>(),
    'Bench Load Failed': props<{ problem: ApiProblem }>(),
    'Balances Loaded': props<{ balances: BalancesAnswer }>(),
    'Splits Loaded': props<{ amounts: readonly AmountsTuple[] }>(),
    'Openings Loaded': props<{ openings: readonly PendingOpening[] }>(),
    'Balances Load Failed': props<{ problem: ApiProblem }>(),
    'Proposal Saved': props<{ version: number; edits: number; steps: readonly ProposalStep[] }>(),
    'Save Due Again': emptyProps(),
    'Proposal Save Failed': props<{ problem: ApiProblem }>(),
    'Proposal Overtaken': props<{ client: ClientAnswer; chart: BenchChart }>(),
    'Review Request Failed': props<{ problem: ApiProblem }>(),
    Adopted: props<{ revision: number | null; posted: number }>(),
    'Adopt Failed': props<{ problem: ApiProblem }>(),
    'Take Back Prepared': props<{
      revision: number;
      whole: boolean;
      step: ProposalStep | null;
      left: number;
    }>(),
  },
});
