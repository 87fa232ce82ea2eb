import type { SectionCode } from '../kinds/caption';

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
