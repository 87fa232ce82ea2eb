import type { ReturnForm } from '../return-form';

/** The UK return of a landlord who is no company. It has no balance sheet. */
export const SA105: ReturnForm = {
  name: 'SA105',
  year: 2024,
  source: 'HMRC SA105, UK property, tax year 2024 to 2025; from memory',
  lines: [
    { line: '20', words: 'Total rents and other income from property', kinds: ['saleOfGoods', 'services', 'returnsAndDiscounts', 'otherOperatingRevenue', 'grantsAndDonations', 'investmentIncome'] },
    { line: '24', words: 'Rent, rates, insurance and ground rents', uses: ['rent', 'landRent', 'propertyTaxes', 'insurance'] },
    { line: '25', words: 'Property repairs and maintenance', uses: ['repairs'] },
    { line: '26', words: 'Non-residential property finance costs' },
    { line: '27', words: 'Legal, management and other professional fees', uses: ['professional', 'management'] },
    { line: '28', words: 'Costs of services provided, including wages', kinds: ['costOfSales'], uses: ['wages', 'directWages', 'payrollTaxes', 'benefits', 'pension', 'contractors', 'utilities'] },
    { line: '29', words: 'Other allowable property expenses', kinds: ['operatingExpense', 'otherExpense'], uses: ['advertising', 'office', 'supplies', 'telephone', 'travel', 'vehicles', 'bank', 'commissions', 'badDebts', 'licences'] },
    { line: '44', words: 'Residential property finance costs', kinds: ['financeCost'], uses: ['mortgageInterest'] },
    { line: '–', words: 'Not on the return: depreciation, and gains or losses on what is sold', kinds: ['depreciation', 'gains'], uses: ['equipmentSold', 'meals'], elsewhere: true },
  ],
}; // prettier-ignore
