import { emptyChart } from '../chart/build';
import { elementOf } from '../kinds/kinds';
import type { Element } from '../kinds/element';
import { aList, importOf } from '../testing/a-list';

/** The adjusted trial balances of three textbooks, without types and numbers; all figures from memory, agreeing among themselves. */
const BOOKS = [
  {
    // Source: OpenStax, Principles of Accounting, Volume 1, ch. 4, “Printing Plus”.
    book: 'a print shop',
    list: `
Account|Debit|Credit
Cash|24,800|
Accounts Receivable|1,200|
Interest Receivable|140|
Supplies|400|
Equipment|3,500|
Accumulated Depreciation: Equipment||75
Accounts Payable||500
Salaries Payable||1,500
Unearned Revenue||3,400
Common Stock||20,000
Dividends|100|
Interest Revenue||140
Service Revenue||10,100
Supplies Expense|100|
Depreciation Expense: Equipment|75|
Salaries Expense|5,100|
Utility Expense|300|`,
    figures: { income: 4665, assets: 29965, liabilities: 5400, equity: 19900 },
  },
  {
    // Source: Weygandt, Kimmel, Kieso, Accounting Principles, ch. 3 and 4, the advertising agency.
    book: 'an advertising agency',
    list: `
Account|Debit|Credit
Cash|15,200|
Accounts Receivable|200|
Supplies|1,000|
Prepaid Insurance|550|
Equipment|5,000|
Accumulated Depreciation—Equipment||40
Notes Payable||5,000
Accounts Payable||2,500
Unearned Service Revenue||800
Salaries and Wages Payable||1,200
Interest Payable||50
Owner’s Capital||10,000
Owner’s Drawings|500|
Service Revenue||10,600
Salaries and Wages Expense|5,200|
Supplies Expense|1,500|
Rent Expense|900|
Insurance Expense|50|
Interest Expense|50|
Depreciation Expense|40|`,
    figures: { income: 2860, assets: 21910, liabilities: 9550, equity: 9500 },
  },
  {
    // Source: Wild, Shaw, Fundamental Accounting Principles, ch. 3, the consulting firm.
    book: 'a consulting firm',
    list: `
Account|Debit|Credit
Cash|4,350|
Accounts receivable|1,800|
Supplies|8,670|
Prepaid insurance|2,300|
Equipment|26,000|
Accumulated depreciation—Equip.||375
Accounts payable||6,200
Salaries payable||210
Unearned consulting revenue||2,750
C. Taylor, Capital||30,000
C. Taylor, Withdrawals|200|
Consulting revenue||7,850
Rental revenue||300
Depreciation expense—Equip.|375|
Salaries expense|1,610|
Insurance expense|100|
Rent expense|1,000|
Supplies expense|1,050|
Utilities expense|230|`,
    figures: { income: 3785, assets: 42745, liabilities: 9160, equity: 29800 },
  },
] as const;

describe.each(BOOKS)('the trial balance of $book, brought in as a list without types', (one) => {
  const { balances } = importOf(emptyChart(), aList(one.list));
  const sum = (...elements: readonly Element[]): number =>
    balances
      .filter(({ kind }) => elements.includes(elementOf(kind)))
      .reduce((total, { amount }) => total + amount, 0) / 100;

  it('gives the published net income, assets, liabilities and equity before the result', () => {
    expect({
      income: -sum('revenue', 'expense'),
      assets: sum('asset'),
      liabilities: -sum('liability'),
      equity: -sum('equity'),
    }).toEqual(one.figures);
  });
});
