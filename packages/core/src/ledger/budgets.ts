import type { Account } from '../chart/account';
import type { Chart } from '../chart/chart';
import { eachNode } from '../chart/queries';
import { addMonths, monthsBetween, type Month } from '../dates/month';
import type { Period } from '../dates/period';
import { add, type Minor } from '../money/minor';
import { spreadEvenly } from '../money/spread';
import { isOffered } from '../settings/rules';
import type { Budget } from '../settings/account-settings';
import { shownAmount, type AmountsTuple } from './amounts';

/** A budget by the months of its fiscal year; a yearly one is spread evenly, the first months taking what is left over. */
export const budgetByMonth = (budget: Budget): readonly Minor[] =>
  budget.per === 'month' ? budget.amounts : spreadEvenly(budget.amount, 12);

const monthOfYear = (month: Month, startsIn: number): number =>
  (Number(month.slice(5)) - startsIn + 12) % 12;

const within = (account: Account, { first, last }: Period, startsIn: number): Minor => {
  const budget = isOffered(account, 'budget') ? account.settings.budget : undefined;
  if (budget === undefined) return 0;
  const months = budgetByMonth(budget);
  let total = 0;
  for (let at = 0; at < monthsBetween(first, last); at += 1)
    total = add(total, months[monthOfYear(addMonths(first, at), startsIn)] ?? 0);
  return total;
};

/** Whether any account of a chart has a budget. */
export const hasBudgets = (chart: Chart): boolean =>
  [...eachNode(chart.roots)].some(({ account }) => account.settings.budget !== undefined);

/** What accounts are expected to come to within a period, months inclusive, as if it were posted; debit positive. */
export const budgetsWithin = (
  chart: Chart,
  period: Period,
  startsIn: number,
): readonly AmountsTuple[] =>
  [...eachNode(chart.roots)].flatMap(({ account }) => {
    const amount = shownAmount(account.kind, within(account, period, startsIn));
    return amount === 0 ? [] : [[account.id, amount, amount, amount] as const];
  });
