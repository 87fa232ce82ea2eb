import type { ReturnForm } from '../return-form';

/** The Canadian return of a farmer who is no company. It has no balance sheet. */
export const T2042: ReturnForm = {
  name: 'T2042',
  year: 2024,
  source: 'CRA T2042, Statement of farming activities, tax year 2024; from memory',
  lines: [
    { line: '9470', words: 'Other crops and produce', kinds: ['saleOfGoods', 'returnsAndDiscounts'], uses: ['produce'] },
    { line: '9540', words: 'Other program payments', kinds: ['grantsAndDonations'], uses: ['programmes'] },
    { line: '9600', words: 'Other income', kinds: ['services', 'otherOperatingRevenue', 'investmentIncome'] },
    { line: '9601', words: 'Custom or contract work', uses: ['customIncome'] },
    { line: '9662', words: 'Fertilizers and soil supplements', uses: ['fertiliser'] },
    { line: '9664', words: 'Seeds and plants', uses: ['seed'] },
    { line: '9711', words: 'Feed, supplements, straw and bedding', uses: ['feed'] },
    { line: '9713', words: 'Veterinary fees, medicine and breeding', uses: ['breeding'] },
    { line: '9760', words: 'Machinery expenses', uses: ['hire'] },
    { line: '9795', words: 'Building repairs and maintenance', uses: ['repairs'] },
    { line: '9798', words: 'Custom or contract work and machine rental', uses: ['contractors', 'directContractors'] },
    { line: '9799', words: 'Electricity and heating', uses: ['utilities'] },
    { line: '9804', words: 'Insurance', uses: ['insurance'] },
    { line: '9805', words: 'Interest and bank charges', kinds: ['financeCost'], uses: ['mortgageInterest', 'bank'] },
    { line: '9808', words: 'Office expenses', uses: ['office', 'telephone'] },
    { line: '9809', words: 'Legal and accounting fees', uses: ['professional'] },
    { line: '9810', words: 'Property taxes', uses: ['propertyTaxes'] },
    { line: '9811', words: 'Rent of land, buildings and pasture', uses: ['rent', 'landRent'] },
    { line: '9815', words: 'Salaries, wages and benefits', uses: ['wages', 'directWages', 'payrollTaxes', 'benefits', 'pension'] },
    { line: '9819', words: 'Motor vehicle expenses', uses: ['vehicles'] },
    { line: '9820', words: 'Small tools', uses: ['supplies'] },
    { line: '9896', words: 'Other expenses', kinds: ['costOfSales', 'operatingExpense', 'otherExpense'], uses: ['advertising', 'travel', 'meals', 'badDebts', 'licences', 'delivery', 'otherDirect', 'materials', 'commissions'] },
    { line: '9936', words: 'Capital cost allowance', kinds: ['depreciation'] },
    { line: '–', words: 'Not on the return: gains or losses on what is sold', kinds: ['gains'], uses: ['equipmentSold'], elsewhere: true },
  ],
}; // prettier-ignore
