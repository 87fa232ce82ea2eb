import type { BankFeedAnswer, BankFeedQuery } from '@iunctus/contract';
import {
  addDays,
  addMonths,
  firstDayOf,
  lastDayOf,
  monthOf,
  type CalendarDate,
  type DatedLine,
  type Minor,
} from '@iunctus/core';
import { drawn, drawnBetween, drawnId, isSilent } from './drawn';
import { MARKETPLACE, marketLines } from './marketplace';

/** What comes every month on a day of it; money in is positive. */
const MONTHLY: readonly { readonly day: number; readonly text: string; readonly amount: readonly [Minor, Minor] }[] = [
  { day: 1, text: 'STANDING ORDER HOLLOW LANE PROPERTIES RENT', amount: [-1250_00, -1250_00] },
  { day: 6, text: 'DIRECT DEBIT VALLEY POWER AND WATER', amount: [-260_00, -110_00] },
  { day: 11, text: 'DIRECT DEBIT LARKWING TELECOM', amount: [-64_00, -64_00] },
  { day: 15, text: 'DIRECT DEBIT STONEBRIDGE INSURANCE', amount: [-88_50, -88_50] },
  { day: 19, text: 'CARD PAINTED DESK SOFTWARE SUBSCRIPTION', amount: [-29_00, -29_00] },
  { day: 25, text: 'TRANSFER WAGES', amount: [-3_900_00, -3_100_00] },
  { day: 28, text: 'LOAN REPAYMENT', amount: [-410_00, -410_00] },
  { day: 31, text: 'ACCOUNT CHARGES', amount: [-14_00, -9_00] },
]; // prettier-ignore

/** What may come on any day, and how often. */
const NOW_AND_THEN: readonly { readonly share: number; readonly text: string; readonly amount: readonly [Minor, Minor] }[] = [
  { share: 0.55, text: 'CARD TAKINGS', amount: [80_00, 640_00] },
  { share: 0.16, text: 'TRANSFER FROM HERON INN', amount: [120_00, 780_00] },
  { share: 0.14, text: 'CARD ORCHARD SUPPLY CO', amount: [-420_00, -35_00] },
  { share: 0.12, text: 'CARD FERNHILL FUEL', amount: [-95_00, -30_00] },
  { share: 0.08, text: 'CARD QUAY STREET STATIONERS', amount: [-70_00, -6_00] },
  { share: 0.05, text: 'TRANSFER TO MILLRACE COOPERAGE', amount: [-1_400_00, -300_00] },
  { share: 0.04, text: 'CASH PAID IN', amount: [100_00, 500_00] },
  { share: 0.03, text: 'REFUND ORCHARD SUPPLY CO', amount: [10_00, 60_00] },
]; // prettier-ignore

const isSunday = (day: CalendarDate): boolean => new Date(`${day}T00:00:00Z`).getUTCDay() === 0;

/** Days after which a payout of the marketplace is at the bank. */
const ON_THE_WAY = 2;

class Listing {
  readonly lines: DatedLine[] = [];

  constructor(
    private readonly seed: string,
    private readonly asked: { readonly first: CalendarDate; readonly last: CalendarDate },
  ) {}

  add(date: CalendarDate, text: string, amount: Minor): void {
    if (date < this.asked.first || date > this.asked.last || amount === 0) return;
    const id = drawnId(`${this.seed} ${date} ${text}`);
    this.lines.push({ id, date, text, amount, source: 'bank' });
  }

  month(month: string): void {
    const last = lastDayOf(month);
    for (const { day, text, amount } of MONTHLY) {
      const due = `${month}-${String(day).padStart(2, '0')}`;
      const date = due < last ? due : last;
      this.add(date, text, drawnBetween(`${this.seed} ${month} ${text}`, ...amount));
    }
    for (let day = firstDayOf(month); day <= last; day = addDays(day, 1))
      if (!isSunday(day)) this.day(day);
  }

  private day(day: CalendarDate): void {
    for (const { share, text, amount } of NOW_AND_THEN) {
      if (drawn(`${this.seed} ${day} comes ${text}`) >= share) continue;
      const number = drawnBetween(`${this.seed} ${day} number ${text}`, 1000, 9999);
      this.add(day, `${text} ${number}`, drawnBetween(`${this.seed} ${day} ${text}`, ...amount));
    }
  }
}

/** The account whose lines are asked for. */
export interface BankAccount {
  /** Tells businesses apart. */
  readonly seed: string;
  readonly accountId: string;
  /** Whether the payouts of the simulated marketplace arrive there. */
  readonly takesPayouts: boolean;
}

/** Most months that one question is answered for. */
const MOST_MONTHS = 36;

/**
 * A small stand-in for a bank: the lines of an account, oldest first, the same whoever asks. It knows of yesterday, and
 * now and then does not answer.
 */
export const bankFeed = (
  { seed, accountId, takesPayouts }: BankAccount,
  { first, last }: Pick<BankFeedQuery, 'first' | 'last'>,
  { today, chance }: { readonly today: CalendarDate; readonly chance: number },
): BankFeedAnswer => {
  if (isSilent(chance)) return { state: 'silent' };
  const through = addDays(today, -1);
  const until = last < through ? last : through;
  const listing = new Listing(`bank ${seed} ${accountId}`, { first, last: until });
  let month = monthOf(first);
  for (let count = 0; count < MOST_MONTHS && month <= monthOf(until); count += 1) {
    listing.month(month);
    month = addMonths(month, 1);
  }
  if (takesPayouts)
    for (const { sort, date, amount } of marketLines(seed, until))
      if (sort === 'payout')
        listing.add(addDays(date, ON_THE_WAY), `${MARKETPLACE.toUpperCase()} PAYOUT`, -amount);
  listing.lines.sort((one, other) =>
    one.date === other.date ? (one.id < other.id ? -1 : 1) : one.date < other.date ? -1 : 1,
  );
  return { state: 'told', through, lines: listing.lines };
};
