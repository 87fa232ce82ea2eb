import { emptyChart } from '../chart/build';
import { elementOf } from '../kinds/kinds';
import { sum } from '../money/minor';
import { adopted, aList, importOf } from '../testing/a-list';
import { recognizeColumns } from './columns';
import type { ImportPlan } from './import-plan';

const ACCOUNTS = aList(`
||2026||2025
|£|£|£|£
Turnover||||
Fees||61500||58200
Cost of sales||||
Opening stock|3000||2500|
Purchases|20000||18100|
Less closing stock|4000||3000|
||19000||17600
Gross profit||42500||40600
Overheads||||
Rent|9000||9000|
Wages|14000||13500|
Motor expenses|2600||2400|
Sundries|450|26050|300|25200
Net profit||16450||15400
Fixed assets||||
Van|12000||12000|
Less depreciation|4000|8000|2000|10000
Current assets||||
Stock|4000||3000|
Debtors|5200||4100|
Bank|7250||3100|
|16450||10200|
Current liabilities||||
Creditors|3100||2900|
VAT|1400|4500|1100|4000
Net current assets||11950||6200
Net assets||19950||16200
Capital account||||
Balance brought forward|16200||13800|
Profit for the year|16450||15400|
Less drawings|12700|19950|13000|16200`);

const rowOf = (plan: ImportPlan, name: string) =>
  plan.rows.find(({ entry }) => entry.name === name);
const amountOf = (plan: ImportPlan, name: string): number | null | undefined =>
  rowOf(plan, name)?.entry.balance;

describe('a print whose details are set in', () => {
  const plan = importOf(emptyChart(), ACCOUNTS);

  it('has its details in the inner column and what they come to in the outer one, of the newest year', () => {
    expect(recognizeColumns(ACCOUNTS).uses).toEqual([
      'name',
      'innerBalance',
      'balance',
      null,
      null,
    ]);
  });

  it('has the year over the inner column as well', () => {
    const other = aList('|2026||2025\nRent|900||800\nWages|100|1000|100\nSales||5000|4000');
    expect(recognizeColumns(other).uses.slice(0, 3)).toEqual(['name', 'innerBalance', 'balance']);
  });

  it('comes in balance, each detail once', () => {
    expect(amountOf(plan, 'Fees')).toBe(-6_150_000);
    expect(amountOf(plan, 'Sundries')).toBe(45_000);
    expect(amountOf(plan, 'VAT')).toBe(-140_000);
    expect(sum(plan.balances.map(({ amount }) => amount))).toBe(0);
  });

  it('takes off what is called less, where its sum does', () => {
    expect(amountOf(plan, 'Less closing stock')).toBe(-400_000);
    expect(amountOf(plan, 'Less depreciation')).toBe(-400_000);
    expect(amountOf(plan, 'Less drawings')).toBe(1_270_000);
  });

  it('has lines without a name, inside and outside, as totals', () => {
    const totals = plan.rows.filter(({ status }) => status === 'total');
    expect(totals.map(({ entry }) => entry.name)).toEqual([
      '',
      'Gross profit',
      'Net profit',
      '',
      'Net current assets',
      'Net assets',
      'Profit for the year',
    ]);
  });

  it('has lines with nothing beside them as headings', () => {
    expect(rowOf(plan, 'Capital account')).toMatchObject({ role: 'heading', level: 1 });
    expect(rowOf(plan, 'Balance brought forward')).toMatchObject({ role: 'posting', level: 2 });
  });

  it('brought in again changes nothing', () => {
    const again = importOf(adopted(emptyChart(), plan), ACCOUNTS);
    expect(again.operations).toEqual([]);
    expect(again.balances).toEqual(plan.balances);
  });
});

describe('a trading account', () => {
  const plan = importOf(
    emptyChart(),
    aList(`
Alder Joinery|||
Trading account for the year ended 31 March 2026|||
|£|£|£
Sales|||148200
Less returns inwards|||1200
|||147000
Cost of goods sold|||
Opening inventory||9100|
Purchases||52300|
Carriage in||1400|
||62800|
Less closing inventory||8800|
|||54000
Gross profit|||93000
Less expenses|||
Wages||41000|
Workshop rent||12000|
Heat and light||3350|
Depreciation of machinery||3000|59350
Net profit|||33650`),
  );

  it('may begin with an account, and has what was left after each step as totals', () => {
    expect(plan.rows[0]).toMatchObject({ status: 'new', entry: { name: 'Sales' } });
    expect(plan.rows.filter(({ status }) => status === 'total')).toHaveLength(5);
    expect(plan.rows.map(({ status }) => status)).not.toContain('wrong');
  });

  it('comes to its net profit', () => {
    expect(amountOf(plan, 'Sales')).toBe(-14_820_000);
    expect(amountOf(plan, 'Less returns inwards')).toBe(120_000);
    expect(sum(plan.balances.map(({ amount }) => amount))).toBe(-3_365_000);
  });
});

describe('a print with a second statement below the first', () => {
  const plan = importOf(
    emptyChart(),
    aList(`
|2026
Income|
  Subscriptions|9,600
Overheads|
  Coaching|1,900
Surplus for the year|7,700
Balance sheet as at 31 October 2026|
|2026
Current assets|
  Current account|8,900
Financed by|
  Club funds|1,200
  Surplus for the year|7,700`),
  );

  it('passes over what the second is called, and its headings', () => {
    const names = plan.rows.map(({ entry }) => entry.name);
    expect(names).not.toContain('Balance sheet as at 31 October 2026');
    expect(plan.rows.map(({ status }) => status)).not.toContain('wrong');
    expect(plan.dated).toBe('2026-10');
  });

  it('has below a title what the title says, also where lines are indented', () => {
    expect(plan.treeSource).toBe('indent');
    expect(elementOf(rowOf(plan, 'Club funds')?.kind?.kind ?? 'bank')).toBe('equity');
    expect(sum(plan.balances.map(({ amount }) => amount))).toBe(0);
  });
});

describe('what stands over a print', () => {
  const namesIn = (text: string) =>
    importOf(emptyChart(), aList(text)).rows.map(({ entry }) => entry.name);

  it('is passed over up to the line that dates it', () => {
    const lines = 'Operating checking|41,220.18\nMember capital|(41,220.18)';
    const title = 'Larkspur Clinic\nStatement of assets and equity\nAs of September 30, 2026';
    expect(namesIn(`${title}\n${lines}`)).toEqual(['Operating checking', 'Member capital']);
  });

  it('may be dated by a year alone, if it is called as a statement is', () => {
    expect(namesIn('Osprey Farm\nFarm income summary 2025\nWool|2,915.00\nHay|11,400.00')).toEqual([
      'Wool',
      'Hay',
    ]);
  });

  it('is an account in a list of names alone, unless it says for what period the list is', () => {
    expect(namesIn('Petty cash\nTrading losses May 2025\nParty in May 2025\nFees')).toHaveLength(4);
    expect(namesIn('Accounts for the year to 5 April 2026\nBank\nFees')).toEqual(['Bank', 'Fees']);
  });

  it('is an account where nothing is dated', () => {
    expect(namesIn('Petty cash\nBank|5.00\nFees|(5.00)')).toContain('Petty cash');
  });
});

describe('titles before titles that are not set in', () => {
  it('are bands, of one element or of several', () => {
    const plan = importOf(
      emptyChart(),
      aList(`
Name|Balance
ASSETS|
Current assets|
   Checking|41.00
   Inventory|18.00
LIABILITIES AND EQUITY|
Current liabilities|
   Accounts payable|9.00
   Accrued wages|50.00`),
    );
    expect(rowOf(plan, 'ASSETS')?.status).toBe('band');
    expect(rowOf(plan, 'LIABILITIES AND EQUITY')?.status).toBe('band');
  });
});

describe('the title of what is owed and owned', () => {
  it.each([
    "Liabilities and members' equity",
    "LIABILITIES AND STOCKHOLDERS' EQUITY",
    "Liabilities and owner's equity",
    "Liabilities & partners' equity",
  ])('is no account: %s', (name) => {
    const plan = importOf(
      emptyChart(),
      aList(`Name|Balance\n${name}|\n   Petty cash|5.00\n   Trade creditors|-5.00`),
    );
    expect(plan.rows[0]?.status).toBe('band');
  });
});

describe('a print without titles', () => {
  const plan = importOf(
    emptyChart(),
    aList(
      'Name|2026\nSales|96,410\nOpening stock|1,900\nPurchases|34,220\nClosing stock|(2,150)\nCost of sales|33,970\nGross profit|62,440\nWages|27,300\nNet profit|35,140',
    ),
  );

  it('has what is called as titles are, and is the sum of the lines just before it, as a total', () => {
    const totals = plan.rows.filter(({ status }) => status === 'total');
    expect(totals.map(({ entry }) => entry.name)).toEqual([
      'Cost of sales',
      'Gross profit',
      'Net profit',
    ]);
  });

  it('has income where a profit is printed above zero, though there is an amount with a minus', () => {
    expect(plan.sides).toBe('usual');
    expect(amountOf(plan, 'Sales')).toBe(-9_641_000);
    expect(amountOf(plan, 'Closing stock')).toBe(-215_000);
  });
});

describe('a statement of activities', () => {
  it('has what the year comes to, and what is left of it, as totals', () => {
    const plan = importOf(
      emptyChart(),
      aList(
        'Name|2026\nSupport and revenue|\nGifts|184.00\nGrants|90.00\nTotal support and revenue|274.00\nExpenses|\nProgram services|200.00\nFundraising|50.00\nTotal expenses|250.00\nChange in net assets|24.00\nNet assets, beginning of year|100.00\nNet assets, end of year|124.00',
      ),
    );
    const status = (name: string) => rowOf(plan, name)?.status;
    expect(status('Change in net assets')).toBe('total');
    expect(status('Net assets, end of year')).toBe('total');
    expect(status('Net assets, beginning of year')).toBe('new');
  });
});

describe('amounts with their side behind them', () => {
  it('are amounts, and no names', () => {
    const list = aList('101 Bank|12,455.10DR\n110 Debtors|940.00DR\n300 Capital|13,395.10CR');
    expect(recognizeColumns(list).uses).toEqual(['numberAndName', 'balance']);
  });
});

describe('two columns of amounts are no inner and outer one', () => {
  it.each([
    [
      'debits and credits, by what they come to',
      'Bank|700|\nWages|300|\nRent|50|\nFees||1000\nLoan||50\n|1050|1050',
      ['name', 'debit', 'credit'],
    ],
    [
      'debits and credits in another language',
      'Konto|Soll|Haben\nKasse|700|\nLohn|350|\nErloes||1000\nDarlehen||50',
      ['name', 'debit', 'credit'],
    ],
    [
      'two years beside each other',
      'Bank|700.00|500.00\nWages|300.00|300.00\nRent|50.00|50.00\nFees|1000.00|900.00',
      ['name', 'balance', null],
    ],
    [
      'an amount and a budget',
      'Name|Amount|Budget\nRent|500|\nWages|500|1000\nFees|300|',
      ['name', 'balance', 'budget'],
    ],
    [
      'the month and the year to date',
      'Name|This month|Year to date\nFees|500.00|1,500.00\nRent|100.00|200.00',
      ['name', null, 'balance'],
    ],
  ])('where they are %s', (_what, text, uses) => {
    expect(recognizeColumns(aList(text)).uses).toEqual(uses);
  });
});
