import {
  formatAmount,
  PAYEE_BOXES,
  returnLineWords,
  sum,
  type Budget,
  type ChangeSetting,
  type Chart,
  type DimensionUse,
  type OfferedIn,
  type SalesTaxCode,
  type SettingName,
} from '@iunctus/core';

/** What a setting is called. */
export const SETTING_WORDS: Readonly<Record<SettingName, string>> = {
  subtotal: $localize`Subtotal`,
  currency: $localize`Currency`,
  openItems: $localize`Open items`,
  controls: $localize`Control of`,
  systemPostedOnly: $localize`Posted by the system alone`,
  restrictedTo: $localize`Seen by`,
  offeredIn: $localize`Offered on`,
  salesTax: $localize`Sales tax`,
  cashFlow: $localize`Cash flow class`,
  returnLine: $localize`Return line`,
  payeeBox: $localize`Payee report`,
  dimensions: $localize`Dimensions`,
  bank: $localize`Bank details`,
  security: $localize`Security held`,
  budget: $localize`Budget`,
  pinned: $localize`Pin`,
};

export const CASH_FLOW_WORDS = {
  cash: $localize`Cash itself`,
  operating: $localize`Operating`,
  investing: $localize`Investing`,
  financing: $localize`Financing`,
  none: $localize`None`,
} as const;

export const CONTROL_WORDS = {
  none: $localize`No sub-ledger`,
  receivables: $localize`Receivables`,
  payables: $localize`Payables`,
  inventory: $localize`Inventory`,
} as const;

export const DOCUMENT_WORDS: Readonly<Record<OfferedIn, string>> = {
  sales: $localize`Sales`,
  purchases: $localize`Purchases`,
  banking: $localize`Banking`,
  journals: $localize`Journals`,
};

export const SALES_TAX_WORDS: Readonly<Record<SalesTaxCode, string>> = {
  standard: $localize`Taxed at the standard rate`,
  reduced: $localize`Taxed at a reduced rate`,
  zeroRated: $localize`Taxed at zero`,
  exempt: $localize`Exempt`,
  outside: $localize`Outside sales tax`,
};

const yesOrNo = (value: boolean): string => (value ? 'yes' : 'no');

const dimensionWords = (uses: readonly DimensionUse[], charts: readonly Chart[]): string => {
  const known = charts.flatMap(({ settings }) => settings.dimensions);
  const parts = uses.map(({ dimensionId, valueId, demanded }) => {
    const dimension = known.find(({ id }) => id === dimensionId);
    const value = dimension?.values.find(({ id }) => id === valueId)?.name;
    const name = dimension?.name ?? $localize`a dimension that is gone`;
    return `${name}${value === undefined ? '' : ` ${value}`}${demanded ? $localize`, demanded` : ''}`;
  });
  return parts.length === 0 ? 'none' : parts.join('; ');
};

/** What a budget comes to in a year, in words. */
export const budgetWords = (budget: Budget, currency: string): string => {
  if (budget.per === 'years') {
    const years = Object.entries(budget.years).map(
      ([year, own]) => $localize`${budgetWords(own, currency)}:budget: for ${year}:year:`,
    );
    return [...(budget.every === null ? [] : [budgetWords(budget.every, currency)]), ...years].join(
      '; ',
    );
  }
  const total = budget.per === 'year' ? budget.amount : sum(budget.amounts);
  return $localize`${formatAmount(total, { currency, zero: '0.00' })} a year${budget.per === 'month' ? $localize`, by month` : ''}`;
};

/** The value of a changed setting in a few words; numbers at a bank are not said. */
export const settingValueWords = (
  operation: ChangeSetting,
  charts: readonly Chart[] = [],
  currency = 'USD',
): string => {
  if (operation.value === null) return $localize`as usual for its kind`;
  switch (operation.setting) {
    case 'subtotal':
    case 'openItems':
    case 'systemPostedOnly':
    case 'pinned':
      return yesOrNo(operation.value);
    case 'currency':
      return operation.value;
    case 'controls':
      return CONTROL_WORDS[operation.value].toLowerCase();
    case 'restrictedTo':
      return operation.value.length === 1
        ? $localize`1 person`
        : `${operation.value.length} people`;
    case 'offeredIn':
      return (
        operation.value.map((one) => DOCUMENT_WORDS[one].toLowerCase()).join(', ') || 'nothing'
      );
    case 'salesTax':
      return SALES_TAX_WORDS[operation.value].toLowerCase();
    case 'cashFlow':
      return CASH_FLOW_WORDS[operation.value].toLowerCase();
    case 'returnLine':
      return returnLineWords(operation.value);
    case 'payeeBox':
      return PAYEE_BOXES[operation.value];
    case 'dimensions':
      return dimensionWords(operation.value, charts);
    case 'bank':
      return operation.value.institution === '' ? 'changed' : operation.value.institution;
    case 'security':
      return $localize`${operation.value.units || 'no'} units of ${operation.value.symbol || $localize`nothing named`}`;
    case 'budget':
      return budgetWords(operation.value, currency);
    default:
      return operation satisfies never;
  }
};
