import type { AccountSettings, Budget, SettingName } from './account-settings';
import { hasReturnLine } from './return-forms';

/** Longest text within a setting, in characters. */
export const SETTING_TEXT_LIMIT = 80;

/** Why a value does not do for a setting. */
export const SETTING_PROBLEMS = [
  'currencyMalformed',
  'lineUnknown',
  'copyNotPositive',
  'textTooLong',
  'routingMalformed',
  'documentNumberMalformed',
  'unitsMalformed',
  'monthsMissing',
  'amountNotExact',
  'dimensionTwice',
  'nobodySees',
] as const;
export type SettingProblem = (typeof SETTING_PROBLEMS)[number];

type Checks = {
  readonly [K in SettingName]?: (value: NonNullable<AccountSettings[K]>) => SettingProblem | null;
};

const tooLong = (texts: readonly string[]): SettingProblem | null =>
  texts.some((text) => text.length > SETTING_TEXT_LIMIT) ? 'textTooLong' : null;

const wholeOrEmpty = (text: string): boolean => /^\d{0,12}$/.test(text);

const budgetProblem = (budget: Budget): SettingProblem | null => {
  if (budget.per === 'years') {
    const each = [...(budget.every === null ? [] : [budget.every]), ...Object.values(budget.years)];
    return each.map(budgetProblem).find((problem) => problem !== null) ?? null;
  }
  const amounts = budget.per === 'year' ? [budget.amount] : budget.amounts;
  if (budget.per === 'month' && amounts.length !== 12) return 'monthsMissing';
  return amounts.every(Number.isSafeInteger) ? null : 'amountNotExact';
};

const CHECKS: Checks = {
  currency: (code) => (/^[A-Z]{3}$/.test(code) ? null : 'currencyMalformed'),
  returnLine(choice) {
    if (!hasReturnLine(choice)) return 'lineUnknown';
    return Number.isInteger(choice.copy) && choice.copy > 0 ? null : 'copyNotPositive';
  },
  bank({ institution, routing, accountNumber, nextCheque, nextDeposit }) {
    if (!/^[0-9A-Za-z -]*$/.test(routing)) return 'routingMalformed';
    if (!wholeOrEmpty(nextCheque) || !wholeOrEmpty(nextDeposit)) return 'documentNumberMalformed';
    return tooLong([institution, routing, accountNumber]);
  },
  security({ symbol, units, quoteSource }) {
    if (!/^(?:\d{1,15}(?:\.\d{1,9})?)?$/.test(units)) return 'unitsMalformed';
    return tooLong([symbol, quoteSource]);
  },
  restrictedTo: (users) => (users.length === 0 ? 'nobodySees' : null),
  budget: budgetProblem,
  dimensions: (uses) =>
    new Set(uses.map(({ dimensionId }) => dimensionId)).size < uses.length
      ? 'dimensionTwice'
      : null,
};

/** What is wrong with a value for a setting, whatever the account; `null` for nothing. */
export const settingProblem = <K extends SettingName>(
  setting: K,
  value: NonNullable<AccountSettings[K]>,
): SettingProblem | null => CHECKS[setting]?.(value) ?? null;
