import { emptyChart } from '../chart/build';
import { aList, importOf } from '../testing/a-list';
import { findTree, treeSourceOf } from './find-tree';
import { recognizeColumns } from './columns';
import { readRows } from './read-rows';
import { joinStaggered } from './staggered';
import { parentsByDigits } from './tree-by-digits';

const treeOf = (text: string) => {
  const rows = aList(text);
  const read = readRows(rows, {
    columns: recognizeColumns(rows),
    currency: 'USD',
    today: '2026-11-25',
    mended: new Map(),
  });
  const source = treeSourceOf(read);
  const tree = findTree(read, source);
  const pathOf = (at: number): string => {
    const row = tree[at];
    if (row === undefined) return '';
    return row.parent === null ? row.entry.name : `${pathOf(row.parent)} > ${row.entry.name}`;
  };
  return { source, tree, paths: tree.map((_row, at) => pathOf(at)) };
};

describe('paths that end alike', () => {
  it('keep their whole names, so that both become accounts', () => {
    const list = aList(
      'Name\nCapital - Ines\nCapital - Tope\nCurrent account - Ines\nCurrent account - Tope',
    );
    const plan = importOf(emptyChart(), list);
    expect(plan.rows.map(({ entry, status, level }) => [entry.name, status, level])).toEqual([
      ['Capital', 'new', 1],
      ['Capital - Ines', 'new', 2],
      ['Capital - Tope', 'new', 2],
      ['Current account', 'new', 1],
      ['Current account - Ines', 'new', 2],
      ['Current account - Tope', 'new', 2],
    ]);
  });
});

describe('the tree of a list', () => {
  it('is found from a parent column, by number or by name, also where the parent comes later', () => {
    const { source, paths } = treeOf(`
Number|Name|Parent
1010|Till|1000
1000|Cash|
1011|Coins|Till`);
    expect(source).toBe('parent');
    expect(paths).toEqual(['Cash > Till', 'Cash', 'Cash > Till > Coins']);
  });

  it('says which parent is not in the list, and where parents go round in a circle', () => {
    const { tree } = treeOf('Name|Parent\nTill|Safe\nBank|Cash\nCash|Bank');
    expect(tree.map(({ problem }) => problem?.rule ?? null)).toEqual([
      'parentUnknown',
      'parentCircle',
      'parentCircle',
    ]);
  });

  it('leaves a dash within a name where nothing else stands below the part before it', () => {
    const rows = aList(`
Name|Balance
Fees - Northern branch|10
Fees - Southern branch|20
Accum. amort. - goodwill|-5
Software|30`);
    const names = importOf(emptyChart(), rows).rows.map(({ entry }) => entry.name);
    expect(names).toEqual([
      'Fees',
      'Northern branch',
      'Southern branch',
      'Accum. amort. - goodwill',
      'Software',
    ]);
  });

  it('is not made of a long flat list by three lines that somebody pushed in', () => {
    const lines = Array.from(
      { length: 30 },
      (_one, at) => `${at % 10 === 4 ? '  ' : ''}Account ${at}`,
    );
    const rows = aList(['Name', ...lines].join('\n'));
    expect(importOf(emptyChart(), rows).treeSource).toBe('flat');
    const few = aList('Name\nBank\n  Current\n  Reserve\nRent');
    expect(importOf(emptyChart(), few).treeSource).toBe('indent');
  });

  it('is found from names that carry their path; a heading without a row is made', () => {
    const { source, paths, tree } = treeOf(`
Name|Type
Utilities|Expense
Utilities:Water|Expense
Utilities:Gas|Expense
Vehicles:Fuel|Expense
Vehicles:Repairs:Tyres|Expense`);
    expect(source).toBe('path');
    expect(paths).toEqual([
      'Utilities',
      'Utilities > Water',
      'Utilities > Gas',
      'Vehicles',
      'Vehicles > Fuel',
      'Vehicles > Repairs',
      'Vehicles > Repairs > Tyres',
    ]);
    expect(tree.map(({ made }) => made)).toEqual([false, false, false, true, false, true, false]);
  });

  it('does not take a dash inside a name for a path', () => {
    expect(
      treeOf('Name|Type\nRepairs - building|Expense\nRent - office|Expense\nFuel|Expense').source,
    ).toBe('flat');
  });

  it('is found from level numbers, of which some may be skipped', () => {
    const { source, paths } = treeOf(`
Level|Name
1|Assets held
3|Current
5|Cash
3|Fixed
1|Debts`);
    expect(source).toBe('level');
    expect(paths).toEqual([
      'Assets held',
      'Assets held > Current',
      'Assets held > Current > Cash',
      'Assets held > Fixed',
      'Debts',
    ]);
  });

  it('is found from indented names', () => {
    const { source, paths } = treeOf('Name|Amount\nCash|\n   Till|12.00\n   Bank|13.00\nLoans|');
    expect(source).toBe('indent');
    expect(paths).toEqual(['Cash', 'Cash > Till', 'Cash > Bank', 'Loans']);
  });

  it('is found from headings and their lines of totals, which are no accounts', () => {
    const { source, paths } = treeOf(`
Account|Balance
Cash and bank|
Till|12.00
Savings group|
Savings|13.00
Total savings group|13.00
Total cash and bank|25.00
Loan|5.00
Total|30.00`);
    expect(source).toBe('totals');
    expect(paths).toEqual([
      'Cash and bank',
      'Cash and bank > Till',
      'Cash and bank > Savings group',
      'Cash and bank > Savings group > Savings',
      'Loan',
    ]);
  });

  it('is found from leading digits of numbers of one length where the list says which are headings', () => {
    const { source, paths } = treeOf(`
Number|Name|Role
5000|Costs|heading
5100|Fruit|posting
5110|Apples|posting
6000|Overheads|heading
6010|Rent|posting`);
    expect(source).toBe('digits');
    expect(paths).toEqual([
      'Costs',
      'Costs > Fruit',
      'Costs > Apples',
      'Overheads',
      'Overheads > Rent',
    ]);
  });

  it('takes a grand total for no heading, whatever row lacks a name', () => {
    expect(treeOf('Account|Balance\nTill|1.00\n|2.00\nSafe|3.00\nTotal|6.00').source).toBe('flat');
  });

  it('has main accounts alone where there is a column for parents and none is named', () => {
    const { source, tree } = treeOf(
      'Number|Name|Parent|Role\n1000|Cash||heading\n1001|Bank||posting\n1002|Till||posting',
    );
    expect(source).toBe('parent');
    expect(tree.every(({ parent, stated }) => parent === null && stated)).toBe(true);
  });

  it('is not made of accounts that are counted through, though 10 begins with 1', () => {
    const names = (from: number, many: number, balance: string): readonly string[] =>
      Array.from({ length: many }, (_one, at) => `${from + at}|Account ${from + at}|${balance}`);
    const counted = (balance: string): string =>
      ['Number|Name|Balance', ...names(1, 7, balance), ...names(10, 25, balance), ...names(50, 12, balance)].join('\n');
    expect(treeOf(counted('5.00')).source).toBe('flat');
    expect(treeOf(counted('')).source).toBe('flat');
  }); // prettier-ignore

  it('is found from leading digits where sub-accounts follow their account, whatever it holds', () => {
    const { source, paths } = treeOf(
      'Number|Name|Balance\n50|Fruit|5.00\n501|Apples|6.00\n502|Pears|7.00\n60|Rent|8.00\n601|Yard|9.00',
    );
    expect(source).toBe('digits');
    expect(paths).toEqual(['Fruit', 'Fruit > Apples', 'Fruit > Pears', 'Rent', 'Rent > Yard']);
  });

  it('is flat where the list says nothing', () => {
    expect(treeOf('Number|Name\n1000|Cash\n1010|Bank\n2000|Loan').source).toBe('flat');
  });
});

// Source: Règlement ANC 2014-03, classes and two- to four-digit accounts (from memory).
const NATIONAL_CHART = `
1|Comptes de capitaux
10|Capital et réserves
101|Capital
16|Emprunts et dettes assimilées
164|Emprunts auprès des établissements de crédit
2|Comptes d'immobilisations
21|Immobilisations corporelles
2154|Matériel industriel
28|Amortissements des immobilisations
281|Amortissements des immobilisations corporelles
3|Comptes de stocks
31|Matières premières
37|Stocks de marchandises
4|Comptes de tiers
40|Fournisseurs et comptes rattachés
401|Fournisseurs
41|Clients et comptes rattachés
411|Clients
42|Personnel et comptes rattachés
43|Sécurité sociale et autres organismes sociaux
44|État et autres collectivités publiques
445|Taxes sur le chiffre d'affaires
4456|Taxes sur le chiffre d'affaires déductibles
4457|Taxes collectées
5|Comptes financiers
51|Banques
512|Banques, comptes courants
53|Caisse
6|Comptes de charges
60|Achats
607|Achats de marchandises
61|Services extérieurs
613|Locations
62|Autres services extérieurs
63|Impôts et taxes
64|Charges de personnel
66|Charges financières
68|Dotations aux amortissements
7|Comptes de produits
70|Ventes
707|Ventes de marchandises
74|Subventions
76|Produits financiers`;

describe('the published national chart', () => {
  const rows = aList(NATIONAL_CHART);
  const numbers = rows.map(({ cells }) => cells[0] ?? '');
  const parents = parentsByDigits(numbers, () => true);

  it('gives its tree from leading digits alone', () => {
    expect(treeOf(`Number|Name\n${NATIONAL_CHART.trim()}`).source).toBe('digits');
  });

  it('gives its tree as well where it is listed class after class, the shortest numbers first', () => {
    const sorted = [...NATIONAL_CHART.trim().split('\n')].sort(
      (a, b) => Number(a.split('|')[0]) - Number(b.split('|')[0]),
    );
    expect(treeOf(`Number|Name\n${sorted.join('\n')}`).source).toBe('digits');
  });

  // As the regulation prints it: an account of n digits is a part of that of n - 1 digits, or, where
  // that is not listed, of the next shorter one.
  it.each([
    ['10', '1'],
    ['101', '10'],
    ['2154', '21'],
    ['281', '28'],
    ['4456', '445'],
    ['445', '44'],
    ['512', '51'],
    ['607', '60'],
    ['76', '7'],
  ])('puts %s below %s', (number, parent) => {
    expect(numbers[parents[numbers.indexOf(number)] ?? -1]).toBe(parent);
  });

  it('has the seven classes as its main accounts, and nothing else', () => {
    expect(numbers.filter((_number, at) => parents[at] === null)).toEqual([...'1234567']);
  });
});

describe('strokes within names', () => {
  it('are no path between the letters of an abbreviation', () => {
    const plan = importOf(
      emptyChart(),
      aList('A/R - Patients\nA/P - Trade\nTaxes w/h\nBonds w/h\nFees'),
    );
    expect(plan.rows.map(({ entry, level }) => [entry.name, level])).toEqual([
      ['A/R - Patients', 1],
      ['A/P - Trade', 1],
      ['Taxes w/h', 1],
      ['Bonds w/h', 1],
      ['Fees', 1],
    ]);
  });

  it('part what stands below an account from its name', () => {
    const plan = importOf(emptyChart(), aList('Office\nOffice/Phone\nOffice/Post\nRent'));
    expect(plan.rows.map(({ entry, level }) => [entry.name, level])).toEqual([
      ['Office', 1],
      ['Phone', 2],
      ['Post', 2],
      ['Rent', 1],
    ]);
  });
});

describe('names that stand in steps, each level in a column of its own', () => {
  const STEPS = `
Account|||Type|Balance
Assets|||Asset|
|Cash||Asset|
||Till|Asset|5.00
||Bank|Asset|9.00
|Stock||Asset|2.00
Sales|||Income|-16.00`;

  it('become one column in which they are indented, and give the tree', () => {
    const rows = joinStaggered(aList(STEPS));
    expect(rows.slice(0, 4).map(({ cells }) => cells)).toEqual([
      ['Account', 'Type', 'Balance'],
      ['Assets', 'Asset', ''],
      ['    Cash', 'Asset', ''],
      ['        Till', 'Asset', '5.00'],
    ]);
    const read = readRows(rows, {
      columns: recognizeColumns(rows),
      currency: 'USD',
      today: '2026-11-25',
      mended: new Map(),
    });
    const tree = findTree(read, treeSourceOf(read));
    expect(tree.map(({ parent }) => parent)).toEqual([null, 0, 1, 1, 0, null]);
  });

  it('are not seen in columns of which a row has several, nor in amounts on two sides', () => {
    for (const list of [
      aList('Name|Type\nBank|Asset\nTill|Asset\nSales|Income'),
      aList('Name|Debit|Credit\nBank|5.00|\nLoan||5.00\nTill|1.00|'),
      aList('Name|Notes\nBank|Quay Street\nTill|\nSales|'),
      aList('No|Guidance|Notes\n10|For cash|\n20||Ask\n30|For sales|'),
    ])
      expect(joinStaggered(list)).toBe(list);
  });
});
