import type { Routes } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState } from '@ngrx/store';
import * as historyEffects from './workspace/state/history.effects';
import { historyFeature } from './workspace/state/history.feature';
import * as openingEffects from './workspace/state/opening.effects';
import * as reviewEffects from './workspace/state/review.effects';
import * as savingEffects from './workspace/state/saving.effects';
import * as splitEffects from './workspace/state/split.effects';
import * as workspaceEffects from './workspace/state/workspace.effects';
import { workspaceFeature } from './workspace/state/workspace.feature';

/** The client that is open, with its state, and the places where it is worked on. */
export const WORKSPACE_ROUTES: Routes = [
  {
    path: '',
    providers: [
      provideState(workspaceFeature),
      provideState(historyFeature),
      provideEffects(
        workspaceEffects,
        openingEffects,
        savingEffects,
        splitEffects,
        reviewEffects,
        historyEffects,
      ),
    ],
    loadComponent: () => import('./workspace/pages/client.page').then((m) => m.ClientPage),
    children: [
      {
        path: 'front',
        title: 'Front page · Iunctus',
        loadComponent: () => import('./statements/pages/front.page').then((m) => m.FrontPage),
      },
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
        path: 'tidy',
        title: 'Tidy · Iunctus',
        loadComponent: () => import('./tidy/pages/tidy.page').then((m) => m.TidyPage),
      },
      {
        path: 'tidy/plan',
        title: 'The whole way · Iunctus',
        loadComponent: () => import('./tidy/pages/plan.page').then((m) => m.PlanPage),
      },
      {
        path: 'tidy/report',
        title: 'Tidied · Iunctus',
        loadComponent: () => import('./tidy/pages/report.page').then((m) => m.ReportPage),
      },
      {
        path: 'tidy/rules',
        title: 'What is looked for · Iunctus',
        loadComponent: () => import('./tidy/pages/rules.page').then((m) => m.RulesPage),
      },
      {
        path: 'tidy/months',
        title: 'Month by month · Iunctus',
        loadComponent: () => import('./tidy/pages/over-time.page').then((m) => m.OverTimePage),
      },
      {
        path: 'statements',
        title: 'Statements · Iunctus',
        loadComponent: () =>
          import('./statements/pages/statements.page').then((m) => m.StatementsPage),
        loadChildren: () =>
          import('./statements/statements.routes').then((m) => m.STATEMENTS_ROUTES),
      },
      {
        path: 'ledger',
        title: 'Ledger · Iunctus',
        loadComponent: () => import('./ledger/pages/ledger.page').then((m) => m.LedgerPage),
        loadChildren: () => import('./ledger/ledger.routes').then((m) => m.LEDGER_ROUTES),
      },
      {
        path: 'routes',
        title: 'Routes · Iunctus',
        loadComponent: () => import('./routes/pages/routes.page').then((m) => m.RoutesPage),
        loadChildren: () => import('./routes/routes.routes').then((m) => m.ROUTES_ROUTES),
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
];
