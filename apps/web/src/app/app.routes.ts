import type { Routes } from '@angular/router';
import { signedInGuard, workGuard } from './session/state/session.guard';

export const ROUTES: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'clients' },
  {
    path: 'sign-in',
    title: 'Sign in · Iunctus',
    loadComponent: () => import('./session/pages/sign-in.page').then((m) => m.SignInPage),
  },
  {
    path: 'welcome',
    title: 'Welcome · Iunctus',
    loadComponent: () => import('./session/pages/welcome.page').then((m) => m.WelcomePage),
  },
  {
    path: 'account',
    canActivate: [signedInGuard],
    title: 'Your access · Iunctus',
    loadComponent: () => import('./session/pages/own-access.page').then((m) => m.OwnAccessPage),
  },
  {
    path: 'people',
    canActivate: [workGuard],
    title: 'People · Iunctus',
    loadComponent: () => import('./people/pages/people.page').then((m) => m.PeoplePage),
  },
  {
    path: 'look/:clientId',
    canActivate: [signedInGuard],
    title: 'The business at a glance · Iunctus',
    loadComponent: () => import('./look/pages/look.page').then((m) => m.LookPage),
  },
  {
    path: 'clients',
    canActivate: [workGuard],
    loadChildren: () => import('./clients.routes').then((m) => m.CLIENTS_ROUTES),
  },
  {
    path: 'starting-charts',
    canActivate: [workGuard],
    title: 'Starting charts · Iunctus',
    loadComponent: () => import('./clients/pages/kept-charts.page').then((m) => m.KeptChartsPage),
  },
  { path: '**', redirectTo: 'clients' },
];
