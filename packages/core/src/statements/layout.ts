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

/** What the sections, totals and headings of a statement are called by. */
export interface Codes {
  readonly section: string;
  readonly total: string;
  readonly group: string;
}

/** Those of the balance sheet and the profit and loss. */
export interface StandardCodes extends Codes {
  readonly section: SectionCode;
  readonly total: TotalCode;
  readonly group: GroupCode;
}

/** One part of a layout, from top to bottom. */
export type LayoutPart<C extends Codes = StandardCodes> =
  | { readonly type: 'group'; readonly code: C['group'] }
  | {
      readonly type: 'section';
      readonly code: C['section'];
      /** The side that is shown as positive. */
      readonly shows: 'debit' | 'credit';
    }
  | {
      readonly type: 'total';
      readonly code: C['total'];
      readonly of: readonly C['section'][];
      readonly shows: 'debit' | 'credit';
      readonly final?: true;
      /** Left out when it would repeat the total above it. */
      readonly optional?: true;
    };
