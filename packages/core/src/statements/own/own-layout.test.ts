import fc from 'fast-check';
import type { Chart } from '../../chart/chart';
import { eachNode } from '../../chart/queries';
import { apply } from '../../operations/apply';
import type { Operation } from '../../operations/operation';
import type { MonthlyAmounts } from '../../ledger/monthly';
import { aChart } from '../../testing/a-chart';
import { randomChart } from '../../testing/random';
import { columnsFromText, columnsOf } from '../columns';
import { rowName } from '../row-name';
import { buildTable, type StatementTable } from '../table';
import { tableBooks } from '../table-books';
import { beginOwn } from './begin-own';
import { editOwn, nextRowId, type OwnGesture } from './edit-own';
import type { OwnLayout, OwnLine, OwnRow } from './own-layout';
import { ownPlaces } from './own-places';
import { ownProblem } from './own-problem';

const MAIN = { first: '2026-01', last: '2026-03' };
const CONTEXT = { main: MAIN, startsIn: 1, now: '2026-03' };

interface Shown {
  readonly chart?: Chart;
  readonly monthly?: MonthlyAmounts;
  readonly columns?: string;
  readonly depth?: number;
}

const SHOP = aChart(
  [
    '1010 Bank [bank]',
    '2010 Suppliers [tradePayable]',
    '3010 Capital [ownersCapital]',
    '4010 Cider [saleOfGoods]',
    '4020 Tours [services]',
    '5010 Apples [costOfSales]',
    '6100 Premises: [operatingExpense]',
    '  6110 Rent [operatingExpense]',
    '  6120 Power [operatingExpense]',
    '6200 Fuel [operatingExpense]',
  ].join('\n'),
);
const BOOKS: MonthlyAmounts = {
  first: '2026-01',
  rows: [
    ['1010', 1000, 20, 30],
    ['2010', -200, 0, 0],
    ['3010', -740, 0, 0],
    ['4010', -100, -60, -90],
    ['4020', 0, 0, -10],
    ['5010', 20, 20, 40],
    ['6110', 10, 10, 10],
    ['6120', 5, 5, 10],
    ['6200', 5, 5, 10],
  ],
};

const tableOf = (
  layout: OwnLayout,
  { chart = SHOP, monthly = BOOKS, columns = 'plain', depth = 1 }: Shown = {},
): StatementTable => {
  const sheet = layout.statement;
  const asked = columnsFromText(columns) ?? 'plain';
  const specs = columnsOf(asked, { periods: CONTEXT, sheet, dimensions: [] });
  const source = {
    chart,
    books: tableBooks(monthly, 1),
    options: { depth, zeroLines: false },
  };
  return buildTable(source, { sheet, columns: specs, context: CONTEXT, layout });
};

const written = ({ rows }: StatementTable): readonly string[] =>
  rows.map(({ row, cells }) =>
    [
      `${'·'.repeat('level' in row ? row.level : 0)}${rowName(row)}`,
      ...cells.map((cell) => cell ?? '–'),
    ].join(' '),
  );

const rowCalled = ({ rows }: OwnLayout, words: string): OwnRow => {
  const found = rows.find((row) => row.type !== 'pageBreak' && row.words === words);
  if (found === undefined) throw new Error(`no row ${words}`);
  return found;
};
const lineOf = ({ rows }: OwnLayout, accountId: string): OwnLine => {
  const found = rows.find((row) => row.type === 'line' && row.accounts.includes(accountId));
  if (found?.type !== 'line') throw new Error(`no line of ${accountId}`);
  return found;
};
const applied = (chart: Chart, operation: Operation): Chart => {
  const result = apply(chart, operation);
  if (!result.ok) throw new Error(result.refusal.code);
  return result.chart;
};
const edited = (layout: OwnLayout, ...gestures: readonly OwnGesture[]): OwnLayout =>
  gestures.reduce(editOwn, layout);

const RESULTS = beginOwn(SHOP, 'profitAndLoss');

describe('a layout of the client’s own', () => {
  it('begins as the standard statement, line by line', () => {
    expect(written(tableOf(RESULTS))).toEqual([
      'Revenue –',
      '·Cider 250',
      '·Tours 10',
      'Net revenue 260',
      'Cost of sales –',
      '·Apples 80',
      'Total cost of sales 80',
      'Gross profit 180',
      'Operating expenses –',
      '·Premises 50',
      '·Fuel 20',
      'Total operating expenses 70',
      'Operating profit 110',
      'Profit before tax 110',
      'Net profit 110',
    ]);
    expect(ownPlaces(SHOP, RESULTS).faults).toEqual([]);
    const sheet = tableOf(beginOwn(SHOP, 'balanceSheet'));
    expect(sheet.agrees).toBe(true);
    expect(written(sheet).at(-1)).toBe('Total liabilities and equity 1050');
  });

  it('opens its lines as deep as is asked', () => {
    expect(written(tableOf(RESULTS, { depth: 2 })).slice(8, 13)).toEqual([
      'Operating expenses –',
      '·Premises –',
      '··Rent 30',
      '··Power 20',
      '·Total Premises 50',
    ]);
  });

  it('groups lines under a heading, with what they come to', () => {
    const fuel = lineOf(RESULTS, '6200');
    const layout = edited(RESULTS, { does: 'group', id: fuel.id, words: 'Cars' });
    const rows = written(tableOf(layout));
    expect(rows).toEqual(expect.arrayContaining(['·Cars –', '··Fuel 20', '·Total Cars 20']));
    expect(rows.at(-1)).toBe('Net profit 110');
    const heading = rowCalled(layout, 'Cars');
    if (heading.type !== 'heading') throw new Error('no heading');
    const renamed = edited(layout, { does: 'change', row: { ...heading, words: 'Vans' } });
    expect(written(tableOf(renamed))).toContain('·Total Vans 20');
  });

  it('says a row as part of another, and how far that moved in points', () => {
    const gross = rowCalled(RESULTS, 'Gross profit').id;
    const to = rowCalled(RESULTS, 'Net revenue').id;
    const row: OwnRow = {
      type: 'ratio',
      id: nextRowId(RESULTS),
      level: 0,
      words: 'Margin',
      of: gross,
      to,
    };
    const layout = edited(RESULTS, { does: 'insert', behind: gross, row });
    expect(
      written(tableOf(layout, { columns: 'jan; mar; difference 2 1; percent 2 1; share 1' })),
    ).toContain('Margin 800 600 -200 – –');
  });

  it('shows the share of net revenue though no row says it', () => {
    const only = { ...RESULTS, rows: RESULTS.rows.slice(0, 3) };
    expect(written(tableOf(only, { columns: 'this period; share 1' }))).toContain('·Cider 250 962');
  });

  it('turns the sign of a row alone', () => {
    const apples = lineOf(RESULTS, '5010');
    const layout = edited(RESULTS, { does: 'change', row: { ...apples, shows: 'credit' } });
    const rows = written(tableOf(layout));
    expect(rows).toContain('·Apples -80');
    expect(rows).toContain('Total cost of sales 80');
  });

  it('keeps a line at zero that is not to be hidden', () => {
    const apples = { ...lineOf(RESULTS, '5010'), hideZero: false };
    const monthly = { first: '2026-01', rows: BOOKS.rows.filter(([id]) => id !== '5010') };
    expect(written(tableOf(RESULTS, { monthly }))).not.toContain('·Apples 0');
    const layout = edited(RESULTS, { does: 'change', row: apples });
    expect(written(tableOf(layout, { monthly }))).toContain('·Apples 0');
  });
});

describe('what keeps a layout from being complete', () => {
  it('is an account that stands in no row, and one that stands in two', () => {
    const rest = RESULTS.rows.find((row) => row.type === 'rest' && row.section === 'revenue');
    const without = edited(
      RESULTS,
      { does: 'remove', id: lineOf(RESULTS, '4020').id },
      { does: 'remove', id: rest?.id ?? '' },
    );
    expect(ownPlaces(SHOP, without).faults).toEqual([{ is: 'missing', accountId: '4020' }]);
    expect(tableOf(without).agrees).toBe(false);
    const rent: OwnLine = { ...lineOf(RESULTS, '6100'), id: 'r90', accounts: ['6110'] };
    const apart = edited(RESULTS, {
      does: 'insert',
      behind: lineOf(RESULTS, '6100').id,
      row: rent,
    });
    expect(ownPlaces(SHOP, apart).faults).toEqual([]);
    expect(written(tableOf(apart))).toEqual(expect.arrayContaining(['·Premises 20', '·Rent 30']));
    const twice = edited(apart, { does: 'insert', behind: null, row: { ...rent, id: 'r91' } });
    expect(ownPlaces(SHOP, twice).faults).toEqual([
      { is: 'twice', accountId: '6110', rows: ['r91', 'r90'] },
    ]);
  });

  it('is a balance sheet without the result, and a sum that counts a line twice', () => {
    const sheet = beginOwn(SHOP, 'balanceSheet');
    const result = sheet.rows.find(({ type }) => type === 'result');
    const without = edited(sheet, { does: 'remove', id: result?.id ?? '' });
    expect(ownPlaces(SHOP, without).faults).toEqual([{ is: 'resultMissing' }]);
    const net = rowCalled(RESULTS, 'Net revenue');
    if (net.type !== 'sum') throw new Error('no sum');
    const cider = lineOf(RESULTS, '4010').id;
    const twice = edited(RESULTS, { does: 'change', row: { ...net, of: [...net.of, cider] } });
    expect(ownPlaces(SHOP, twice).faults).toContainEqual({
      is: 'summedTwice',
      row: net.id,
      counted: cider,
    });
  });

  it('is taken away by picking: an account goes from one line to another', () => {
    const layout = edited(RESULTS, {
      does: 'pick',
      id: lineOf(RESULTS, '4010').id,
      accountId: '4020',
    });
    expect(lineOf(layout, '4020').accounts).toEqual(['4010', '4020']);
    expect(written(tableOf(layout))).toContain('·Cider, Tours 260');
    expect(ownPlaces(SHOP, layout).faults).toEqual([]);
  });

  it('shows an account once that was picked into the line of what stands above it', () => {
    const { id } = lineOf(RESULTS, '6100');
    const layout = edited(RESULTS, { does: 'pick', id, accountId: '6110' });
    const rows = written(tableOf(layout, { depth: 3 }));
    const at = rows.indexOf('·Premises –');
    expect(rows.slice(at, at + 5)).toEqual([
      '·Premises –',
      '··Rent 30',
      '··Power 20',
      '·Total Premises 50',
      '·Fuel 20',
    ]);
  });
});

describe('a layout follows the chart', () => {
  it('with what is added: under its parent’s line, or in the rest of its section', () => {
    const account = (id: string, name: string) =>
      ({ ...aChart(`${id} ${name}`).roots[0]?.account }) as never;
    const water = applied(SHOP, {
      type: 'addAccount',
      account: account('6130', 'Water'),
      parentId: '6100',
      afterId: null,
    });
    const gifts = applied(water, {
      type: 'addAccount',
      account: account('6900', 'Gifts'),
      parentId: null,
      afterId: null,
    });
    const { rowsOf, faults } = ownPlaces(gifts, RESULTS);
    expect(rowsOf.get('6130')).toEqual([lineOf(RESULTS, '6100').id]);
    const rest = RESULTS.rows.find(
      (row) => row.type === 'rest' && row.section === 'operatingExpenses',
    );
    expect(rowsOf.get('6900')).toEqual([rest?.id]);
    expect(faults).toEqual([]);
  });

  it('with what is merged, and what gets another kind', () => {
    const merged = applied(SHOP, { type: 'merge', id: '4020', into: '4010', acrossKinds: true });
    expect(ownPlaces(merged, RESULTS).faults).toEqual([]);
    expect(written(tableOf(RESULTS, { chart: merged }))).toContain('·Cider 260');
    const both = edited(beginOwn(merged, 'profitAndLoss'), {
      does: 'change',
      row: { ...lineOf(RESULTS, '4010'), accounts: ['4020'] },
    });
    expect(ownPlaces(merged, both).rowsOf.get('4010')).toEqual([lineOf(RESULTS, '4010').id]);
    const moved = applied(SHOP, { type: 'changeKind', id: '6200', kind: 'costOfSales' });
    const rest = RESULTS.rows.find((row) => row.type === 'rest' && row.section === 'costOfSales');
    expect(ownPlaces(moved, RESULTS).rowsOf.get('6200')).toEqual([rest?.id]);
  });
});

describe('what a layout cannot be', () => {
  const sum = (id: string, of: readonly string[]): OwnRow => ({
    type: 'sum', id, level: 0, words: id, of, shows: 'debit', final: false,
  }); // prettier-ignore

  it.each([
    ['rowTwice', [sum('r1', []), sum('r1', [])]],
    ['unknownRow', [sum('r1', ['r2'])]],
    ['sumOfItself', [sum('r1', ['r2']), sum('r2', ['r1'])]],
    [
      'ratioOfNoAmount',
      [
        { type: 'heading', id: 'r1', level: 0, words: 'A' },
        { type: 'ratio', id: 'r2', level: 0, words: 'B', of: 'r1', to: 'r1' },
      ],
    ],
    ['resultOnProfitAndLoss', [{ type: 'result', id: 'r1', level: 0, words: 'Result' }]],
  ] as const)('is %s', (problem, rows) => {
    expect(ownProblem({ ...RESULTS, rows })).toBe(problem);
  });

  it('is sums of sums that grow without end', () => {
    const line = lineOf(RESULTS, '4010');
    const rows = Array.from({ length: 60 }, (_, at) =>
      sum(`s${at}`, at === 0 ? [line.id, line.id] : [`s${at - 1}`, `s${at - 1}`]),
    );
    expect(ownProblem({ ...RESULTS, rows: [line, ...rows] })).toBe('sumTooLong');
  });
});

const randomGestures = (
  chart: Chart,
): fc.Arbitrary<readonly ((layout: OwnLayout) => OwnGesture)[]> => {
  const ids = [...eachNode(chart.roots)].map(({ account }) => account.id);
  const row = fc.nat(200);
  const idAt = ({ rows }: OwnLayout, at: number): string => rows[at % rows.length]?.id ?? '';
  return fc.array(
    fc.oneof(
      fc.record({ at: row, by: fc.constantFrom(-1 as const, 1 as const), does: fc.constantFrom('move' as const, 'indent' as const) })
        .map(({ at, by, does }) => (layout: OwnLayout): OwnGesture => ({ does, by, id: idAt(layout, at) })),
      row.map((at) => (layout: OwnLayout): OwnGesture => ({ does: 'remove', id: idAt(layout, at) })),
      row.map((at) => (layout: OwnLayout): OwnGesture => ({ does: 'group', id: idAt(layout, at), words: 'G' })),
      fc.record({ at: row, account: fc.nat(200) })
        .map(({ at, account }) => (layout: OwnLayout): OwnGesture => ({ does: 'pick', id: idAt(layout, at), accountId: ids[account % ids.length] ?? '' })),
    ),
    { maxLength: 8 },
  ); // prettier-ignore
};

describe('a complete layout', () => {
  it('comes to the trial balance in every column at every depth, whatever was done to it; one that is not says so', () => {
    let complete = 0;
    const world = randomChart(20).chain((chart) =>
      fc.record({
        chart: fc.constant(chart),
        gestures: randomGestures(chart),
        statement: fc.constantFrom('profitAndLoss' as const, 'balanceSheet' as const),
        depth: fc.integer({ min: 1, max: 4 }),
        amounts: fc.array(fc.integer({ min: -5000, max: 5000 }), { minLength: 60, maxLength: 60 }),
      }),
    );
    fc.assert(
      fc.property(world, ({ chart: bare, gestures, statement, depth, amounts }) => {
        const chart: Chart = { ...bare, posted: new Set([...eachNode(bare.roots)].map(({ account }) => account.id)) };
        const posting = [...eachNode(chart.roots)].filter(({ account: { role, kind } }) => role === 'posting' && kind !== 'memorandum');
        if (posting.length < 2) return;
        const rows = amounts.flatMap((amount, at) => {
          const [one, other] = [posting[at % posting.length], posting[(at + 1) % posting.length]];
          const month = at % 3;
          const line = (sign: number) => Array.from({ length: 3 }, (_, m) => (m === month ? sign * amount : 0));
          return [[one?.account.id ?? '', ...line(1)] as const, [other?.account.id ?? '', ...line(-1)] as const];
        });
        const layout = gestures.reduce((so, gesture) => editOwn(so, gesture(so)), beginOwn(chart, statement));
        expect(ownProblem(layout)).toBeNull();
        const table = tableOf(layout, { chart, monthly: { first: '2026-01', rows: rows }, columns: 'months', depth });
        const { faults } = ownPlaces(chart, layout);
        if (faults.length === 0) complete += 1;
        expect(table.agrees).toBe(faults.length === 0);
        const lines = table.rows.filter(({ row }) => row.type === 'ownLine' && !row.open);
        const whole = table.columns.map((_column, at) =>
          lines.reduce((so, { row, cells }) => so + ('shows' in row && row.shows === 'credit' ? -1 : 1) * (cells[at] ?? 0), 0));
        if (faults.length === 0 && statement === 'balanceSheet') expect(whole).toEqual(whole.map(() => 0));
      }),
      { numRuns: 150 },
    ); // prettier-ignore
    expect(complete).toBeGreaterThan(20);
  });
});
