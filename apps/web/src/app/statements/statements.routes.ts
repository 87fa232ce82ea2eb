import type { Routes } from '@angular/router';

/** The statements, each under its own address. */
export const STATEMENTS_ROUTES: Routes = [
  {
    path: 'packet',
    title: 'A packet of statements · Iunctus',
    loadComponent: () => import('./pages/packet.page').then((m) => m.PacketPage),
  },
  {
    path: 'budget',
    title: 'Budget · Iunctus',
    loadComponent: () => import('./pages/budget.page').then((m) => m.BudgetPage),
  },
  {
    path: 'own/:layoutId',
    title: 'Own layout · Iunctus',
    loadComponent: () => import('./pages/own.page').then((m) => m.OwnPage),
  },
  {
    path: ':sheet',
    loadComponent: () => import('./pages/sheet.page').then((m) => m.SheetPage),
  },
  { path: '', pathMatch: 'full', redirectTo: 'profitAndLoss' },
];
