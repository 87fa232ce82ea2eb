import type { ReturnForm } from '../return-form';
import { canadianCost } from './canadian-cost';

/** The Canadian return of a sole owner's business. It has no balance sheet. */
export const T2125: ReturnForm = {
  name: 'T2125',
  year: 2024,
  source: 'CRA T2125, Statement of business or professional activities, tax year 2024; from memory',
  lines: [
    { line: '8000', words: 'Adjusted gross sales', kinds: ['saleOfGoods', 'services', 'returnsAndDiscounts'] },
    { line: '8230', words: 'Other income', kinds: ['otherOperatingRevenue', 'grantsAndDonations', 'gains', 'investmentIncome'] },
    ...canadianCost({
      '8320': 'Purchases during the year',
      '8340': 'Direct wage costs',
      '8360': 'Subcontracts',
      '8450': 'Other costs of goods sold',
      '8518': 'Cost of goods sold',
    }),
    { line: '8521', words: 'Advertising', uses: ['advertising'] },
    { line: '8523', words: 'Meals and entertainment', uses: ['meals'] },
    { line: '8590', words: 'Bad debts', uses: ['badDebts'] },
    { line: '8690', words: 'Insurance', uses: ['insurance'] },
    { line: '8710', words: 'Interest and bank charges', kinds: ['financeCost'], uses: ['bank', 'commissions', 'mortgageInterest'] },
    { line: '8760', words: 'Business taxes, licences and memberships', uses: ['licences'] },
    { line: '8810', words: 'Office expenses', uses: ['office', 'telephone'] },
    { line: '8811', words: 'Office stationery and supplies', uses: ['supplies'] },
    { line: '8860', words: 'Professional fees', uses: ['professional'] },
    { line: '8871', words: 'Management and administration fees', uses: ['management'] },
    { line: '8910', words: 'Rent', uses: ['rent', 'landRent', 'hire'] },
    { line: '8960', words: 'Repairs and maintenance', uses: ['repairs'] },
    { line: '9060', words: 'Salaries, wages and benefits', uses: ['wages', 'payrollTaxes', 'benefits', 'pension'] },
    { line: '9180', words: 'Property taxes', uses: ['propertyTaxes'] },
    { line: '9200', words: 'Travel expenses', uses: ['travel'] },
    { line: '9220', words: 'Utilities', uses: ['utilities'] },
    { line: '9224', words: 'Fuel costs, except for motor vehicles' },
    { line: '9275', words: 'Delivery, freight and express', uses: ['delivery'] },
    { line: '9281', words: 'Motor vehicle expenses', uses: ['vehicles'] },
    { line: '9936', words: 'Capital cost allowance', kinds: ['depreciation'] },
    { line: '9270', words: 'Other expenses', kinds: ['operatingExpense', 'otherExpense', 'incomeTax'] },
  ],
}; // prettier-ignore
