import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { accountOf } from '../chart/queries';
import { withBudgetOfYear } from '../ledger/budgets';
import type { Minor } from '../money/minor';
import { sum } from '../money/minor';
import { spreadEvenly } from '../money/spread';
import type { Operation } from '../operations/operation';
import type { YearBudget } from '../settings/account-settings';

/** What one account is to be expected to come to, by the months of a fiscal year; `null` for no budget of that year. */
export interface BudgetWish {
  readonly accountId: AccountId;
  readonly amounts: readonly Minor[] | null;
}

const same = (one: readonly Minor[], other: readonly Minor[]): boolean =>
  one.every((amount, at) => amount === other[at]);

/** Amounts that one yearly amount would be spread to are kept as that. */
const ofYear = (amounts: readonly Minor[]): YearBudget => {
  const amount = sum(amounts);
  return same(amounts, spreadEvenly(amount, 12))
    ? { per: 'year', amount }
    : { per: 'month', amounts };
};

/** The operations that give accounts their budgets of one fiscal year, as `budgetGrid` names it. */
export const planBudgets = (
  chart: Chart,
  year: string,
  wishes: readonly BudgetWish[],
): readonly Operation[] =>
  wishes.flatMap(({ accountId: id, amounts }): readonly Operation[] => {
    const account = accountOf(chart, id);
    if (account === undefined) return [];
    const own = amounts === null ? null : ofYear(amounts);
    const value = withBudgetOfYear(account.settings.budget, year, own);
    return [{ type: 'changeSetting', id, setting: 'budget', value }];
  });
