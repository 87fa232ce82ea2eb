import { createActionGroup, emptyProps, props } from '@ngrx/store';
import type { SessionAnswer, SignInRequest, WelcomeRequest } from '@iunctus/contract';
import type { ApiProblem } from '../../shared/api/problem';

export const SessionPageActions = createActionGroup({
  source: 'Session Page',
  events: {
    'Sign In Submitted': props<{ request: SignInRequest }>(),
    'Sign Out Requested': emptyProps(),
    'Invitation Taken Up': props<{ request: WelcomeRequest }>(),
  },
});

export const SessionApiActions = createActionGroup({
  source: 'Session API',
  events: {
    'Session Found': props<{ session: SessionAnswer }>(),
    'Signed In': props<{ session: SessionAnswer }>(),
    'Sign In Failed': props<{ problem: ApiProblem }>(),
    'Signed Out': emptyProps(),
    /** The server knows the session no more: it ended elsewhere, or of itself. */
    'Session Lost': emptyProps(),
  },
});
