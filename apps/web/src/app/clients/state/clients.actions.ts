import { createActionGroup, emptyProps, props } from '@ngrx/store';
import type { ClientAnswer, ClientChange, NewClientRequest } from '@iunctus/contract';
import type { ApiProblem } from '../../shared/api/problem';

export const ClientsPageActions = createActionGroup({
  source: 'Clients Page',
  events: {
    Opened: emptyProps(),
    /** For a new client where none is named. */
    'Form Opened': props<{ clientId: string | null }>(),
    'Form Closed': emptyProps(),
    'Addition Submitted': props<{ request: NewClientRequest }>(),
    'Change Submitted': props<{ clientId: string; request: ClientChange }>(),
    'Put Away Requested': props<{ clientId: string }>(),
    'Bring Back Requested': props<{ clientId: string }>(),
  },
});

export const ClientsApiActions = createActionGroup({
  source: 'Clients API',
  events: {
    'Clients Loaded': props<{ clients: readonly ClientAnswer[] }>(),
    'Clients Load Failed': props<{ problem: ApiProblem }>(),
    'Client Added': props<{ client: ClientAnswer }>(),
    'Client Changed': props<{ client: ClientAnswer }>(),
    'Client Change Failed': props<{ problem: ApiProblem }>(),
  },
});
