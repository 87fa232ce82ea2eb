import type { Routes } from '@angular/router';

/** The statements, each under its own address. */
export const STATEMENTS_ROUTES: Routes = [
  {
    path: ':sheet',
    loadComponent: () => import('./pages/sheet.page').then((m) => m.SheetPage),
  },
  { path: '', pathMatch: 'full', redirectTo: 'profitAndLoss' },
];
