import { addDays, type CalendarDate } from '../dates/calendar-date';
import { add, negate, subtract, type Minor } from '../money/minor';
import type { MarketLine } from './payouts';

const sum = (lines: readonly MarketLine[]): Minor =>
  lines.reduce((total, { amount }) => add(total, amount), 0);

/** What a marketplace still has of a business at the end of a day. */
export interface Held {
  /** What it will pay out next. */
  readonly toPayOut: Minor;
  /** What it holds back against returns. */
  readonly reserve: Minor;
}

/** What a marketplace holds at the end of a day, as its statement tells from the first line on. */
export const heldAt = (lines: readonly MarketLine[], day: CalendarDate): Held => {
  const there = lines.filter(({ date }) => date <= day);
  return {
    toPayOut: sum(there),
    reserve: negate(sum(there.filter(({ sort }) => sort === 'reserve'))),
  };
};

/** Days after which a payout is at the bank at the latest. */
const ON_THE_WAY = 10;

/**
 * The payouts that were taken from the bank: each has a line of its amount in the account that holds, on its day or soon
 * after, and no line stands for two.
 */
export const takenPayouts = (
  told: readonly MarketLine[],
  posted: readonly { readonly date: CalendarDate; readonly amount: Minor }[],
): ReadonlySet<string> => {
  const left = [...posted];
  const taken = new Set<string>();
  for (const { id, sort, date, amount } of told) {
    if (sort !== 'payout') continue;
    const until = addDays(date, ON_THE_WAY);
    const at = left.findIndex(
      (line) => line.amount === amount && line.date >= date && line.date <= until,
    );
    if (at < 0) continue;
    left.splice(at, 1);
    taken.add(id);
  }
  return taken;
};

/** A statement, and what the books have of it. */
export interface HeldAgainst {
  readonly lines: readonly MarketLine[];
  /** The last day that the statement knows of. */
  readonly through: CalendarDate;
  /** The lines that are posted. */
  readonly posted: ReadonlySet<MarketLine>;
  /** The payouts that were taken from the bank, by id. */
  readonly taken: ReadonlySet<string>;
  /** What the account that holds comes to on that day. */
  readonly inBooks: Minor;
  /** Whether the reserve stands in an account of its own. */
  readonly isReserveApart: boolean;
}

/** Why the account that holds comes to what it does: `held − unposted + untaken + rest = inBooks`. */
export interface HeldExplained {
  readonly held: Minor;
  /** What the lines come to that are not posted yet. */
  readonly unposted: Minor;
  /** The days of payouts that were not taken from the bank yet, and what they come to. */
  readonly untakenOn: readonly CalendarDate[];
  readonly untaken: Minor;
  /** What the account holds of others. */
  readonly rest: Minor;
  readonly reserve: Minor;
}

/** Explains the balance of the account that holds by what the marketplace says that it still has. */
export const explainHeld = (against: HeldAgainst): HeldExplained => {
  const { lines, through, posted, taken, inBooks, isReserveApart } = against;
  const { toPayOut, reserve } = heldAt(lines, through);
  const held = isReserveApart ? toPayOut : add(toPayOut, reserve);
  const unposted = sum(
    lines.filter(
      (line) =>
        line.sort !== 'payout' && (isReserveApart || line.sort !== 'reserve') && !posted.has(line),
    ),
  );
  const payouts = lines.filter(({ id, sort }) => sort === 'payout' && !taken.has(id));
  const untaken = negate(sum(payouts));
  return {
    held,
    unposted,
    untakenOn: payouts.map(({ date }) => date),
    untaken,
    rest: subtract(subtract(add(inBooks, unposted), held), untaken),
    reserve,
  };
};
