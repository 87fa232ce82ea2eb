import { createActionGroup, props } from '@ngrx/store';
import type { RevisionAnswer } from '@iunctus/contract';
import type { ApiProblem } from '../../shared/api/problem';

export const HistoryPageActions = createActionGroup({
  source: 'History Page',
  events: { Opened: props<{ clientId: string }>() },
});

export const HistoryApiActions = createActionGroup({
  source: 'History API',
  events: {
    'Revisions Loaded': props<{ revisions: readonly RevisionAnswer[] }>(),
    'Revisions Load Failed': props<{ problem: ApiProblem }>(),
  },
});
