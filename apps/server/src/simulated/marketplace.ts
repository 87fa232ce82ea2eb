import type { MarketFeedAnswer } from '@iunctus/contract';
import {
  addDays,
  daysFrom,
  type CalendarDate,
  type MarketLine,
  type MarketSort,
  type Minor,
} from '@iunctus/core';
import { drawn, drawnBetween, drawnId, isSilent } from './drawn';

/** The simulated marketplace, as its lines call it. */
export const MARKETPLACE = 'Harbour Stalls';

/** The day of the first sale of every business there, a Monday. */
const OPENED: CalendarDate = '2026-06-29';
/** Days that one payout covers. */
const SPAN = 14;
/** What it keeps of each sale, and holds back until the next payout; in hundredths. */
const FEE = 12;
const RESERVE = 10;

const hundredths = (amount: Minor, share: number): Minor => Math.round((amount * share) / 100);

/** What an event of a day comes to, or nothing. */
const salesOn = (seed: string, day: CalendarDate): Minor =>
  drawn(`${seed} quiet ${day}`) < 0.3 ? 0 : drawnBetween(`${seed} sales ${day}`, 18_00, 240_00);

const refundOn = (seed: string, day: CalendarDate): Minor =>
  drawn(`${seed} refund ${day}`) < 0.12 ? drawnBetween(`${seed} refunded ${day}`, 8_00, 40_00) : 0;

class Statement {
  readonly lines: MarketLine[] = [];
  private open = 0;
  private sold = 0;
  private reserve = 0;

  constructor(private readonly seed: string) {}

  private add(date: CalendarDate, sort: MarketSort, amount: Minor, text: string): void {
    if (amount === 0) return;
    const id = drawnId(`${this.seed} ${date} ${sort} ${this.lines.length}`);
    this.lines.push({ id, date, sort, amount, text: `${MARKETPLACE}: ${text}`, source: 'payout' });
    this.open += amount;
  }

  trade(day: CalendarDate): void {
    const sales = salesOn(this.seed, day);
    this.sold += sales;
    this.add(day, 'sale', sales, `orders of ${day}`);
    this.add(day, 'fee', -hundredths(sales, FEE), `fees on orders of ${day}`);
    this.add(day, 'refund', -refundOn(this.seed, day), `refund of ${day}`);
  }

  payOut(day: CalendarDate): void {
    this.add(day, 'reserve', this.reserve, 'reserve given free');
    this.reserve = hundredths(this.sold, RESERVE);
    this.add(day, 'reserve', -this.reserve, 'reserve held back');
    this.add(day, 'payout', -Math.max(0, this.open), `payout of ${day}`);
    this.sold = 0;
  }
}

/** The statement of a business from its first sale to a day, inclusive, oldest line first. */
export const marketLines = (seed: string, through: CalendarDate): readonly MarketLine[] => {
  const statement = new Statement(`market ${seed}`);
  for (let day = OPENED; day <= through; day = addDays(day, 1)) {
    if (day !== OPENED && daysFrom(OPENED, day) % SPAN === 0) statement.payOut(day);
    statement.trade(day);
  }
  return statement.lines;
};

/**
 * A small stand-in for a marketplace: orders, refunds and fees by day, a payout every two weeks, a tenth of the sales
 * held back until the next. It knows of yesterday, and now and then does not answer. `seed` tells businesses apart.
 */
export const marketFeed = (
  seed: string,
  { today, chance }: { readonly today: CalendarDate; readonly chance: number },
): MarketFeedAnswer => {
  if (isSilent(chance)) return { state: 'silent' };
  const through = addDays(today, -1);
  return { state: 'told', through, lines: [...marketLines(seed, through)] };
};
