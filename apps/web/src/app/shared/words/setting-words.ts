import {
  formatAmount,
  PAYEE_BOXES,
  returnLineWords,
  SALES_TAX_CODES,
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
  subtotal: 'Subtotal',
  currency: 'Currency',
  openItems: 'Open items',
  controls: 'Control of',
  systemPostedOnly: 'Posted by the system alone',
  restrictedTo: 'Seen by',
  offeredIn: 'Offered on',
  salesTax: 'Sales tax',
  cashFlow: 'Cash flow class',
  returnLine: 'Return line',
  payeeBox: 'Payee report',
  dimensions: 'Dimensions',
  bank: 'Bank details',
  security: 'Security held',
  budget: 'Budget',
  pinned: 'Pin',
};

export const CASH_FLOW_WORDS = {
  cash: 'Cash itself',
  operating: 'Operating',
  investing: 'Investing',
  financing: 'Financing',
  none: 'None',
} as const;

export const CONTROL_WORDS = {
  none: 'No sub-ledger',
  receivables: 'Receivables',
  payables: 'Payables',
  inventory: 'Inventory',
} as const;

export const DOCUMENT_WORDS: Readonly<Record<OfferedIn, string>> = {
  sales: 'Sales',
  purchases: 'Purchases',
  banking: 'Banking',
  journals: 'Journals',
};

const SALES_TAX_WORDS: Readonly<Record<SalesTaxCode, string>> = {
  standard: 'Taxed at the standard rate',
  reduced: 'Taxed at a reduced rate',
  zeroRated: 'Taxed at zero',
  exempt: 'Exempt',
  outside: 'Outside sales tax',
};

/** The sales-tax codes with their words, to choose from. */
export const SALES_TAX_CHOICES = SALES_TAX_CODES.map((value) => ({
  value,
  label: SALES_TAX_WORDS[value],
}));

const yesOrNo = (value: boolean): string => (value ? 'yes' : 'no');

const dimensionWords = (uses: readonly DimensionUse[], charts: readonly Chart[]): string => {
  const known = charts.flatMap(({ settings }) => settings.dimensions);
  const parts = uses.map(({ dimensionId, valueId, demanded }) => {
    const dimension = known.find(({ id }) => id === dimensionId);
    const value = dimension?.values.find(({ id }) => id === valueId)?.name;
    const name = dimension?.name ?? 'a dimension that is gone';
    return `${name}${value === undefined ? '' : ` ${value}`}${demanded ? ', demanded' : ''}`;
  });
  return parts.length === 0 ? 'none' : parts.join('; ');
};

/** What a budget comes to in a year, in words. */
export const budgetWords = (budget: Budget, currency: string): string => {
  const total = budget.per === 'year' ? budget.amount : sum(budget.amounts);
  return `${formatAmount(total, { currency, zero: '0.00' })} a year${budget.per === 'month' ? ', by month' : ''}`;
};

/** The value of a changed setting in a few words; numbers at a bank are not said. */
export const settingValueWords = (
  operation: ChangeSetting,
  charts: readonly Chart[] = [],
  currency = 'USD',
): string => {
  if (operation.value === null) return 'as usual for its kind';
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
      return operation.value.length === 1 ? '1 person' : `${operation.value.length} people`;
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
      return `${operation.value.units || 'no'} units of ${operation.value.symbol || 'nothing named'}`;
    case 'budget':
      return budgetWords(operation.value, currency);
    default:
      return operation satisfies never;
  }
};
