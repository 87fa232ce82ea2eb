import fc from 'fast-check';
import { applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import { aChart } from '../testing/a-chart';
import { entryOfLine, entryOfLines, type DatedLine } from './line-entry';
import { doneHere, offeredFor, PURPOSE_CODES } from './purpose';
import type { RouteContent, RouteItem, WordRule } from './route-item';
import { routeLine, routePurpose, type TakenLine } from './route-line';
import { lostBetween, routesTo, standingsLost, standingsOn } from './route-uses';
import { routesOf } from './routes';
import { reportRules, wordsThatName } from './rule-report';
import { netAndTax } from './sales-tax';

const CHART = aChart(`
1000 Cash:
  1010 Bank [bank]
  1090 Marketplace balance [clearing]
1400 Goods [inventory]
1500 VAT recoverable [salesTaxRecoverable]
2200 VAT payable [salesTaxPayable]
4000 Sales:
  4010 Shop sales
  4020 Barrel sales
6000 Premises:
  6010 Rent
  6020 Power
6100 Bank charges`);

const items = (...contents: readonly RouteContent[]): readonly RouteItem[] =>
  contents.map((content, at) => ({ id: `item-${at}`, content }));

const aRule = (words: string, accountId: string, more: Partial<WordRule> = {}): WordRule => ({
  type: 'rule',
  place: 1,
  how: 'contains',
  words,
  sign: null,
  least: null,
  most: null,
  source: null,
  accountId,
  taxCodeId: null,
  ...more,
});

const aLine = (text: string, amount: number, more: Partial<TakenLine> = {}): TakenLine => ({
  text,
  amount,
  source: 'bank',
  ...more,
});

const goesTo = (line: TakenLine, ...contents: readonly RouteContent[]) =>
  routeLine(line, { chart: CHART, routes: routesOf(items(...contents)) }).accountId;

describe('a word rule', () => {
  it('catches lines that contain its words, whatever their case and accents', () => {
    expect(goesTo(aLine('ÉNERGIE du Val 4471', -80_00), aRule('energie du val', '6020'))).toBe(
      '6020',
    );
  });

  it('catches lines that start with them', () => {
    const rule = aRule('rent', '6010', { how: 'starts' });
    expect(goesTo(aLine('Rent of May', -900_00), rule)).toBe('6010');
    expect(goesTo(aLine('Car rent', -900_00), rule)).toBeNull();
  });

  it('looks at the amount without its sign, both bounds inclusive', () => {
    const rule = aRule('barn', '6010', { least: 50_00, most: 100_00 });
    expect(
      [49_99, 50_00, 100_00, 100_01].map((size) => goesTo(aLine('Barn', -size), rule)),
    ).toEqual([null, '6010', '6010', null]);
  });

  it('can be for money in or out, and for one source', () => {
    expect(goesTo(aLine('Orchard', 5_00), aRule('orchard', '6010', { sign: 'out' }))).toBeNull();
    expect(goesTo(aLine('Orchard', 5_00), aRule('orchard', '4010', { sign: 'in' }))).toBe('4010');
    expect(goesTo(aLine('Fee', -1_00), aRule('fee', '6100', { source: 'payout' }))).toBeNull();
  });

  it('gives way to one with a lower place', () => {
    const [first, second] = [
      aRule('barn', '6010', { place: 2 }),
      aRule('barn', '6020', { place: 1 }),
    ];
    expect(goesTo(aLine('Barn', -1_00), first, second)).toBe('6020');
  });
});

describe('a line without a rule', () => {
  const party: RouteContent = {
    type: 'party',
    role: 'customer',
    name: 'Heron Inn',
    saleId: '4020',
    purchaseId: null,
  };

  it('goes to the account of the customer who is named in it, when money comes in', () => {
    expect(goesTo(aLine('HERON INN invoice 7', 300_00), party)).toBe('4020');
    expect(goesTo(aLine('HERON INN refund', -300_00), party)).toBeNull();
    expect(goesTo(aLine('Heron Innkeepers', 300_00), party)).toBeNull();
  });

  it('goes to the default of what its source says it is for', () => {
    const sale: RouteContent = { type: 'default', purpose: 'sale', accountId: '4010' };
    expect(goesTo(aLine('Order 12', 30_00, { purpose: 'sale' }), sale)).toBe('4010');
    expect(goesTo(aLine('Order 12', 30_00), sale)).toBeNull();
  });

  it('says which default is wanted where there is none', () => {
    const { decision } = routePurpose(
      { by: 'purpose', purpose: 'rounding', partyId: null },
      { chart: CHART, routes: routesOf([]) },
    );
    expect(decision).toEqual({ by: 'nothing', wanted: 'rounding' });
  });
});

const changed = (...operations: readonly Operation[]) => {
  const outcome = applyAll(CHART, operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};

describe('a route of an account that changes', () => {
  const route = items(aRule('power', '6020'));

  it('is carried along by a merge', () => {
    const after = changed({ type: 'merge', id: '6020', into: '6010', acrossKinds: false });
    expect(
      routeLine(aLine('Power', -1_00), { chart: after, routes: routesOf(route) }).accountId,
    ).toBe('6010');
    expect(lostBetween(route, { before: CHART, after })).toEqual([]);
    expect(routesTo(route, after, '6010')).toHaveLength(1);
  });

  it('is lost with an account that is removed', () => {
    const after = changed({ type: 'deleteAccount', id: '6020' });
    expect(lostBetween(route, { before: CHART, after })).toEqual([
      { itemId: 'item-0', accountId: '6020' },
    ]);
  });
});

describe('a standing entry', () => {
  const rent = { name: 'Rent', entry: { lines: [{ accountId: '6010' }, { accountId: '1010' }] } };

  it('is said to use its accounts, also those that stand for others by now', () => {
    const after = changed({ type: 'merge', id: '6010', into: '6020', acrossKinds: false });
    expect(standingsOn([rent], CHART, '6010')).toEqual([rent]);
    expect(standingsOn([rent], after, '6020')).toEqual([rent]);
    expect(standingsOn([rent], CHART, '6020')).toEqual([]);
  });

  it('is lost with an account that is retired, and not by a merge', () => {
    const lost = (operation: Operation) =>
      standingsLost([rent], { before: CHART, after: changed(operation) });
    expect(lost({ type: 'retire', id: '6010', on: '2026-10-01' })).toEqual([rent]);
    expect(lost({ type: 'merge', id: '6010', into: '6020', acrossKinds: false })).toEqual([]);
  });
});

describe('rules held against lines of the past', () => {
  const routes = routesOf(
    items(
      aRule('barn', '6010', { place: 1 }),
      aRule('barn power', '6020', { place: 2 }),
      aRule('kiln', '6020', { place: 3 }),
    ),
  );
  const report = reportRules(
    [
      { ...aLine('Barn May', -900_00), accountId: '6010' },
      { ...aLine('Barn power May', -80_00), accountId: '6020' },
    ],
    { chart: CHART, routes },
  );

  it('say how many lines each decides, and how many of those went elsewhere', () => {
    expect(report[0]).toMatchObject({ caught: 2, elsewhere: 1 });
  });

  it('say which rule takes what another would catch, and that it can never decide', () => {
    expect(report[1]).toMatchObject({
      isDead: true,
      isCovered: true,
      overlaps: [{ ruleId: 'item-0', count: 1 }],
    });
  });

  it('say of a rule that only caught nothing so far that it is dead, not covered', () => {
    expect(report[2]).toMatchObject({ caught: 0, isDead: true, isCovered: false });
  });
});

describe('words for a new rule', () => {
  it.each([
    ['card purchase 4471 orchard supply co 0932', 'orchard supply co'],
    ['dd 88213 valley power', 'valley power'],
    ['payment', ''],
    ['20 nov', 'nov'],
  ])('of “%s” are “%s”', (key, words) => expect(wordsThatName(key)).toBe(words));
});

describe('sales tax within a gross amount', () => {
  it.each([
    [120_00, '20', 20_00],
    [100_00, '7.25', 6_76],
    [1, '20', 0],
    [-113_00, '13', -13_00],
    [100_00, 'none', 0],
  ])('of %i at %s per cent is %i', (gross, rate, tax) => {
    expect(netAndTax(gross, rate)).toEqual({ net: gross - tax, tax });
  });

  it('is within half a minor unit of the exact quotient, and net and tax make the gross', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -1e12, max: 1e12 }),
        fc.integer({ min: 1, max: 100_000_000 }),
        (gross, millionths) => {
          const rate = `${Math.floor(millionths / 1e6)}.${String(millionths % 1e6).padStart(6, '0')}`;
          const { net, tax } = netAndTax(gross, rate);
          expect(net + tax).toBe(gross);
          // |tax − gross·r/(100+r)| ≤ ½, multiplied out in whole numbers.
          const [r, all] = [BigInt(millionths), 100_000_000n + BigInt(millionths)];
          const off = 2n * (BigInt(tax) * all - BigInt(gross) * r);
          expect((off < 0n ? -off : off) <= all).toBe(true);
        },
      ),
    );
  });
});

describe('the entry of a line', () => {
  const code = { type: 'taxCode', name: 'Standard', rate: '20', reclaims: true } as const;
  const context = {
    chart: CHART,
    routes: routesOf(
      items(
        { type: 'default', purpose: 'salesTaxOwed', accountId: '2200' },
        { type: 'default', purpose: 'salesTaxPaid', accountId: '1500' },
      ),
    ),
  };
  const dated = (text: string, amount: number): DatedLine => ({
    ...aLine(text, amount),
    id: text,
    date: '2026-10-05',
  });
  const amounts = (
    line: DatedLine,
    accountId: string,
    taxCode: typeof code | { type: 'taxCode'; name: string; rate: string; reclaims: false },
  ) =>
    entryOfLine(line, { atId: '1010', accountId, taxCode }, context).lines.map((one) => [
      one.accountId,
      one.amount,
    ]);

  it('brings the tax within a sale to what is owed', () => {
    expect(amounts(dated('Shop', 120_00), '4010', code)).toEqual([
      ['1010', 120_00],
      ['4010', -100_00],
      ['2200', -20_00],
    ]);
  });

  it('brings the tax within a purchase to what can be reclaimed, or leaves it in the cost', () => {
    expect(amounts(dated('Power', -60_00), '6020', code)).toContainEqual(['1500', 10_00]);
    expect(amounts(dated('Power', -60_00), '6020', { ...code, reclaims: false })).toEqual([
      ['1010', -60_00],
      ['6020', 60_00],
    ]);
  });

  it('sums up many lines by account, and balances', () => {
    const target = { atId: '1090', accountId: '4010', taxCode: code };
    const lines = [dated('1', 12_00), dated('2', 12_00), dated('3', -6_00)].map((line) => ({
      line,
      target,
    }));
    const entry = entryOfLines(lines, { date: '2026-10-31', comment: 'October' }, context);
    expect(entry.lines.reduce((total, { amount }) => total + amount, 0)).toBe(0);
    expect(entry.lines.find(({ accountId }) => accountId === '1090')?.amount).toBe(18_00);
  });
});

describe('default accounts', () => {
  it('are wanted for what the accounts of a client say that it does', () => {
    expect([...doneHere(CHART, 'USD')].sort()).toEqual([
      'always',
      'payouts',
      'salesTax',
      'sells',
      'stock',
    ]);
  });

  it('are offered by the words of names and by kinds, and never where a kind alone says too little', () => {
    const offered = Object.fromEntries(
      PURPOSE_CODES.map((purpose) => [purpose, offeredFor(CHART, purpose)?.number]),
    );
    expect(offered).toMatchObject({
      bank: '1010',
      sale: '4010',
      holding: '1090',
      salesTaxPaid: '1500',
      bankCharge: '6100',
      wages: undefined,
      rounding: undefined,
    });
  });
});
