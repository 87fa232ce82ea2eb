import type { Routes } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState } from '@ngrx/store';
import * as clientsEffects from './clients/state/clients.effects';
import { clientsFeature } from './clients/state/clients.feature';

/** The clients of the practice, and one of them that is open. */
export const CLIENTS_ROUTES: Routes = [
  {
    path: '',
    providers: [provideState(clientsFeature), provideEffects(clientsEffects)],
    children: [
      {
        path: '',
        pathMatch: 'full',
        title: 'Clients · Iunctus',
        loadComponent: () =>
          import('./clients/pages/clients-frame.page').then((m) => m.ClientsFramePage),
      },
      {
        path: ':clientId',
        loadChildren: () => import('./workspace.routes').then((m) => m.WORKSPACE_ROUTES),
      },
    ],
  },
];
