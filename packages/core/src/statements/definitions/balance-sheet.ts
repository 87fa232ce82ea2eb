import type { LayoutPart } from '../layout';

/** The classified balance sheet. Order of the sections: common practice, within IAS 1.54 (from memory). */
export const BALANCE_SHEET: readonly LayoutPart[] = [
  { type: 'group', code: 'assets' },
  { type: 'section', code: 'currentAssets', shows: 'debit' },
  { type: 'section', code: 'nonCurrentAssets', shows: 'debit' },
  {
    type: 'total',
    code: 'totalAssets',
    of: ['currentAssets', 'nonCurrentAssets'],
    shows: 'debit',
    final: true,
  },
  { type: 'group', code: 'liabilities' },
  { type: 'section', code: 'currentLiabilities', shows: 'credit' },
  { type: 'section', code: 'nonCurrentLiabilities', shows: 'credit' },
  {
    type: 'total',
    code: 'totalLiabilities',
    of: ['currentLiabilities', 'nonCurrentLiabilities'],
    shows: 'credit',
  },
  { type: 'section', code: 'equity', shows: 'credit' },
  {
    type: 'total',
    code: 'totalLiabilitiesAndEquity',
    of: ['currentLiabilities', 'nonCurrentLiabilities', 'equity'],
    shows: 'credit',
    final: true,
  },
];
