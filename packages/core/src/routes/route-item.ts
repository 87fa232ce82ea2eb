import type { AccountId } from '../chart/account';
import type { SectionCode } from '../kinds/caption';
import type { Minor } from '../money/minor';
import type { ReturnLineChoice } from '../settings/return-form';
import type { Purpose } from './purpose';

export type RouteItemId = string;

/** The account that amounts of a purpose go to where nothing else is said. */
export interface DefaultAccount {
  readonly type: 'default';
  readonly purpose: Purpose;
  readonly accountId: AccountId;
}

export const PARTY_ROLES = ['customer', 'supplier', 'item'] as const;
export type PartyRole = (typeof PARTY_ROLES)[number];

/** A customer, supplier or item with accounts of its own. */
export interface Party {
  readonly type: 'party';
  readonly role: PartyRole;
  readonly name: string;
  /** Where its sales and its purchases go; `null` leaves it to the default. */
  readonly saleId: AccountId | null;
  readonly purchaseId: AccountId | null;
}

export const LINE_SOURCES = ['bank', 'payout'] as const;
/** Where a line comes from: a bank's list, or what a marketplace or card processor tells of its payouts. */
export type LineSource = (typeof LINE_SOURCES)[number];

/** A rule that sends lines by their words to an account. */
export interface WordRule {
  readonly type: 'rule';
  /** Rules are tried from the lowest place up; the first that holds decides. */
  readonly place: number;
  readonly how: 'contains' | 'starts';
  readonly words: string;
  /** Money in, money out, or either. */
  readonly sign: 'in' | 'out' | null;
  /** The least and the most that the amount may be, without its sign, both inclusive; minor units of the books' currency. */
  readonly least: Minor | null;
  readonly most: Minor | null;
  readonly source: LineSource | null;
  readonly accountId: AccountId;
  readonly taxCodeId: RouteItemId | null;
}

/** A rate of sales tax that is within gross amounts, and where it goes. */
export interface TaxCode {
  readonly type: 'taxCode';
  readonly name: string;
  /** Per cent of the net amount, as a decimal text: `7.25`. */
  readonly rate: string;
  /** Whether the tax within what is bought can be reclaimed; else it belongs to the cost. */
  readonly reclaims: boolean;
}

/** What a proof puts through the routes. */
export type Sample =
  | {
      readonly by: 'line';
      readonly text: string;
      /** Money in is positive; minor units of the books' currency. */
      readonly amount: Minor;
      readonly source: LineSource;
    }
  | { readonly by: 'purpose'; readonly purpose: Purpose; readonly partyId: RouteItemId | null }
  | { readonly by: 'account'; readonly accountId: AccountId };

/** Where a sample must land. */
export interface Expected {
  readonly section: SectionCode;
  /** The account under whose line it must count: that on which it is posted, or any above it; `null` for the section alone. */
  readonly underId: AccountId | null;
  /** `null` where the return does not matter. */
  readonly returnLine: ReturnLineChoice | null;
}

/** A sample transaction, and where it must land. */
export interface Proof {
  readonly type: 'proof';
  readonly name: string;
  readonly sample: Sample;
  readonly expected: Expected;
}

/** What the practice wishes of proofs that are broken. */
export interface ProofGate {
  readonly type: 'gate';
  /** Whether a broken proof keeps a proposal from being adopted. */
  readonly blocks: boolean;
}

export type RouteContent = DefaultAccount | Party | WordRule | TaxCode | Proof | ProofGate;
export type RouteType = RouteContent['type'];

/** One piece of a client's routes. */
export interface RouteItem<C extends RouteContent = RouteContent> {
  readonly id: RouteItemId;
  readonly content: C;
}

export const ROUTE_LIMITS = { items: 2000, words: 120, name: 120 } as const;
