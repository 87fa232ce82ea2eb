import { createActionGroup, emptyProps, props } from '@ngrx/store';
import type { ClientAnswer, NewClientRequest } from '@iunctus/contract';
import type { ApiProblem } from '../../shared/api/problem';

export const ClientsPageActions = createActionGroup({
  source: 'Clients Page',
  events: {
    Opened: emptyProps(),
    'Addition Opened': emptyProps(),
    'Addition Closed': emptyProps(),
    'Addition Submitted': props<{ request: NewClientRequest }>(),
  },
});

export const ClientsApiActions = createActionGroup({
  source: 'Clients API',
  events: {
    'Clients Loaded': props<{ clients: readonly ClientAnswer[] }>(),
    'Clients Load Failed': props<{ problem: ApiProblem }>(),
    'Client Added': props<{ client: ClientAnswer }>(),
    'Client Addition Failed': props<{ problem: ApiProblem }>(),
  },
});
