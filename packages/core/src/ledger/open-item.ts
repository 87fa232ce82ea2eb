import type { CalendarDate } from '../dates/calendar-date';
import type { Month } from '../dates/month';
import { add, AMOUNT_LIMIT, type Minor } from '../money/minor';

/** What somebody owes, or is owed, that is not paid yet: an invoice, a credit note, a payment without its invoice. */
export interface OpenItem {
  /** The customer, supplier or whoever else. */
  readonly party: string;
  readonly reference: string;
  /** The day of the invoice; `null` where it is not known. */
  readonly date: CalendarDate | null;
  /** Debit positive, in minor units of the books' currency. */
  readonly amount: Minor;
}

/** What stood open in an account at the end of a month, as the customers' or suppliers' ledger says. */
export interface OpenItemList {
  readonly month: Month;
  readonly items: readonly OpenItem[];
}

/** What such a list may hold. */
export const OPEN_ITEM_LIMITS = { items: 5000, party: 200, reference: 100 } as const;

/** What items come to; debit positive. */
export const sumOfItems = (items: readonly OpenItem[]): Minor =>
  items.reduce((sum, { amount }) => add(sum, amount), 0);

/** Whether items can be summed up exactly in any order. */
export const itemsFit = (items: readonly OpenItem[]): boolean =>
  items.reduce((sum, { amount }) => sum + Math.abs(amount), 0) <= AMOUNT_LIMIT;
