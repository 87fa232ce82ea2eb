import type { Chart } from '../chart/chart';
import { fiscalYearStart, type Month } from '../dates/month';
import type { Period } from '../dates/period';
import { ledgerOf, rollUpOver, type AmountsTuple, type RollUp } from './amounts';
import { entryOf, isPostable, planOpening, type OpeningPlan } from './opening';
import type { OpeningBalances } from './opening-balances';

/** Listed balances of a proposal that are not posted yet, and the books at that time. */
export interface PendingOpening {
  /** The step that brings them. */
  readonly stepId: string;
  readonly opening: OpeningBalances;
  /** What the books come to over the fiscal year up to the month of the list. */
  readonly books: readonly AmountsTuple[];
}

/** The entry that a step's balances will be posted as. */
export interface PlannedOpening {
  readonly stepId: string;
  readonly opening: OpeningBalances;
  readonly plan: OpeningPlan;
}

/** What an entry at the end of a month adds to the amounts of a period. */
const amountsAt = (
  last: Month,
  plan: OpeningPlan,
  {
    first,
    end,
    yearStart,
  }: { readonly first: Month; readonly end: Month; readonly yearStart: Month },
): readonly AmountsTuple[] => {
  if (last > end || !isPostable(plan)) return [];
  return entryOf(plan).map(({ accountId, amount }) => [
    accountId,
    amount,
    last >= first ? amount : 0,
    last >= yearStart ? amount : 0,
  ]);
};

/**
 * What planned openings add to the amounts of a period, as if they were posted; nothing for one that
 * cannot be. `startsIn` is the month (1–12) with which the fiscal year begins.
 */
export const openingAmounts = (
  planned: readonly PlannedOpening[],
  { first, last: end }: Period,
  startsIn: number,
): readonly AmountsTuple[] => {
  const span = { first, end, yearStart: fiscalYearStart(end, startsIn) };
  return planned.flatMap(({ opening, plan }) => amountsAt(opening.last, plan, span));
};

/** The amounts of a period, and the roll-up over them. */
export interface PeriodBooks {
  readonly amounts: readonly AmountsTuple[];
  readonly rollUp: RollUp;
  readonly period: Period;
}

/** The roll-up to which planned openings lead; the same one where they add nothing to the period. */
export const rollUpWith = (
  { amounts, rollUp, period }: PeriodBooks,
  planned: readonly PlannedOpening[],
  startsIn: number,
): RollUp => {
  const more = openingAmounts(planned, period, startsIn);
  return more.length === 0 ? rollUp : rollUpOver(ledgerOf([...amounts, ...more]));
};

/** Plans the entries of a proposal's openings on the chart as proposed, each after the ones before it. */
export const planOpenings = (
  chart: Chart,
  pending: readonly PendingOpening[],
  startsIn: number,
): readonly PlannedOpening[] => {
  const planned: PlannedOpening[] = [];
  for (const { stepId, opening, books } of pending) {
    const year = { first: fiscalYearStart(opening.last, startsIn), last: opening.last };
    const before = [...books, ...openingAmounts(planned, year, startsIn)];
    planned.push({ stepId, opening, plan: planOpening(chart, before, opening.balances) });
  }
  return planned;
};
