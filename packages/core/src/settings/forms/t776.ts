import type { ReturnForm } from '../return-form';

/** The Canadian return of a landlord who is no company. It has no balance sheet. */
export const T776: ReturnForm = {
  name: 'T776',
  year: 2024,
  source: 'CRA T776, Statement of real estate rentals, tax year 2024; from memory',
  lines: [
    { line: '8141', words: 'Gross rents', kinds: ['saleOfGoods', 'services', 'returnsAndDiscounts'] },
    { line: '8230', words: 'Other income', kinds: ['otherOperatingRevenue', 'grantsAndDonations', 'investmentIncome'] },
    { line: '8521', words: 'Advertising', uses: ['advertising'] },
    { line: '8690', words: 'Insurance', uses: ['insurance'] },
    { line: '8710', words: 'Interest and bank charges', kinds: ['financeCost'], uses: ['mortgageInterest', 'bank'] },
    { line: '8810', words: 'Office expenses', uses: ['office', 'supplies', 'telephone'] },
    { line: '8860', words: 'Professional fees', uses: ['professional'] },
    { line: '8871', words: 'Management and administration fees', uses: ['management', 'commissions'] },
    { line: '8960', words: 'Repairs and maintenance', uses: ['repairs'] },
    { line: '9060', words: 'Salaries, wages and benefits', uses: ['wages', 'directWages', 'payrollTaxes', 'benefits', 'pension'] },
    { line: '9180', words: 'Property taxes', uses: ['propertyTaxes'] },
    { line: '9200', words: 'Travel', uses: ['travel'] },
    { line: '9220', words: 'Utilities', uses: ['utilities'] },
    { line: '9281', words: 'Motor vehicle expenses', uses: ['vehicles'] },
    { line: '9270', words: 'Other expenses', kinds: ['costOfSales', 'operatingExpense', 'otherExpense'], uses: ['meals', 'badDebts', 'rent', 'contractors', 'directContractors', 'licences'] },
    { line: '9936', words: 'Capital cost allowance', kinds: ['depreciation'] },
    { line: '–', words: 'Not on the return: gains or losses on what is sold', kinds: ['gains'], uses: ['equipmentSold'], elsewhere: true },
  ],
}; // prettier-ignore
