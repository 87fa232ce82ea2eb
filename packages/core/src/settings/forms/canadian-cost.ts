import type { ReturnLine } from '../return-form';

/** The lines of the cost of sales that have other words on each form. */
type Worded = '8320' | '8340' | '8360' | '8450' | '8518';

/** The cost of sales by its parts, under the codes of the Canadian tax office. Source: CRA guide RC4088, 2024; from memory. */
export const canadianCost = (words: Readonly<Record<Worded, string>>): readonly ReturnLine[] => [
  { line: '8300', words: 'Opening inventory', computed: 'stockAtStart' },
  { line: '8320', words: words['8320'], kinds: ['costOfSales'], uses: ['materials'], computed: 'purchases' },
  { line: '8340', words: words['8340'], uses: ['directWages'], part: 'costOfSales' },
  { line: '8360', words: words['8360'], uses: ['directContractors'], part: 'costOfSales' },
  { line: '8450', words: words['8450'], uses: ['otherDirect'], part: 'costOfSales' },
  { line: '8500', words: 'Closing inventory', computed: 'stockAtEnd' },
  { line: '8518', words: words['8518'], computed: 'costOfSales' },
]; // prettier-ignore
