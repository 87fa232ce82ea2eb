import type { BenchChart, ClientAnswer } from '@iunctus/contract';
import { recordsOf, type Chart } from '@iunctus/core';

/** A client as the server tells of one. */
export const aClient = (more: Partial<ClientAnswer> = {}): ClientAnswer => ({
  id: '0b0e7c4e-7d38-4a52-9a6c-9f53c0ffee01',
  name: 'Kestrel Lane Cider Works',
  legalForm: 'partnership',
  industry: 'drinksMaker',
  country: 'US',
  currency: 'USD',
  fiscalYearStart: 7,
  chart: null,
  pending: 0,
  toReview: 0,
  latestMonth: '2026-10',
  putAwayAt: null,
  ...more,
});

/** A client's chart as it is opened, with a proposal. */
export const aBench = (
  chart: Chart,
  proposal: Partial<BenchChart['proposal']> = {},
): BenchChart => ({
  revision: 3,
  settings: chart.settings,
  accounts: [...recordsOf(chart)],
  posted: [],
  merged: [],
  splits: [],
  usedValues: [],
  former: [],
  proposal: {
    version: 1,
    baseRevision: 3,
    steps: [],
    conflicts: [],
    asKept: true,
    name: '',
    comment: '',
    state: 'draft',
    reviewer: null,
    remarks: [],
    ...proposal,
  },
  waiting: [],
});
