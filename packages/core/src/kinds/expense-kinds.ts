import type { Kind } from './kind';

const expense = <const T extends Omit<Kind, 'element'>>(kind: T) =>
  ({ ...kind, element: 'expense' }) as const;

/** Kinds of expenses, from the cost of what is sold to tax on the result. */
export const EXPENSE_KINDS = {
  costOfSales: expense({
    name: 'Cost of sales',
    shortName: 'Cost of sales',
    sentence: 'Rises with every sale: materials, goods bought, packaging, duty, direct labour.',
    caption: 'costOfSales',
    cashFlow: 'operating',
  }),
  operatingExpense: expense({
    name: 'Operating expense',
    shortName: 'Operating',
    sentence: 'Keeps the doors open: rent, wages, insurance, marketing, repairs.',
    caption: 'operatingExpenses',
    cashFlow: 'operating',
  }),
  depreciation: expense({
    name: 'Depreciation and amortisation',
    shortName: 'Depreciation',
    sentence: 'This period’s part of the cost of equipment and intangible assets.',
    caption: 'depreciation',
    cashFlow: 'operating',
  }),
  otherExpense: expense({
    name: 'Other expense and losses',
    shortName: 'Other',
    sentence: 'Outside the trade: losses on equipment sold, penalties, exchange losses.',
    caption: 'otherExpenses',
    cashFlow: 'operating',
  }),
  financeCost: expense({
    name: 'Finance cost',
    shortName: 'Finance',
    sentence: 'The price of borrowed money: loan interest, arrangement fees.',
    caption: 'financeCosts',
    cashFlow: 'operating',
  }),
  incomeTax: expense({
    name: 'Income tax',
    shortName: 'Income tax',
    sentence: 'Tax on the profit of a company; an owner’s own tax is a drawing.',
    caption: 'incomeTax',
    cashFlow: 'operating',
  }),
} as const;
