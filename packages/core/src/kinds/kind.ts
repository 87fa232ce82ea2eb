import type { CaptionCode } from './caption';
import type { Element } from './element';

/** Where a change in the account goes in a cash flow statement. Source: IAS 7.6. */
export type CashFlowClass = 'cash' | 'operating' | 'investing' | 'financing' | 'none';

/** The sub-ledger that an account of a kind usually controls. */
export type SubLedger = 'receivables' | 'payables' | 'inventory';

/** The settings that accounts of a kind usually carry. */
export interface UsualSettings {
  readonly openItems?: true;
  readonly controls?: SubLedger;
  readonly systemPostedOnly?: true;
}

/**
 * What a kind fixes for its accounts. `caption` is the one standard statement line;
 * `null` only for the memorandum kind. `sentence` says what belongs there, with examples.
 */
export interface Kind {
  readonly element: Element;
  readonly name: string;
  /** A word or two for a narrow column. */
  readonly shortName: string;
  readonly sentence: string;
  readonly caption: CaptionCode | null;
  readonly cashFlow: CashFlowClass;
  /** Reduces its group and stands last in it. */
  readonly contra?: true;
  readonly usual?: UsualSettings;
}
