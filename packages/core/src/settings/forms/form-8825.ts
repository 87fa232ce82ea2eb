import type { ReturnForm, ReturnLine } from '../return-form';
import { FORM_1065 } from './form-1065';
import { FORM_1120S } from './form-1120s';

const SOURCE =
  'IRS Form 8825 (Rev. November 2018), with Schedule K and Schedule L of the return, tax year 2024; from memory';

/** What is let by a partnership or an S corporation: page 1 of the return has nothing of it. */
const RENTAL: readonly ReturnLine[] = [
  { line: '8825 2', words: 'Gross rents', kinds: ['saleOfGoods', 'services', 'returnsAndDiscounts', 'otherOperatingRevenue', 'grantsAndDonations'] },
  { line: '8825 3', words: 'Advertising', uses: ['advertising'] },
  { line: '8825 4', words: 'Auto and travel', uses: ['vehicles', 'travel', 'meals'] },
  { line: '8825 5', words: 'Cleaning and maintenance', uses: ['supplies'] },
  { line: '8825 6', words: 'Commissions', uses: ['commissions'] },
  { line: '8825 7', words: 'Insurance', uses: ['insurance'] },
  { line: '8825 8', words: 'Legal and other professional fees', uses: ['professional'] },
  { line: '8825 9', words: 'Interest', kinds: ['financeCost'], uses: ['mortgageInterest'] },
  { line: '8825 10', words: 'Repairs', uses: ['repairs'] },
  { line: '8825 11', words: 'Taxes', uses: ['propertyTaxes', 'payrollTaxes', 'licences'] },
  { line: '8825 12', words: 'Utilities', uses: ['utilities', 'telephone'] },
  { line: '8825 13', words: 'Wages and salaries', uses: ['wages', 'officers'] },
  { line: '8825 14', words: 'Depreciation', kinds: ['depreciation'] },
  { line: '8825 15', words: 'Other', kinds: ['costOfSales', 'operatingExpense', 'otherExpense', 'incomeTax'], uses: ['management'] },
  { line: '8825 19', words: 'Net gain from Form 4797 on rented property', kinds: ['gains'], uses: ['equipmentSold'] },
]; // prettier-ignore

/** A return whose trade is letting: rents and what they cost on Form 8825, the balance sheet as always. */
const letting = ({ name, year, lines }: ReturnForm): ReturnForm => ({
  name: `${name} with Form 8825`,
  year,
  source: SOURCE,
  lines: [...RENTAL, ...lines.filter(({ line }) => /^[KL] /.test(line))],
});

export const FORM_1065_LETTING = letting(FORM_1065);
export const FORM_1120S_LETTING = letting(FORM_1120S);
