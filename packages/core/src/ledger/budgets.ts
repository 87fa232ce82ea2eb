import type { Account, AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { eachNode } from '../chart/queries';
import { addMonths, fiscalYearStart, monthsBetween, type Month } from '../dates/month';
import type { Period } from '../dates/period';
import { statementOf } from '../kinds/kinds';
import { add, sum, type Minor } from '../money/minor';
import { spreadEvenly } from '../money/spread';
import type { Budget, YearBudget } from '../settings/account-settings';
import { isOffered } from '../settings/rules';
import { shownAmount, type AmountsTuple } from './amounts';

/** A budget by the months of its fiscal year; a yearly one is spread evenly, the first months taking what is left over. */
export const budgetByMonth = (budget: YearBudget): readonly Minor[] =>
  budget.per === 'month' ? budget.amounts : spreadEvenly(budget.amount, 12);

/** What a fiscal year is called among budgets: by the calendar year in which it begins. */
export const budgetYear = (month: Month, startsIn: number): string =>
  fiscalYearStart(month, startsIn).slice(0, 4);

/** What is expected in one fiscal year; `null` for nothing. */
export const budgetOfYear = (budget: Budget | undefined, year: string): YearBudget | null => {
  if (budget === undefined) return null;
  return budget.per === 'years' ? (budget.years[year] ?? budget.every) : budget;
};

/** The same budget with another for one fiscal year; with `null`, none of that year's own. */
export const withBudgetOfYear = (
  budget: Budget | undefined,
  year: string,
  own: YearBudget | null,
): Budget | null => {
  const every = budget === undefined || budget.per !== 'years' ? (budget ?? null) : budget.every;
  const others = Object.entries(budget?.per === 'years' ? budget.years : {}).filter(
    ([one]) => one !== year,
  );
  const years = own === null ? others : [...others, [year, own] as const];
  if (years.length === 0) return every;
  return { per: 'years', every, years: Object.fromEntries(years) };
};

/** The same budget with another for every year that has none of its own. */
export const withBudgetOfEvery = (
  budget: Budget | undefined,
  every: YearBudget | null,
): Budget | null => (budget?.per === 'years' ? { ...budget, every } : every);

/** What an account is expected to come to, if a budget can be set for it. */
const budgetOf = (account: Account): Budget | undefined =>
  isOffered(account, 'budget') ? account.settings.budget : undefined;

const monthOfYear = (month: Month, startsIn: number): number =>
  (Number(month.slice(5)) - startsIn + 12) % 12;

const within = (account: Account, { first, last }: Period, startsIn: number): Minor => {
  const budget = budgetOf(account);
  if (budget === undefined) return 0;
  let total = 0;
  for (let at = 0; at < monthsBetween(first, last); at += 1) {
    const month = addMonths(first, at);
    const ofYear = budgetOfYear(budget, budgetYear(month, startsIn));
    if (ofYear !== null)
      total = add(total, budgetByMonth(ofYear)[monthOfYear(month, startsIn)] ?? 0);
  }
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

/** What an account is expected to come to in the months of one fiscal year, as a person reads it for its kind. */
export interface BudgetRow {
  readonly accountId: AccountId;
  readonly amounts: readonly Minor[];
  readonly total: Minor;
  /** Where it comes from: set for this year, for every year, or not set. */
  readonly set: 'thisYear' | 'everyYear' | 'not';
}

const NOTHING: readonly Minor[] = Array.from({ length: 12 }, () => 0);

/** The budgets of one fiscal year: a row for each account of the profit and loss that takes postings, in their order. */
export const budgetGrid = (chart: Chart, year: string): readonly BudgetRow[] =>
  [...eachNode(chart.roots)].flatMap(({ account }) => {
    const { id: accountId, kind, role, retiredOn } = account;
    const takes = role === 'posting' && retiredOn === null;
    if (!takes || statementOf(kind) !== 'profitAndLoss' || !isOffered(account, 'budget')) return [];
    const budget = budgetOf(account);
    const ofYear = budgetOfYear(budget, year);
    const amounts = ofYear === null ? NOTHING : budgetByMonth(ofYear);
    const own = budget?.per === 'years' && budget.years[year] !== undefined;
    const set = own ? 'thisYear' : ofYear === null ? 'not' : 'everyYear';
    return [{ accountId, amounts, total: sum(amounts), set }];
  });
