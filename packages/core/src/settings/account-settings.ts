import type { DimensionUse } from '../dimensions/dimension';
import type { CashFlowClass, SubLedger } from '../kinds/kind';
import type { Minor } from '../money/minor';
import type { PayeeBox } from './payee-box';
import type { ReturnLineChoice } from './return-form';

/** The kinds of document on which an account is offered. */
export const OFFERED_IN = ['sales', 'purchases', 'banking', 'journals'] as const;
export type OfferedIn = (typeof OFFERED_IN)[number];

/** How sales tax treats what is posted to an account, unless the posting says otherwise. */
export const SALES_TAX_CODES = ['standard', 'reduced', 'zeroRated', 'exempt', 'outside'] as const;
export type SalesTaxCode = (typeof SALES_TAX_CODES)[number];

/** Where an account at a bank is kept. Numbers are text: they begin with zeros. */
export interface BankDetails {
  readonly institution: string;
  readonly routing: string;
  readonly accountNumber: string;
  readonly nextCheque: string;
  readonly nextDeposit: string;
}

/** The security that an investment account holds. */
export interface SecurityHeld {
  readonly symbol: string;
  /** How many, as a decimal number; text, for it is never rounded. */
  readonly units: string;
  readonly quoteSource: string;
}

/** What is expected of an account in a fiscal year, in minor units, as a person reads it for its kind. */
export type YearBudget =
  | { readonly per: 'year'; readonly amount: Minor }
  /** By the months of the fiscal year, in their order. */
  | { readonly per: 'month'; readonly amounts: readonly Minor[] };

/** What is expected in every fiscal year, or in single ones. */
export type Budget =
  | YearBudget
  | {
      readonly per: 'years';
      /** In years that have none of their own. */
      readonly every: YearBudget | null;
      /** By the calendar year in which the fiscal year begins, as “2026”. */
      readonly years: Readonly<Record<string, YearBudget>>;
    };

/**
 * What an account is set to. Only what differs from the usual of its kind is there, so that
 * another kind brings its own usual settings along.
 */
export interface AccountSettings {
  /** Whether the statement sums up what stands below it. */
  readonly subtotal?: boolean;
  /** The one currency that may be posted to it, ISO 4217. */
  readonly currency?: string;
  /** Whether each invoice and payment is matched. */
  readonly openItems?: boolean;
  /** The sub-ledger whose total it must equal. */
  readonly controls?: SubLedger | 'none';
  /** Whether the system alone posts to it. */
  readonly systemPostedOnly?: boolean;
  /** The users who see it; everybody else sees it as part of an “other” line. */
  readonly restrictedTo?: readonly string[];
  readonly offeredIn?: readonly OfferedIn[];
  readonly salesTax?: SalesTaxCode;
  readonly cashFlow?: CashFlowClass;
  readonly returnLine?: ReturnLineChoice;
  readonly payeeBox?: PayeeBox;
  readonly dimensions?: readonly DimensionUse[];
  readonly bank?: BankDetails;
  readonly security?: SecurityHeld;
  readonly budget?: Budget;
  /** Whether it is kept in sight on the client's front page. */
  readonly pinned?: boolean;
}

/** The name of a setting. */
export type SettingName = keyof AccountSettings;

/** An account whose every setting is the usual of its kind. */
export const USUAL: AccountSettings = {};

/** An account's settings without what is never copied: bank numbers, holdings, budget, pin. */
export const copiedSettings = ({
  bank: _bank,
  security: _security,
  budget: _budget,
  pinned: _pinned,
  ...rest
}: AccountSettings): AccountSettings => rest;
