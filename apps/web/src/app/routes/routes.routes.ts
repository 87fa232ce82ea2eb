import type { Routes } from '@angular/router';

/** What the routes are looked at by. */
export const ROUTES_ROUTES: Routes = [
  {
    path: 'defaults',
    title: 'Default accounts · Iunctus',
    loadComponent: () => import('./pages/defaults.page').then((m) => m.DefaultsPage),
  },
  {
    path: 'rules',
    title: 'Word rules · Iunctus',
    loadComponent: () => import('./pages/rules.page').then((m) => m.RulesPage),
  },
  {
    path: 'lines',
    title: 'Bank lines · Iunctus',
    loadComponent: () => import('./pages/lines.page').then((m) => m.LinesPage),
  },
  {
    path: 'payouts',
    title: 'Payouts · Iunctus',
    loadComponent: () => import('./pages/payouts.page').then((m) => m.PayoutsPage),
  },
  {
    path: 'proofs',
    title: 'Proofs · Iunctus',
    loadComponent: () => import('./pages/proofs.page').then((m) => m.ProofsPage),
  },
  {
    path: 'trace',
    title: 'Trace · Iunctus',
    loadComponent: () => import('./pages/trace.page').then((m) => m.TracePage),
  },
  { path: '', pathMatch: 'full', redirectTo: 'defaults' },
];
