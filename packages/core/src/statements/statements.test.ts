import { stratify } from 'd3-hierarchy';
import fc from 'fast-check';
import { eachNode, nodesTo, recordsOf } from '../chart/queries';
import { aChart } from '../testing/a-chart';
import { balancedLedger, draws, randomChart, runDraws } from '../testing/random';
import { rollUpOver, type Ledger } from '../ledger/amounts';
import { buildStatement } from './build';
import { impactOf, movedRows } from './impact';
import type { Statement, StatementOptions, StatementRow } from './statement';
import { landingRows, rowKeys, sectionAndAccountOf } from './trace';
import { apply } from '../operations/apply';

const ALL: StatementOptions = { depth: Infinity, zeroLines: true };

const ledgerOf = (amounts: Readonly<Record<string, number>>): Ledger =>
  new Map(
    Object.entries(amounts).map(([id, amount]) => [
      id,
      { balance: amount, change: amount, yearChange: amount },
    ]),
  );

const words = (row: StatementRow): string => {
  const amount = 'amount' in row && row.amount !== null ? ` ${row.amount}` : '';
  const name = 'name' in row ? row.name : row.code;
  return `${row.type} ${name}${amount}`;
};

const lines = ({ rows }: Statement): readonly string[] => rows.map(words);

const CIDER = `
1010 Bank
4010 Taproom [saleOfGoods]
4090 Returns [returnsAndDiscounts]
5000 Cost of sales:
  5010 Fruit
  5020 Bottles
6000 People:
  6010 Wages
  6020 Training
6100 Vehicles
  6110 Fuel
`;
const POSTED = {
  '1010': 400,
  '4010': -1000,
  '4090': 50,
  '5010': 200,
  '5020': 100,
  '6010': 150,
  '6100': 60,
  '6110': 40,
};

const profitAndLoss = (options: Partial<StatementOptions> = {}, text = CIDER) => {
  const chart = aChart(text);
  const rollUp = rollUpOver(ledgerOf(POSTED));
  return buildStatement('profitAndLoss', { chart, rollUp }, { ...ALL, ...options });
};

describe('a profit and loss', () => {
  it('leaves out the subtotal of an account that is not to have one, and none of its amounts', () => {
    const set = apply(aChart(CIDER), {
      type: 'changeSetting',
      id: '6000',
      setting: 'subtotal',
      value: false,
    });
    if (!set.ok) throw new Error(set.refusal.code);
    const rollUp = rollUpOver(ledgerOf(POSTED));
    const shown = lines(buildStatement('profitAndLoss', { chart: set.chart, rollUp }, ALL));
    expect(lines(profitAndLoss()).filter((line) => !shown.includes(line))).toEqual([
      'subtotal People 150',
    ]);
    const folded = buildStatement(
      'profitAndLoss',
      { chart: set.chart, rollUp },
      { ...ALL, depth: 1 },
    );
    expect(lines(folded)).toContain('line People 150');
  });

  it('takes headings, order and subtotals from the chart, and totals from the kinds', () => {
    expect(lines(profitAndLoss())).toEqual([
      'section revenue',
      'line Taproom 1000',
      'line Returns -50',
      'sectionTotal revenue 950',
      'section costOfSales',
      'line Fruit 200',
      'line Bottles 100',
      'sectionTotal costOfSales 300',
      'total grossProfit 650',
      'section operatingExpenses',
      'line People',
      'line Wages 150',
      'line Training 0',
      'subtotal People 150',
      'line Vehicles',
      'itself Vehicles 60',
      'line Fuel 40',
      'subtotal Vehicles 100',
      'sectionTotal operatingExpenses 250',
      'total operatingProfit 400',
      'total netProfit 400',
    ]);
  });

  it('is read at the main level with a depth of one', () => {
    expect(lines(profitAndLoss({ depth: 1 }))).toEqual([
      'section revenue',
      'line Taproom 1000',
      'line Returns -50',
      'sectionTotal revenue 950',
      'sectionTotal costOfSales 300',
      'total grossProfit 650',
      'section operatingExpenses',
      'line People 150',
      'line Vehicles 100',
      'sectionTotal operatingExpenses 250',
      'total operatingProfit 400',
      'total netProfit 400',
    ]);
  });

  it('leaves out lines without an amount when asked to', () => {
    expect(lines(profitAndLoss({ zeroLines: false }))).not.toContain('line Training 0');
  });

  it('shows a group whose accounts cancel out, with what is in it', () => {
    const chart = aChart(
      '6000 Clearing of costs\n  6010 Charged\n  6020 Taken back\n6100 Training',
    );
    const rollUp = rollUpOver(ledgerOf({ '6010': 75, '6020': -75 }));
    const shown = lines(
      buildStatement('profitAndLoss', { chart, rollUp }, { ...ALL, zeroLines: false }),
    );
    expect(shown).toEqual(expect.arrayContaining(['line Charged 75', 'line Taken back -75']));
    expect(shown).not.toContain('line Training 0');
  });

  it('leaves out a retired account that has no amount, and keeps one that has', () => {
    const chart = aChart(CIDER, { retired: ['6020', '5020'] });
    const rollUp = rollUpOver(ledgerOf(POSTED));
    const shown = lines(buildStatement('profitAndLoss', { chart, rollUp }, ALL));
    expect(shown).not.toContain('line Training 0');
    expect(shown).toContain('line Bottles 100');
  });

  it('splits a heading between the sections that its accounts lead to', () => {
    const mixed = CIDER.replace('6020 Training', '6020 Training [depreciation]').replace(
      '  6010 Wages',
      '  6010 Wages [costOfSales]',
    );
    const shown = lines(profitAndLoss({ depth: 1 }, mixed));
    expect(shown).toContain('line People 150');
    expect(shown).toContain('line People 0');
    expect(shown).toContain('total netProfit 400');
  });
});

describe('a balance sheet', () => {
  const chart = aChart(`
1500 Equipment [propertyAndEquipment]
1590 Accumulated depreciation [accumulatedDepreciation]
1010 Bank
3050 Kept earnings [retainedEarnings]
4010 Sales
6010 Wages
`);
  // An earlier year's result of 300 that no entry has closed; 120 in this year, 50 in the period.
  const ledger: Ledger = new Map([
    ['1500', { balance: 900, change: 0, yearChange: 0 }],
    ['1590', { balance: -400, change: 0, yearChange: 0 }],
    ['1010', { balance: 420, change: 50, yearChange: 120 }],
    ['3050', { balance: -500, change: 0, yearChange: 0 }],
    ['4010', { balance: -820, change: -150, yearChange: -320 }],
    ['6010', { balance: 400, change: 100, yearChange: 200 }],
  ]);
  const sheet = buildStatement('balanceSheet', { chart, rollUp: rollUpOver(ledger) }, ALL);

  it('shows balances at a date, a contra after what it reduces, and the results in equity', () => {
    expect(lines(sheet)).toEqual([
      'group assets',
      'section currentAssets',
      'line Bank 420',
      'sectionTotal currentAssets 420',
      'section nonCurrentAssets',
      'line Equipment 900',
      'line Accumulated depreciation -400',
      'sectionTotal nonCurrentAssets 500',
      'total totalAssets 920',
      'group liabilities',
      'total totalLiabilities 0',
      'section equity',
      'line Kept earnings 500',
      'result earlierYears 300',
      'result thisYear 120',
      'sectionTotal equity 920',
      'total totalLiabilitiesAndEquity 920',
    ]);
  });
});

describe('statements of random charts', () => {
  const seed = fc.array(fc.integer({ min: -1e10, max: 1e10 }), { maxLength: 80 });

  it('count every posting account that reaches a statement in exactly one section', () => {
    fc.assert(
      fc.property(randomChart(50), (chart) => {
        const rollUp = rollUpOver(new Map());
        for (const node of eachNode(chart.roots)) {
          const own = node.children.reduce(
            (rest, child) => {
              for (const [section, share] of rollUp.shares(child))
                rest.set(section, (rest.get(section) ?? 0) - share.accounts);
              return rest;
            },
            new Map([...rollUp.shares(node)].map(([section, share]) => [section, share.accounts])),
          );
          const counted = [...own.values()].reduce((a, b) => a + b, 0);
          const counts = node.account.role === 'posting' && node.account.kind !== 'memorandum';
          expect(counted).toBe(counts ? 1 : 0);
        }
      }),
    );
  });

  it('agree with the trial balance: assets = liabilities + equity, at every depth', () => {
    fc.assert(
      fc.property(randomChart(50), seed, fc.integer({ min: 1, max: 5 }), (bare, amounts, depth) => {
        const { chart, ledger } = balancedLedger(bare, amounts);
        const source = { chart, rollUp: rollUpOver(ledger) };
        const { rows } = buildStatement('balanceSheet', source, { depth, zeroLines: true });
        const total = (key: string) => rows.find((row) => row.key === key);
        expect(total('total/totalAssets')).toMatchObject({
          amount: (total('total/totalLiabilitiesAndEquity') as { amount: number }).amount,
        });
      }),
    );
  });

  it('list lines that add up to the total of their section', () => {
    fc.assert(
      fc.property(randomChart(50), seed, (bare, amounts) => {
        const { chart, ledger } = balancedLedger(bare, amounts);
        const source = { chart, rollUp: rollUpOver(ledger) };
        for (const code of ['profitAndLoss', 'balanceSheet'] as const) {
          let sum = 0;
          for (const row of buildStatement(code, source, ALL).rows) {
            if (row.type === 'section') sum = 0;
            if (row.type === 'line' || row.type === 'itself' || row.type === 'result')
              sum += row.amount ?? 0;
            if (row.type === 'sectionTotal' && !row.alone) expect(row.amount).toBe(sum);
          }
        }
      }),
    );
  });

  it('roll up as d3-hierarchy sums the same tree', () => {
    fc.assert(
      fc.property(randomChart(50), seed, (bare, amounts) => {
        const { chart, ledger } = balancedLedger(bare, amounts);
        const rollUp = rollUpOver(ledger);
        const records = [
          { id: 'top', parentId: null as string | null },
          ...recordsOf(chart).map(({ id, parentId }) => ({ id, parentId: parentId ?? 'top' })),
        ];
        const own = new Map(
          [...eachNode(chart.roots)].map((node) => [node.account.id, rollUp.own(node)]),
        );
        const tree = stratify<{ id: string; parentId: string | null }>()(records).sum(
          ({ id }) => own.get(id) ?? 0,
        );
        const theirs = new Map(tree.descendants().map((node) => [node.data.id, node.value]));
        for (const node of eachNode(chart.roots))
          expect(rollUp.total(node)).toBe((theirs.get(node.account.id) ?? 0) + 0);
      }),
    );
  });
});

describe('the impact of a proposal', () => {
  it('says which lines move, by how much, and which totals stay', () => {
    const before = aChart(CIDER);
    const rollUp = rollUpOver(ledgerOf(POSTED));
    const outcome = apply(before, { type: 'changeKind', id: '6010', kind: 'costOfSales' });
    if (!outcome.ok) throw new Error(outcome.refusal.code);
    const impact = impactOf({ chart: before, rollUp }, { chart: outcome.chart, rollUp });
    expect(impact.lines).toEqual({
      'costOfSales/6000': 150,
      'costOfSales/6010': 150,
      'operatingExpenses/6000': -150,
      'operatingExpenses/6010': -150,
    });
    expect(impact.sections).toEqual([
      { code: 'costOfSales', statement: 'profitAndLoss', before: 300, after: 450 },
      { code: 'operatingExpenses', statement: 'profitAndLoss', before: 250, after: 100 },
    ]);
    expect(impact.totals).toEqual([
      { code: 'grossProfit', statement: 'profitAndLoss', before: 650, after: 500 },
    ]);
  });

  it('moves the year’s result in equity when an expense becomes an asset', () => {
    const flat = aChart('1010 Bank\n6010 Kiln\n4010 Sales');
    const rollUp = rollUpOver(ledgerOf({ '1010': 70, '6010': 30, '4010': -100 }));
    const moved = apply(flat, { type: 'changeKind', id: '6010', kind: 'propertyAndEquipment' });
    if (!moved.ok) throw new Error(moved.refusal.code);
    expect(movedRows(impactOf({ chart: flat, rollUp }, { chart: moved.chart, rollUp }))).toEqual({
      'operatingExpenses/6010': -30,
      'nonCurrentAssets/6010': 30,
      'result/thisYear': 30,
      'sum/operatingExpenses': -30,
      'sum/nonCurrentAssets': 30,
      'sum/equity': 30,
      'total/operatingProfit': 30,
      'total/profitBeforeTax': 30,
      'total/netProfit': 30,
      'total/totalAssets': 30,
      'total/totalLiabilitiesAndEquity': 30,
    });
  });

  it('is, for every row of both statements, the amount after less the amount before', () => {
    fc.assert(
      fc.property(
        randomChart(40),
        draws(15),
        fc.array(fc.integer({ min: -1e9, max: 1e9 }), { maxLength: 60 }),
        fc.boolean(),
        (bare, recipes, amounts, posted) => {
          const { chart, ledger } = balancedLedger(bare, amounts);
          const proposed = runDraws(chart, recipes, 'new').at(-1)?.after ?? chart;
          const before = { chart, rollUp: rollUpOver(ledger) };
          const later = posted ? balancedLedger(proposed, [...amounts].reverse()) : null;
          const after = later
            ? { ...later, rollUp: rollUpOver(later.ledger) }
            : { ...before, chart: proposed };
          const moved = movedRows(impactOf(before, after));
          for (const code of ['profitAndLoss', 'balanceSheet'] as const) {
            const former = totalsOf(buildStatement(code, before, ALL));
            const latter = totalsOf(buildStatement(code, after, ALL));
            for (const key of new Set([...former.keys(), ...latter.keys()])) {
              const shift = (latter.get(key) ?? 0) - (former.get(key) ?? 0);
              if (former.has(key) && latter.has(key)) expect(moved[key] ?? 0).toBe(shift + 0);
            }
          }
        },
      ),
    );
  });

  const totalsOf = ({ rows }: Statement): Map<string, number> =>
    new Map(
      rows.flatMap((row) => {
        if (!('amount' in row) || row.amount === null || row.type === 'itself') return [];
        return [[row.key.replace(/\/subtotal$/, ''), row.amount] as const];
      }),
    );
});

describe('tracing an account to its line', () => {
  const chart = aChart(CIDER);
  const rollUp = rollUpOver(new Map());
  const landing = (id: string, depth: number) => {
    const statement = buildStatement(
      'profitAndLoss',
      { chart, rollUp },
      { depth, zeroLines: true },
    );
    return landingRows(nodesTo(chart, id), rowKeys(statement), rollUp);
  };

  it('ends at the account’s own line where it is shown', () => {
    expect(landing('6010', Infinity)).toEqual(['operatingExpenses/6010']);
  });

  it('ends at the line of the nearest account above where it is not', () => {
    expect(landing('6010', 1)).toEqual(['operatingExpenses/6000']);
  });

  it('ends at the section’s total where nothing else is shown', () => {
    expect(landing('5010', 1)).toEqual(['sum/costOfSales']);
  });

  it('ends nowhere on the other statement', () => {
    expect(landing('1010', Infinity)).toEqual([]);
  });

  it('reads a row’s key back', () => {
    expect(sectionAndAccountOf('operatingExpenses/6010')).toEqual({
      section: 'operatingExpenses',
      accountId: '6010',
    });
    expect(sectionAndAccountOf('sum/costOfSales')).toEqual({
      section: 'costOfSales',
      accountId: null,
    });
    expect(sectionAndAccountOf('total/netProfit')).toBeNull();
  });
});
