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
    title: 'Clients · Iunctus',
    loadComponent: () =>
      import('./clients/pages/clients-frame.page').then((m) => m.ClientsFramePage),
  },
  {
    path: 'starting-charts',
    canActivate: [workGuard],
    title: 'Starting charts · Iunctus',
    loadComponent: () => import('./clients/pages/kept-charts.page').then((m) => m.KeptChartsPage),
  },
  {
    path: 'clients/:clientId',
    canActivate: [workGuard],
    loadComponent: () => import('./workspace/pages/client.page').then((m) => m.ClientPage),
    children: [
      {
        path: 'chart',
        title: 'Chart · Iunctus',
        loadComponent: () => import('./bench/pages/bench.page').then((m) => m.BenchPage),
      },
      {
        path: 'numbers',
        title: 'Numbers · Iunctus',
        loadComponent: () => import('./numbers/pages/numbers.page').then((m) => m.NumbersPage),
      },
      {
        path: 'outline',
        title: 'Outline · Iunctus',
        loadComponent: () => import('./outline/pages/outline.page').then((m) => m.OutlinePage),
      },
      {
        path: 'start',
        title: 'Start a chart · Iunctus',
        loadComponent: () => import('./clients/pages/start.page').then((m) => m.StartPage),
      },
      {
        path: 'history',
        title: 'History · Iunctus',
        loadComponent: () => import('./history/pages/history.page').then((m) => m.HistoryPage),
      },
      {
        path: 'exchange',
        title: 'Exchange · Iunctus',
        loadComponent: () => import('./exchange/pages/exchange.page').then((m) => m.ExchangePage),
      },
      {
        path: 'import',
        title: 'Bring a list in · Iunctus',
        loadComponent: () => import('./importing/pages/import.page').then((m) => m.ImportPage),
      },
      {
        path: 'proposal',
        title: 'Proposal · Iunctus',
        loadComponent: () => import('./proposals/pages/proposal.page').then((m) => m.ProposalPage),
      },
      {
        path: 'review/:authorId',
        title: 'Review · Iunctus',
        loadComponent: () => import('./proposals/pages/proposal.page').then((m) => m.ProposalPage),
      },
      {
        path: 'compare',
        title: 'What differs · Iunctus',
        loadComponent: () => import('./history/pages/compare.page').then((m) => m.ComparePage),
      },
      { path: '', pathMatch: 'full', redirectTo: 'chart' },
    ],
  },
  { path: '**', redirectTo: 'clients' },
];
