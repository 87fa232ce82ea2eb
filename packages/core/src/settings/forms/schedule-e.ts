import type { ReturnForm } from '../return-form';

/** The return of a landlord who is no company. It has no balance sheet. */
export const SCHEDULE_E: ReturnForm = {
  name: 'Schedule E',
  year: 2024,
  source: 'IRS Schedule E (Form 1040), Part I, tax year 2024; from memory',
  lines: [
    { line: '3', words: 'Rents received', kinds: ['saleOfGoods', 'services', 'returnsAndDiscounts', 'otherOperatingRevenue', 'grantsAndDonations'] },
    { line: '5', words: 'Advertising', uses: ['advertising'] },
    { line: '6', words: 'Auto and travel', uses: ['vehicles', 'travel', 'meals'] },
    { line: '7', words: 'Cleaning and maintenance', uses: ['supplies'] },
    { line: '8', words: 'Commissions', uses: ['commissions'] },
    { line: '9', words: 'Insurance', uses: ['insurance'] },
    { line: '10', words: 'Legal and other professional fees', uses: ['professional'] },
    { line: '11', words: 'Management fees', uses: ['management'] },
    { line: '12', words: 'Mortgage interest paid to banks', uses: ['mortgageInterest'] },
    { line: '13', words: 'Other interest', kinds: ['financeCost'] },
    { line: '14', words: 'Repairs', uses: ['repairs'] },
    { line: '15', words: 'Supplies', uses: ['office'] },
    { line: '16', words: 'Taxes', uses: ['propertyTaxes', 'payrollTaxes', 'licences'] },
    { line: '17', words: 'Utilities', uses: ['utilities', 'telephone'] },
    { line: '18', words: 'Depreciation', kinds: ['depreciation'] },
    { line: '19', words: 'Other', kinds: ['costOfSales', 'operatingExpense', 'otherExpense'], uses: ['wages', 'benefits', 'pension', 'badDebts', 'rent', 'landRent', 'contractors', 'directContractors', 'bank'] },
    { line: '4797', words: 'Gain or loss on property sold, which goes to Form 4797', kinds: ['gains'], uses: ['equipmentSold'], elsewhere: true },
  ],
}; // prettier-ignore
