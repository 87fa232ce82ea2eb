import type { SectionCode, StatementCode } from '../kinds/caption';

/** The totals that the standard layouts compute. */
export type TotalCode =
  | 'totalAssets'
  | 'totalLiabilities'
  | 'totalEquity'
  | 'totalLiabilitiesAndEquity'
  | 'grossProfit'
  | 'operatingProfit'
  | 'profitBeforeTax'
  | 'netProfit';

/** The headings over several sections. */
export type GroupCode = 'assets' | 'liabilities';

/** One part of a layout, from top to bottom. */
export type LayoutPart =
  | { readonly type: 'group'; readonly code: GroupCode }
  | {
      readonly type: 'section';
      readonly code: SectionCode;
      /** The side that is shown as positive. */
      readonly shows: 'debit' | 'credit';
    }
  | {
      readonly type: 'total';
      readonly code: TotalCode;
      readonly of: readonly SectionCode[];
      readonly shows: 'debit' | 'credit';
      readonly final?: true;
      /** Left out when it would repeat the total above it. */
      readonly optional?: true;
    };

const PROFIT: readonly SectionCode[] = ['revenue', 'costOfSales'];
const OPERATING: readonly SectionCode[] = [...PROFIT, 'operatingExpenses'];
const BEFORE_TAX: readonly SectionCode[] = [...OPERATING, 'otherIncomeAndCosts'];

const PROFIT_AND_LOSS: readonly LayoutPart[] = [
  { type: 'section', code: 'revenue', shows: 'credit' },
  { type: 'section', code: 'costOfSales', shows: 'debit' },
  { type: 'total', code: 'grossProfit', of: PROFIT, shows: 'credit', optional: true },
  { type: 'section', code: 'operatingExpenses', shows: 'debit' },
  { type: 'total', code: 'operatingProfit', of: OPERATING, shows: 'credit', optional: true },
  { type: 'section', code: 'otherIncomeAndCosts', shows: 'credit' },
  { type: 'total', code: 'profitBeforeTax', of: BEFORE_TAX, shows: 'credit', optional: true },
  { type: 'section', code: 'incomeTax', shows: 'debit' },
  {
    type: 'total',
    code: 'netProfit',
    of: [...BEFORE_TAX, 'incomeTax'],
    shows: 'credit',
    final: true,
  },
];

const BALANCE_SHEET: readonly LayoutPart[] = [
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

/** The standard layouts. Order of the sections: common practice, within IAS 1.54 and 1.82. */
export const STANDARD_LAYOUTS: Readonly<Record<StatementCode, readonly LayoutPart[]>> = {
  profitAndLoss: PROFIT_AND_LOSS,
  balanceSheet: BALANCE_SHEET,
};
