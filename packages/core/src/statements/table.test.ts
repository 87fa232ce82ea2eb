import fc from 'fast-check';
import type { Chart } from '../chart/chart';
import { addMonths } from '../dates/month';
import type { Dimension } from '../dimensions/dimension';
import type { PeriodContext } from '../dates/period-words';
import { ledgerOf, rollUpOver } from '../ledger/amounts';
import { amountsWithin, summedMonths, type MonthlyAmounts } from '../ledger/monthly';
import { aChart, withSettings } from '../testing/a-chart';
import { monthlyOver, randomChart } from '../testing/random';
import { buildStatement } from './build';
import { columnsFromText, columnsOf, type ColumnSpec } from './columns';
import { SHEET_CODES, type SheetCode } from './sheets';
import { buildTable, type StatementTable } from './table';
import { tableBooks, type MonthlyByValue } from './table-books';

const ALL = { depth: Infinity, zeroLines: false };
const CONTEXT: PeriodContext = {
  main: { first: '2026-01', last: '2026-03' },
  startsIn: 1,
  now: '2026-03',
};

const specsOf = (
  text: string,
  context: PeriodContext,
  sheet: SheetCode,
  dimensions: readonly Dimension[] = [],
): readonly ColumnSpec[] => {
  const columns = columnsFromText(text);
  if (columns === null) throw new Error(`no columns: ${text}`);
  return columnsOf(columns, { periods: context, sheet, dimensions });
};

interface Looked {
  readonly chart: Chart;
  readonly monthly: MonthlyAmounts;
  readonly context?: PeriodContext;
  readonly options?: { readonly depth: number; readonly zeroLines: boolean };
  readonly byValue?: MonthlyByValue;
}

const tableOf = (
  sheet: SheetCode,
  columns: string,
  { chart, monthly, context = CONTEXT, options = ALL, byValue = new Map() }: Looked,
): StatementTable => {
  const books = tableBooks(monthly, context.startsIn, { byValue });
  const asked = {
    sheet,
    columns: specsOf(columns, context, sheet, chart.settings.dimensions),
    context,
  };
  return buildTable({ chart, books, options }, asked);
};

/** A table's rows as text: what each is, and its cells. */
const written = ({ rows }: StatementTable): readonly string[] =>
  rows.map(({ row, cells }) => {
    const name = 'name' in row ? row.name : 'code' in row ? row.code : '';
    return [row.type, name, ...cells.map((cell) => cell ?? '·')].join(' ');
  });

const SHOP = aChart(
  [
    '1010 Bank [bank]',
    '1200 Debtors [tradeReceivable]',
    '1500 Van [propertyAndEquipment]',
    '1590 Depreciation so far [accumulatedDepreciation]',
    '2500 Loan [longTermBorrowing]',
    '3010 Capital [ownersCapital]',
    '3050 Retained [retainedEarnings]',
    '4010 Sales [saleOfGoods]',
    '4900 Gain on the van [gains]',
    '5010 Goods [costOfSales]',
    '6000 Running costs: [operatingExpense]',
    '  6010 Rent [operatingExpense]',
    '  6020 Fuel [operatingExpense]',
    '6400 Depreciation [depreciation]',
  ].join('\n'),
  { system: ['3050'] },
);

/** From January 2025 on; quarters of 2025 are one month each here, for brevity. */
const BOOKS: MonthlyAmounts = {
  first: '2025-01',
  rows: [
    ['1010', 900, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 40, -10, 25],
    ['1200', 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 20, 0, 5],
    ['3010', -1000],
    ['4010', 0, 0, -40, 0, 0, 0, 0, 0, 0, 0, 0, 0, -80, -30, -50],
    ['5010', 100, 0, 25, 0, 0, 0, 0, 0, 0, 0, 0, 0, 15, 20, 10],
    ['6010', 0, 0, 10, 0, 0, 0, 0, 0, 0, 0, 0, 0, 5, 15, 10],
    ['6020', 0, 0, 5, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 5, 0],
  ],
};
const IN_SHOP = { chart: SHOP, monthly: BOOKS };

describe('a statement with columns', () => {
  it('stands beside the year before, with what differs in amount and in per cent', () => {
    expect(written(tableOf('profitAndLoss', 'yearBefore', IN_SHOP))).toEqual([
      'section revenue · · · ·',
      'line Sales 160 40 120 3000',
      'sectionTotal revenue 160 40 120 3000',
      'section costOfSales · · · ·',
      'line Goods 45 125 -80 -640',
      'sectionTotal costOfSales 45 125 -80 -640',
      'total grossProfit 115 -85 200 2353',
      'section operatingExpenses · · · ·',
      'line Running costs · · · ·',
      'line Rent 30 10 20 2000',
      'line Fuel 5 5 0 0',
      'subtotal Running costs 35 15 20 1333',
      'sectionTotal operatingExpenses 35 15 20 1333',
      'total operatingProfit 80 -100 180 1800',
      'total netProfit 80 -100 180 1800',
    ]);
  });

  it('shows a line in every column once it has an amount in one', () => {
    const { rows } = tableOf('profitAndLoss', 'jan; feb', IN_SHOP);
    const fuel = rows.find(({ row }) => 'name' in row && row.name === 'Fuel');
    expect(fuel?.cells).toEqual([0, 5]);
  });

  it('says what part each line is of net revenue, and of total assets', () => {
    const sales = tableOf('profitAndLoss', 'this period; share 1', IN_SHOP).rows;
    expect(sales.find(({ row }) => row.key === 'costOfSales/5010')?.cells).toEqual([45, 281]);
    const assets = tableOf('balanceSheet', 'this period; share 1', IN_SHOP).rows;
    expect(assets.find(({ row }) => row.key === 'currentAssets/1200')?.cells).toEqual([25, 26]);
    expect(assets.find(({ row }) => row.key === 'total/totalAssets')?.cells[1]).toBe(1000);
  });

  it('has no per cent of nothing', () => {
    const { rows } = tableOf('profitAndLoss', 'jan; feb 2025; percent 1 2', IN_SHOP);
    expect(rows[1]?.cells).toEqual([80, 0, null]);
  });

  it('leaves a column empty whose words it does not understand, and names the word', () => {
    const { columns, rows } = tableOf('profitAndLoss', 'this period; jan to marhc', IN_SHOP);
    expect(columns.map(({ wrong }) => wrong)).toEqual([null, 'marhc']);
    expect(rows[1]?.cells).toEqual([160, null]);
  });

  it('knows what is good for the business', () => {
    const { rows } = tableOf('profitAndLoss', 'plain', IN_SHOP);
    const better = (key: string) => rows.find(({ row }) => row.key === key)?.better;
    expect(['revenue/4010', 'costOfSales/5010', 'operatingExpenses/6010'].map(better)).toEqual([
      'more', 'less', 'less',
    ]); // prettier-ignore
    expect(['total/grossProfit', 'sum/operatingExpenses'].map(better)).toEqual(['more', 'less']);
  });

  it('holds what is expected against what was posted, month by month or evenly', () => {
    const chart = withSettings(SHOP, {
      '4010': { budget: { per: 'year', amount: 1000 } },
      '6010': { budget: { per: 'month', amounts: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12] } },
    });
    const { rows } = tableOf('profitAndLoss', 'budget', { ...IN_SHOP, chart });
    const cells = (key: string) => rows.find(({ row }) => row.key === key)?.cells;
    // A thousand over twelve months: four of them take one more.
    expect(cells('revenue/4010')).toEqual([160, 252, -92, -365]);
    expect(cells('operatingExpenses/6010')).toEqual([30, 6, 24, 4000]);
    const sheet = tableOf('balanceSheet', 'budget', { ...IN_SHOP, chart });
    expect(sheet.columns.map(({ is }) => is)).toEqual(['amounts']);
  });

  it('opens and closes single lines, whatever the depth', () => {
    const options = {
      depth: 1,
      zeroLines: false,
      open: new Map([['operatingExpenses/6000', true]]),
    };
    const opened = written(tableOf('profitAndLoss', 'plain', { ...IN_SHOP, options }));
    expect(opened).toContain('line Rent 30');
    const closed = { ...ALL, open: new Map([['operatingExpenses/6000', false]]) };
    const rows = written(tableOf('profitAndLoss', 'plain', { ...IN_SHOP, options: closed }));
    expect(rows).toContain('line Running costs 35');
  });
});

describe('columns by the values of a dimension', () => {
  const values = [
    { id: 'quay', name: 'Quay' },
    { id: 'inn', name: 'Inns' },
  ];
  const market: Dimension = { id: 'market', name: 'Market', values };
  const chart: Chart = { ...SHOP, settings: { ...SHOP.settings, dimensions: [market] } };
  const byValue: MonthlyByValue = new Map([
    ['quay', { first: '2026-01', rows: [['4010', -50, -20, -10], ['5010', 5, 0, 0]] }],
    ['inn', { first: '2026-01', rows: [['4010', -10, 0, -20]] }],
  ]); // prettier-ignore

  it('stand beside one another with what carries none, so that nothing goes missing', () => {
    const { columns, rows } = tableOf('profitAndLoss', 'by market', { chart, monthly: BOOKS, byValue }); // prettier-ignore
    expect(columns.map(({ value }) => value)).toEqual(['Quay', 'Inns', '', null]);
    const cells = (key: string) => rows.find(({ row }) => row.key === key)?.cells;
    expect(cells('revenue/4010')).toEqual([80, 30, 50, 160]);
    expect(cells('costOfSales/5010')).toEqual([5, 0, 40, 45]);
    expect(cells('total/netProfit')).toEqual([75, 30, -25, 80]);
  });

  it('are the period alone where the chart has no such dimension', () => {
    const { columns } = tableOf('profitAndLoss', 'by fund', { chart, monthly: BOOKS, byValue });
    expect(columns.map(({ is }) => is)).toEqual(['amounts']);
  });

  it('count one value alone, and leave the rest with what is unassigned', () => {
    const columns = 'value market quay: this period; value market none: this period';
    const { rows } = tableOf('profitAndLoss', columns, { chart, monthly: BOOKS, byValue });
    expect(rows.find(({ row }) => row.key === 'revenue/4010')?.cells).toEqual([80, 80]);
  });

  it('tell with restrictions from without, whatever carries several restricted values', () => {
    const dimensions = [{ ...market, values: values.map((value) => ({ ...value, restricted: true as const })) }]; // prettier-ignore
    const gifts: Chart = { ...SHOP, settings: { ...SHOP.settings, dimensions } };
    const { columns, rows } = tableOf('profitAndLoss', 'restrictions', { chart: gifts, monthly: BOOKS, byValue }); // prettier-ignore
    expect(columns.map(({ value }) => value)).toEqual(['Without restrictions', 'With restrictions', null]); // prettier-ignore
    expect(rows.find(({ row }) => row.key === 'revenue/4010')?.cells).toEqual([50, 110, 160]);
  });
});

describe('a trial balance', () => {
  it('stands in debit and credit, results of closed years with retained earnings', () => {
    expect(written(tableOf('trialBalance', 'plain', IN_SHOP))).toEqual([
      'account Bank 955 0',
      'account Debtors 25 0',
      'account Capital 0 1000',
      'account Retained 100 0',
      'account Sales 0 160',
      'account Goods 45 0',
      'account Rent 30 0',
      'account Fuel 5 0',
      'total allBalances 1160 1160',
    ]);
  });

  it('knows which of the columns asked for each of its own is', () => {
    const { columns } = tableOf('trialBalance', 'jan; share 1; feb', IN_SHOP);
    expect(columns.map(({ spec, shows }) => [spec, shows])).toEqual([
      [0, 'debit'],
      [0, 'credit'],
      [2, 'debit'],
      [2, 'credit'],
    ]);
  });
});

describe('changes in equity', () => {
  it('lead from the start to the end of the period', () => {
    expect(written(tableOf('changesInEquity', 'plain', IN_SHOP))).toEqual([
      'section equity · · ·',
      'line Capital 1000 0 1000',
      'result allYears -100 80 -20',
      'sectionTotal equity 900 80 980',
    ]);
  });
});

describe('a cash flow', () => {
  it('turns the result into cash, by what moved without it', () => {
    const monthly: MonthlyAmounts = {
      first: '2026-01',
      rows: [
        ['1010', 655],
        ['1200', 100],
        ['1500', 500],
        ['1590', -25],
        ['2500', -300],
        ['3010', -1000],
        ['4010', -400],
        ['5010', 450],
        ['6400', 25],
        ['4900', -5],
      ],
    };
    const chart = withSettings(SHOP, { '4900': { cashFlow: 'investing' } });
    const context = { ...CONTEXT, main: { first: '2026-01', last: '2026-01' } };
    expect(written(tableOf('cashFlow', 'plain', { chart, monthly, context }))).toEqual([
      'group operatingActivities ·',
      'total netProfitOfPeriod -70',
      'section adjustments ·',
      'line Depreciation so far 25',
      'line Gain on the van -5',
      'sectionTotal adjustments 20',
      'section workingCapital ·',
      'line Debtors -100',
      'sectionTotal workingCapital -100',
      'total cashFromOperating -150',
      'section investing ·',
      'line Van -500',
      'line Gain on the van 5',
      'sectionTotal investing -495',
      'section financing ·',
      'line Loan 300',
      'line Capital 1000',
      'sectionTotal financing 1300',
      'total netChangeInCash 655',
      'total cashAtStart 0',
      'total cashAtEnd 655',
    ]);
  });
});

describe('laws of columns', () => {
  const MONTHS = 30;
  const looked = fc.record({
    chart: randomChart(20),
    seed: fc.array(fc.integer({ min: -1e9, max: 1e9 }), { minLength: 5, maxLength: 120 }),
    startsIn: fc.integer({ min: 1, max: 12 }),
    back: fc.integer({ min: 0, max: 20 }),
    length: fc.integer({ min: 1, max: 15 }),
    depth: fc.constantFrom(1, 2, Infinity),
  });
  const contextOf = ({ startsIn, back, length }: { startsIn: number; back: number; length: number }) => {
    const last = addMonths('2024-01', MONTHS - 1 - back);
    return { main: { first: addMonths(last, 1 - length), last }, startsIn, now: last };
  }; // prettier-ignore

  it('every sheet agrees with the trial balance, at every depth, in every column', () => {
    fc.assert(
      fc.property(looked, ({ chart, seed, depth, ...when }) => {
        const monthly = monthlyOver(chart, seed, MONTHS);
        const context = contextOf(when);
        const options = { depth, zeroLines: true };
        for (const sheet of SHEET_CODES)
          for (const columns of ['yearBefore', 'months', 'quarters', 'years'])
            expect(tableOf(sheet, columns, { chart, monthly, context, options }).agrees).toBe(true);
      }),
      { numRuns: 40 },
    );
  });

  it('months and quarters of a result, and of a cash flow, sum to the whole', () => {
    fc.assert(
      fc.property(
        looked,
        fc.constantFrom('months', 'quarters'),
        ({ chart, seed, ...when }, set) => {
          const monthly = monthlyOver(chart, seed, MONTHS);
          const context = contextOf(when);
          for (const sheet of ['profitAndLoss', 'cashFlow'] as const) {
            const { rows } = tableOf(sheet, set, { chart, monthly, context });
            for (const { row, cells } of rows) {
              const held = row.key === 'total/cashAtStart' || row.key === 'total/cashAtEnd';
              if (held || cells.length === 1 || cells.at(-1) === null) continue;
              const parts = cells.slice(0, -1).reduce<number>((so, cell) => so + (cell ?? 0), 0);
              expect(parts + 0).toBe(cells.at(-1));
            }
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('values of a dimension, and what carries none, sum to the whole in every line', () => {
    fc.assert(
      fc.property(looked, fc.integer({ min: 0, max: 4 }), fc.constantFrom('profitAndLoss' as const, 'balanceSheet' as const), ({ chart: bare, seed, depth, ...when }, count, sheet) => {
        const values = Array.from({ length: count }, (_one, at) => ({ id: `v${at}`, name: `V ${at}` }));
        const dimensions = [{ id: 'd', name: 'D', values }];
        const chart: Chart = { ...bare, settings: { ...bare.settings, dimensions } };
        const monthly = monthlyOver(chart, seed, MONTHS);
        const byValue = new Map(
          values.map(({ id }, at) => [id, monthlyOver(chart, seed.filter((_one, n) => n % 5 === at), MONTHS)]),
        );
        const options = { depth, zeroLines: true };
        const { rows } = tableOf(sheet, 'by d', { chart, monthly, context: contextOf(when), options, byValue });
        for (const { cells } of rows) {
          if (cells.at(-1) === null) continue;
          expect(cells.slice(0, -1).reduce<number>((so, cell) => so + (cell ?? 0), 0) + 0).toBe(cells.at(-1));
        }
      }),
      { numRuns: 60 },
    );
  }); // prettier-ignore

  it('each column is the statement of its period', () => {
    fc.assert(
      fc.property(looked, ({ chart, seed, depth, ...when }) => {
        const monthly = monthlyOver(chart, seed, MONTHS);
        const context = contextOf(when);
        const options = { depth, zeroLines: true };
        const { columns, rows } = tableOf('balanceSheet', 'quarters', { chart, monthly, context, options }); // prettier-ignore
        columns.forEach(({ period }, at) => {
          if (period === null) throw new Error('no period');
          const rollUp = rollUpOver(
            ledgerOf(amountsWithin(summedMonths(monthly), period, when.startsIn)),
          );
          const alone = buildStatement('balanceSheet', { chart, rollUp }, options).rows;
          const cells = new Map(rows.map(({ row, cells: all }) => [row.key, all[at]]));
          for (const row of alone) if ('amount' in row) expect(cells.get(row.key)).toBe(row.amount);
        });
      }),
      { numRuns: 40 },
    );
  });
});
