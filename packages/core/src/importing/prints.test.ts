import { emptyChart } from '../chart/build';
import { sum } from '../money/minor';
import { adopted, aList, importOf } from '../testing/a-list';
import { recognizeColumns } from './columns';
import type { ImportPlan } from './import-plan';

const ACCOUNTS = aList(`
Thistle Bakery|
Year ended 31 March 2026|
|2026|2025
|£|£
Turnover|
Bread sales|82,000|75,100
Cake sales|31,000|28,900
Cost of sales|
Flour and butter|28,500|26,000
Packaging|4,100|3,900
Gross profit|80,400|74,100
Administrative expenses|
Wages|35,000|33,000
Rent|12,000|12,000
Light and heat|5,200|4,800
Net profit|28,200|24,300
Fixed assets|
Ovens|22,000|22,000
Less depreciation|(6,000)|(4,000)
Current assets|
Stock|1,800|1,700
Debtors|2,400|2,000
Cash at bank|9,100|5,200
Current liabilities|
Creditors|3,900|3,100
VAT|1,900|1,500
Net current assets|7,500|4,300
Net assets|23,500|22,300
Capital and reserves|
Capital introduced|10,000|10,000
Profit brought forward|5,300|1,000
Profit for the year|28,200|24,300
Drawings|20,000|13,000`);

const amountOf = (plan: ImportPlan, name: string): number | null | undefined =>
  plan.rows.find(({ entry }) => entry.name === name)?.entry.balance;

describe('printed statements brought in as a list', () => {
  const plan = importOf(emptyChart(), ACCOUNTS);

  it('have their newest year as amounts, and neither titles nor currencies as accounts', () => {
    expect(recognizeColumns(ACCOUNTS)).toMatchObject({
      headingLine: 3,
      uses: ['name', 'balance', null],
    });
    expect(plan.rows[0]?.entry.name).toBe('Turnover');
  });

  it('come in balance: each amount on the side of its account, a contra with or without a minus', () => {
    expect(plan.sides).toBe('usual');
    expect(amountOf(plan, 'Bread sales')).toBe(-8_200_000);
    expect(amountOf(plan, 'Wages')).toBe(3_500_000);
    expect(amountOf(plan, 'Less depreciation')).toBe(-600_000);
    expect(amountOf(plan, 'VAT')).toBe(-190_000);
    expect(amountOf(plan, 'Drawings')).toBe(2_000_000);
    expect(sum(plan.balances.map(({ amount }) => amount))).toBe(0);
  });

  it('have what is worked out from other lines as totals', () => {
    const totals = plan.rows.filter(({ status }) => status === 'total');
    expect(totals.map(({ entry }) => entry.name)).toEqual([
      'Gross profit',
      'Net profit',
      'Net current assets',
      'Net assets',
      'Profit for the year',
    ]);
  });

  it('have headings where the print has titles', () => {
    const headings = plan.rows.filter(({ role }) => role === 'heading');
    expect(headings.map(({ entry }) => entry.name)).toEqual([
      'Turnover',
      'Cost of sales',
      'Administrative expenses',
      'Fixed assets',
      'Current assets',
      'Current liabilities',
      'Capital and reserves',
    ]);
  });

  it('brought in again change nothing', () => {
    const chart = adopted(emptyChart(), plan);
    const again = importOf(chart, ACCOUNTS);
    expect(again.operations).toEqual([]);
    expect(again.balances).toEqual(plan.balances);
  });

  it('are read with debits positive where the user says so', () => {
    const other = importOf(emptyChart(), ACCOUNTS, { sides: 'debit' });
    expect(amountOf(other, 'Bread sales')).toBe(8_200_000);
  });
});

describe('what the year comes to', () => {
  it('is a line of equity in a balance sheet alone', () => {
    const plan = importOf(
      emptyChart(),
      aList(
        'Account|31 Dec 2025\nPetty cash|500\nTrade debtors|700\nTrade creditors|300\nShare capital|100\nProfit for the year|800',
      ),
    );
    const line = plan.rows.find(({ entry }) => entry.name === 'Profit for the year');
    expect(line).toMatchObject({ status: 'new', kind: { kind: 'retainedEarnings' } });
    expect(sum(plan.balances.map(({ amount }) => amount))).toBe(0);
  });

  it('is a line of equity below equity in a balance sheet with its totals', () => {
    const plan = importOf(
      emptyChart(),
      aList(`
Description|Dec-25|Dec-24
Current assets||
Cash on hand|250.00|300.00
Savings|14000.00|9000.00
Total current assets|14250.00|9300.00
Current liabilities||
Payroll taxes|600.00|500.00
Total current liabilities|600.00|500.00
Equity||
Member contributions|10000.00|10000.00
Member draws|-5000.00|-4000.00
Net income|8650.00|2800.00
Total equity|13650.00|8800.00`),
    );
    expect(amountOf(plan, 'Net income')).toBe(-865_000);
    expect(amountOf(plan, 'Member draws')).toBe(500_000);
    expect(sum(plan.balances.map(({ amount }) => amount))).toBe(0);
  });

  it('is an account of equity where the list has no amounts', () => {
    const plan = importOf(
      emptyChart(),
      aList('Name|Type\nSales|Income\nRent|Expense\nWages|Expense\nNet profit|Equity'),
    );
    expect(plan.rows.map(({ status }) => status)).not.toContain('total');
  });

  it('is an account where it has a number of its own', () => {
    const plan = importOf(
      emptyChart(),
      aList('No|Name\n3900|Net profit\n4000|Sales of goods\n6000|Rent\n6100|Wages'),
    );
    expect(plan.rows.map(({ status }) => status)).not.toContain('total');
  });
});

describe('amounts in brackets', () => {
  const BALANCE_SHEET = aList(`
|Note|2025|2024
||£|£
Fixed assets|||
Tangible assets|4|48,200|51,300
Current assets|||
Stocks||6,100|5,900
Debtors|5|14,250|13,020
Cash at bank and in hand||22,480|18,760
Creditors: amounts falling due within one year|6|(17,930)|(16,200)
Net current assets||24,900|21,480
Total assets less current liabilities||73,100|72,780
Creditors: amounts falling due after more than one year|7|(20,000)|(25,000)
Provisions for liabilities||(3,100)|(2,900)
Net assets||50,000|44,880
Capital and reserves|||
Called up share capital|8|100|100
Profit and loss account||49,900|44,780
Shareholders' funds||50,000|44,880`);

  it('are what is owed, where the whole then comes to nothing', () => {
    const plan = importOf(emptyChart(), BALANCE_SHEET);
    expect(amountOf(plan, 'Creditors: amounts falling due within one year')).toBe(-1_793_000);
    expect(amountOf(plan, 'Called up share capital')).toBe(-10_000);
    expect(sum(plan.balances.map(({ amount }) => amount))).toBe(0);
  });

  it('do not make what is owed an asset because it stands behind them', () => {
    const plan = importOf(emptyChart(), BALANCE_SHEET);
    const creditors = plan.rows.find(({ entry }) => entry.name.includes('within one year'));
    expect(creditors?.level).toBe(1);
    expect(plan.rows.map(({ status }) => status)).not.toContain('wrong');
  });

  it('and notes beside them are no numbers of accounts', () => {
    expect(recognizeColumns(BALANCE_SHEET).uses).toEqual(['name', null, 'balance', null]);
  });

  it('are what is spent, where income stands without', () => {
    const plan = importOf(
      emptyChart(),
      aList(`
Activities|This year|Last year
Income||
Membership subscriptions|14200|13900
Bar takings|9120|8800
Expenditure||
Pitch hire|-6200|-6000
Insurance|-1150|-1100
Surplus for the year|15970|15600`),
    );
    expect(amountOf(plan, 'Bar takings')).toBe(-912_000);
    expect(amountOf(plan, 'Insurance')).toBe(115_000);
  });
});

describe('lines of a print that are no accounts', () => {
  it('may repeat what the lines since the last title come to', () => {
    const plan = importOf(
      emptyChart(),
      aList(
        'Name|2025\nCurrent assets|\nPetty cash|200\nTrade debtors|300\nCurrent assets|500\nOverheads|\nRent|100\nWages|400\nCapital and reserves|\nShare capital|1000',
      ),
    );
    expect(plan.rows.map(({ status }) => status === 'total')).toEqual(
      [false, false, false, true].concat(Array.from({ length: 5 }, () => false)),
    );
  });

  it('may stand over titles of several elements', () => {
    const plan = importOf(
      emptyChart(),
      aList(`
Name|Balance
Trading|
   Income|
      Boat rentals|-64210.00
      Snack sales|-3950.00
   Overheads|
      Dock lease|14400.00
      Insurance|3600.00`),
    );
    expect(plan.rows.map(({ entry, status }) => [entry.name, status])).toEqual([
      ['Trading', 'band'],
      ['Income', 'band'],
      ['Boat rentals', 'new'],
      ['Snack sales', 'new'],
      ['Overheads', 'new'],
      ['Dock lease', 'new'],
      ['Insurance', 'new'],
    ]);
  });

  it.each([
    'Income and expenditure',
    'Assets / liabilities',
    'Liabilities & equity',
    'Other income/expense',
  ])('may name several elements: %s', (name) => {
    const plan = importOf(
      emptyChart(),
      aList(`Name|Balance\n${name}|\n   Petty cash|5.00\n   Trade creditors|-5.00`),
    );
    expect(plan.rows[0]?.status).toBe('band');
  });
});

describe('operating income', () => {
  const LINES =
    'Account|Total\nRevenue|\nLessons|900\nExpenses|\nStudio rent|600\nOperating income|300';
  const statusIn = (text: string) =>
    importOf(emptyChart(), aList(text)).rows.find(({ entry }) => entry.name === 'Operating income')
      ?.status;

  it('is worked out in a list with totals, and an account in another', () => {
    expect(statusIn(LINES.replace('\nOperating', '\nTotal expenses|600\nOperating'))).toBe('total');
    expect(statusIn(LINES)).toBe('new');
  });
});

describe('the side of an amount', () => {
  it.each([
    ['debits are positive', '-530.00|-20.00', 'debit'],
    ['all are as printed', '530.00|20.00', 'usual'],
  ])('is told by accounts that clearly stand in credit: %s', (_what, cells, sides) => {
    const [sales, creditors] = cells.split('|');
    const plan = importOf(
      emptyChart(),
      aList(`Name|Balance\nSales of goods|${sales}\nTrade creditors|${creditors}\nRent|300.00`),
    );
    expect(plan.sides).toBe(sides);
  });

  it('needs no telling where amounts come to nothing', () => {
    const plan = importOf(
      emptyChart(),
      aList('Name|Balance\nSales of goods|100.00\nTrade creditors|100.00\nRent|-200.00'),
    );
    expect(plan.sides).toBe('debit');
  });
});

describe('the heading of a column of amounts', () => {
  const usesOf = (...headings: readonly string[]) =>
    recognizeColumns(
      aList(
        [
          ['Account', ...headings],
          ['Rent', '12,000', '11,000'],
          ['Wages', '35,000', '33,500'],
        ]
          .map((cells) => cells.slice(0, headings.length + 1).join('|'))
          .join('\n'),
      ),
    ).uses;

  it.each([
    ['2025'],
    ['31 Dec 2025'],
    ['31/12/2025'],
    ['Year ended 30 June 2026'],
    ['FY2025'],
    ['FY26'],
    ['2025/26'],
    ['2025-26'],
    ['25/26'],
    ['£'],
    ['This year'],
    ['Jan 2025 to Dec 2025'],
  ])('may be a period or a currency: %s', (heading) => {
    expect(usesOf(heading)).toEqual(['name', 'balance']);
  });

  it.each([
    ['2024', '2025', [null, 'balance']],
    ['2025', '2024', ['balance', null]],
    ['FY25', 'FY26', [null, 'balance']],
    ['2025/26', '2024/25', ['balance', null]],
    ['Last year', 'This year', [null, 'balance']],
    ['31 Mar 2026', '30 June 2026', [null, 'balance']],
    ['Jun 26', 'May 26', ['balance', null]],
    ['Jan - Dec 2024', 'Jan - Dec 2025', [null, 'balance']],
  ])('names the newest of several: %s and %s', (first, second, uses) => {
    expect(usesOf(first, second)).toEqual(['name', ...uses]);
  });
});

describe('amounts without a heading', () => {
  const RECEIPTS = aList(`
Receipts and payments for the year to 5 April 2026
Receipts|£
Donations|4200
Jumble sale|615
Hall hire|2310
Bank interest|38
Payments|£
Hall cleaning|1400
Heating|1905
Repairs|820
Insurance|640
Surplus|2398`);

  it('are not taken for numbers of accounts: they are neither of one length nor in order', () => {
    expect(recognizeColumns(RECEIPTS).uses).toEqual(['name', 'balance']);
    expect(
      recognizeColumns(aList('1000|Petty cash\n1010|Bank\n1200|Stock\n4000|Sales')).uses,
    ).toEqual(['number', 'name']);
  });

  it('stand beside names, below what the list is called and between the titles of its halves', () => {
    const plan = importOf(emptyChart(), RECEIPTS);
    expect(plan.rows.map(({ entry, status }) => [entry.name, status])).toEqual([
      ['Receipts', 'band'],
      ['Donations', 'new'],
      ['Jumble sale', 'new'],
      ['Hall hire', 'new'],
      ['Bank interest', 'new'],
      ['Payments', 'band'],
      ['Hall cleaning', 'new'],
      ['Heating', 'new'],
      ['Repairs', 'new'],
      ['Insurance', 'new'],
      ['Surplus', 'total'],
    ]);
    expect(amountOf(plan, 'Hall hire')).toBe(-231_000);
    expect(amountOf(plan, 'Heating')).toBe(190_500);
  });
});

describe('a list whose amounts come to more than can be counted exactly', () => {
  it.each([
    ['Name|Balance', (index: number) => `Sales ${index}|99999999999.00`, 'balance'],
    ['Name|Dr|Cr', (index: number) => `Sales ${index}||99999999999.00`, 'credit'],
  ])('has what goes beyond refused at its row: %s', (head, line, use) => {
    const lines = Array.from({ length: 1000 }, (_one, index) => line(index));
    const plan = importOf(emptyChart(), aList([head, ...lines].join('\n')));
    const wrong = plan.rows.filter(({ status }) => status === 'wrong');
    expect(wrong.length).toBe(100);
    expect(wrong[0]?.problems).toEqual([{ use, rule: 'amountTooLarge', text: '99999999999.00' }]);
  });
});

describe('the last line of a trial balance, without a name', () => {
  it('is its total, where debits and credits come to the same', () => {
    const plan = importOf(
      emptyChart(),
      aList('Account|Dr $|Cr $\nBank|700|\nWages|300|\nFees||1000\n|1000|1000'),
    );
    expect(plan.rows.at(-1)?.status).toBe('total');
  });

  it('is asked for its name where they do not', () => {
    const plan = importOf(
      emptyChart(),
      aList('Account|Dr|Cr\nBank|700|\nWages|300|\nFees||900\n||100'),
    );
    expect(plan.rows.at(-1)?.status).toBe('wrong');
  });
});
