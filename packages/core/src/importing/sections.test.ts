import { emptyChart } from '../chart/build';
import { adopted, aList, importOf } from '../testing/a-list';
import type { ImportPlan } from './import-plan';

const PRINT = aList(`
No|Name
100|Fixed assets
101|Office fit-out
102|Office fit-out depreciation to date
120|Current assets
121|Trade debtors
127|Bank current account
140|Creditors under one year
141|Trade creditors
145|VAT control
170|Capital & reserves
171|Share capital
172|Retained profit brought forward
200|Income
201|Sales of goods
300|Direct
301|Purchases of goods for resale
302|Carriage inwards
400|Overheads
401|Rent of office
405|Telephone`);

const outline = (plan: ImportPlan): readonly string[] =>
  plan.rows.map(
    ({ entry, level, status }) =>
      `${'  '.repeat(level - 1)}${entry.name}${status === 'band' ? ' (no account)' : ''}`,
  );

describe('titles between the lines of a flat list', () => {
  it('head what follows them, to the next title', () => {
    const plan = importOf(emptyChart(), PRINT);
    expect(plan.treeSource).toBe('sections');
    expect(outline(plan)).toEqual([
      'Fixed assets',
      '  Office fit-out',
      '  Office fit-out depreciation to date',
      'Current assets',
      '  Trade debtors',
      '  Bank current account',
      'Creditors under one year',
      '  Trade creditors',
      '  VAT control',
      'Capital & reserves',
      '  Share capital',
      '  Retained profit brought forward',
      'Income',
      '  Sales of goods',
      'Direct',
      '  Purchases of goods for resale',
      '  Carriage inwards',
      'Overheads',
      '  Rent of office',
      '  Telephone',
    ]);
  });

  it('become headings, and tell what stands below them', () => {
    const plan = importOf(emptyChart(), PRINT);
    const headings = plan.rows.filter(({ role }) => role === 'heading');
    expect(headings.map(({ entry }) => entry.name)).toEqual([
      'Fixed assets',
      'Current assets',
      'Creditors under one year',
      'Capital & reserves',
      'Income',
      'Direct',
      'Overheads',
    ]);
    const kindOf = (name: string) => plan.rows.find(({ entry }) => entry.name === name)?.kind?.kind;
    expect(kindOf('Carriage inwards')).toBe('costOfSales');
    expect(plan.rows.map(({ status }) => status)).not.toContain('wrong');
  });

  it('brought in again change nothing', () => {
    const chart = adopted(emptyChart(), importOf(emptyChart(), PRINT));
    expect(importOf(chart, PRINT).operations).toEqual([]);
  });

  it('speak for one line that reads otherwise; two of another element end them, or one before the next', () => {
    const plan = importOf(
      emptyChart(),
      aList(`
Name
Current assets
Trade debtors
Share capital
Petty cash
Van loan from the bank
Current liabilities
Trade creditors
Overheads
Telephone
Interest received
Dividends received
Stationery`),
    );
    expect(outline(plan)).toEqual([
      'Current assets',
      '  Trade debtors',
      '  Share capital',
      '  Petty cash',
      'Van loan from the bank',
      'Current liabilities',
      '  Trade creditors',
      'Overheads',
      '  Telephone',
      'Interest received',
      'Dividends received',
      'Stationery',
    ]);
  });

  it('stand below the element that another title names, which is no account', () => {
    const plan = importOf(
      emptyChart(),
      aList(`
Name
Assets
Current assets
Petty cash
Trade debtors
Fixed assets
Motor van
Liabilities
Current liabilities
Trade creditors
Payroll taxes payable
Bank loan`),
    );
    expect(outline(plan)).toEqual([
      'Assets (no account)',
      'Current assets',
      '  Petty cash',
      '  Trade debtors',
      'Fixed assets',
      '  Motor van',
      'Liabilities (no account)',
      'Current liabilities',
      '  Trade creditors',
      '  Payroll taxes payable',
      '  Bank loan',
    ]);
  });

  it('may be words in capitals where the first title is', () => {
    const plan = importOf(
      emptyChart(),
      aList(`
Name
FIXED ASSETS
Tractor
Barn
STOCK DEBTORS & BANK
Hay in the yard
Petty cash
OWING
Trade creditors
PAYE
Bank loan`),
    );
    expect(outline(plan)).toEqual([
      'FIXED ASSETS',
      '  Tractor',
      '  Barn',
      'STOCK DEBTORS & BANK',
      '  Hay in the yard',
      '  Petty cash',
      'OWING',
      '  Trade creditors',
      '  PAYE',
      '  Bank loan',
    ]);
  });

  it.each([
    [
      'have an amount',
      'Name|Balance\nFixed assets|500.00\nCurrent assets|20.00\nCurrent liabilities|-20.00\nOverheads|30.00\nSales|-530.00',
    ],
    [
      'are fewer than three',
      'Name\nFixed assets\nVan\nTools\nOverheads\nRent\nTelephone\nStationery\nSales',
    ],
    [
      'come after an account',
      'Name\nPetty cash\nFixed assets\nVan\nTools\nCurrent assets\nTrade debtors\nOverheads\nRent\nTelephone\nStationery',
    ],
  ])('are none where they %s', (_why, text) => {
    expect(importOf(emptyChart(), aList(text)).treeSource).toBe('flat');
  });

  it('place more of a list than dashes within its names do', () => {
    const plan = importOf(
      emptyChart(),
      aList(`
Name
Fixed assets
Van - cost
Van - depreciation to date
Current assets
Petty cash
Trade debtors
Overheads
Van - fuel
Telephone`),
    );
    expect(plan.treeSource).toBe('sections');
    expect(outline(plan)).toContain('  Van - fuel');
  });
});

describe('what is added to a result', () => {
  it('stands below no title before it', () => {
    const plan = importOf(
      emptyChart(),
      aList(
        'Name|2026\nCost of sales|\nPurchases|500\nCarriage in|20\nGross profit|900\nAdd: Mooring fees|140\nOverheads|\nRent|300\nWages|200\nFixed assets|\nBoats|800',
      ),
    );
    const added = plan.rows.find(({ entry }) => entry.name === 'Add: Mooring fees');
    expect(added?.level).toBe(1);
  });
});

describe('a list with nothing but elements between its lines', () => {
  it('leaves accounts of the chart below the headings where they stand', () => {
    const placed = aList('Number|Name|Parent\n1000|Money|\n1010|Petty cash|1000\n1020|Bank|1000');
    const chart = adopted(emptyChart(), importOf(emptyChart(), placed));
    const list = aList(
      'Number|Name\n|Assets\n1010|Petty cash\n1020|Bank\n|Income\n4000|Fees\n|Expenses\n6000|Rent\n6100|Telephone',
    );
    const plan = importOf(chart, list);
    expect(plan.operations.map(({ type }) => type)).toEqual([
      'addAccount',
      'addAccount',
      'addAccount',
    ]);
  });
});
