import type { ReturnLine } from '../return-form';

/** The cost of goods sold by its parts, which goes with the returns of companies and partnerships. Source: IRS Form 1125-A, tax year 2024; from memory. */
export const FORM_1125A: readonly ReturnLine[] = [
  { line: 'A 1', words: 'Inventory at beginning of year (Form 1125-A)', computed: 'stockAtStart' },
  { line: 'A 2', words: 'Purchases (Form 1125-A)', kinds: ['costOfSales'], uses: ['materials'], computed: 'purchases' },
  { line: 'A 3', words: 'Cost of labor (Form 1125-A)', uses: ['directWages'], part: 'costOfSales' },
  { line: 'A 5', words: 'Other costs (Form 1125-A)', uses: ['directContractors', 'otherDirect', 'delivery'], part: 'costOfSales' },
  { line: 'A 7', words: 'Inventory at end of year (Form 1125-A)', computed: 'stockAtEnd' },
]; // prettier-ignore
