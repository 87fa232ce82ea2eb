import type { Routes } from '@angular/router';

/** What the ledger is looked at by. */
export const LEDGER_ROUTES: Routes = [
  {
    path: 'journal',
    title: 'Journal · Iunctus',
    loadComponent: () => import('./pages/journal.page').then((m) => m.JournalPage),
  },
  { path: 'new', pathMatch: 'full', redirectTo: () => `typing/${crypto.randomUUID()}` },
  {
    path: 'typing/:draftId',
    title: 'Entry · Iunctus',
    loadComponent: () => import('./pages/typing.page').then((m) => m.TypingPage),
  },
  {
    path: 'entries/:entryId',
    title: 'Entry · Iunctus',
    loadComponent: () => import('./pages/entry.page').then((m) => m.EntryPage),
  },
  {
    path: 'register',
    title: 'Register · Iunctus',
    loadComponent: () => import('./pages/register.page').then((m) => m.RegisterPage),
  },
  {
    path: 'standing',
    title: 'Standing entries · Iunctus',
    loadComponent: () => import('./pages/standing.page').then((m) => m.StandingPage),
  },
  {
    path: 'openings',
    title: 'Opening balances · Iunctus',
    loadComponent: () => import('./pages/openings.page').then((m) => m.OpeningsPage),
  },
  {
    path: 'open-items',
    title: 'Open items · Iunctus',
    loadComponent: () => import('./pages/open-items.page').then((m) => m.OpenItemsPage),
  },
  {
    path: 'bring-in',
    title: 'Entries from a file · Iunctus',
    loadComponent: () => import('./pages/bring-in.page').then((m) => m.BringInPage),
  },
  {
    path: 'locks',
    title: 'Locks · Iunctus',
    loadComponent: () => import('./pages/locks.page').then((m) => m.LocksPage),
  },
  { path: '', pathMatch: 'full', redirectTo: 'journal' },
];
