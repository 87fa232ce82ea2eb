import fc from 'fast-check';
import { aChart } from '../testing/a-chart';
import { explainHeld, heldAt, takenPayouts } from './held';
import { missingFor, payoutEntry } from './payout-entry';
import {
  entryIdsOf,
  gatherLines,
  idOfGathered,
  MARKET_SORTS,
  recordedAs,
  sumsBySort,
  type MarketLine,
  type MarketSort,
} from './payouts';
import type { RouteItem } from './route-item';
import { routesOf } from './routes';

const line = (date: string, sort: MarketSort, amount: number): MarketLine => ({
  id: `${date}-${sort}`,
  date,
  text: sort,
  amount,
  source: 'payout',
  sort,
});

const LINES = [
  line('2026-09-20', 'sale', 100_00),
  line('2026-09-20', 'fee', -12_00),
  line('2026-09-20', 'reserve', -10_00),
  line('2026-09-28', 'payout', -78_00),
  line('2026-09-30', 'sale', 50_00),
  line('2026-10-04', 'refund', -20_00),
  line('2026-10-12', 'reserve', 10_00),
  line('2026-10-12', 'payout', -40_00),
  line('2026-10-20', 'sale', 70_00),
];

describe('a marketplace’s statement', () => {
  it('is posted at each payout, with all that came to stand before it', () => {
    expect(
      gatherLines(LINES, 'each', '2026-10-31').map(({ date, amount }) => [date, amount]),
    ).toEqual([
      ['2026-09-28', 78_00],
      ['2026-10-12', 40_00],
    ]);
  });

  it('is posted by month, once the month is over, without the payouts', () => {
    const gathered = gatherLines(LINES, 'monthly', '2026-10-30');
    expect(gathered.map(({ date, amount }) => [date, amount])).toEqual([['2026-09-30', 128_00]]);
    expect(gatherLines(LINES, 'monthly', '2026-10-31')).toHaveLength(2);
  });

  it('says what is still held: to be paid out, and in reserve', () => {
    expect(heldAt(LINES, '2026-10-01')).toEqual({ toPayOut: 50_00, reserve: 10_00 });
    expect(heldAt(LINES, '2026-10-31')).toEqual({ toPayOut: 70_00, reserve: 0 });
  });
});

describe('a way of recording', () => {
  const known = (way: 'each' | 'monthly') => {
    const [first] = gatherLines(LINES, way, '2026-10-31');
    if (first === undefined) throw new Error('nothing is gathered');
    return recordedAs(LINES, '2026-10-31', (id) => id === idOfGathered(first, way));
  };

  it('is known again by what was posted in it, and none is while nothing is posted', () => {
    expect([known('each'), known('monthly')]).toEqual(['each', 'monthly']);
    expect(recordedAs(LINES, '2026-10-31', () => false)).toBeNull();
  });
});

describe('the ids of entries', () => {
  it('are never the same for two ways of recording, also where the last line of a month is the first behind a payout', () => {
    const ids = entryIdsOf(LINES, '2026-10-31');
    expect(ids).toHaveLength(4);
    expect(new Set(ids).size).toBe(4);
  });
});

describe('payouts that were taken from the bank', () => {
  const taken = (...posted: readonly (readonly [string, number])[]) => [
    ...takenPayouts(
      LINES,
      posted.map(([date, amount]) => ({ date, amount })),
    ),
  ];

  it('have a line of their amount on their day or soon after', () => {
    expect(taken(['2026-09-30', -78_00])).toEqual(['2026-09-28-payout']);
    expect(taken(['2026-09-27', -78_00])).toEqual([]);
    expect(taken(['2026-10-09', -78_00])).toEqual([]);
    expect(taken(['2026-09-30', -78_01])).toEqual([]);
  });

  it('are one for each line', () => {
    const twice = [line('2026-09-01', 'payout', -5_00), line('2026-09-03', 'payout', -5_00)];
    expect(takenPayouts(twice, [{ date: '2026-09-04', amount: -5_00 }]).size).toBe(1);
  });
});

describe('what the account that holds comes to', () => {
  it('is explained by what is held, not posted yet, not taken yet, and of others', () => {
    const [september] = gatherLines(LINES, 'monthly', '2026-09-30');
    const posted = new Set(september?.lines);
    // September is posted, its payout taken, and 3.00 of something else stands there.
    const inBooks = 128_00 - 78_00 + 3_00;
    const explained = explainHeld({
      lines: LINES,
      through: '2026-10-31',
      posted,
      taken: new Set(['2026-09-28-payout']),
      inBooks,
      isReserveApart: true,
    });
    expect(explained).toEqual({
      held: 70_00,
      unposted: 60_00,
      untakenOn: ['2026-10-12'],
      untaken: 40_00,
      rest: 3_00,
      reserve: 0,
    });
  });

  it('adds up whatever was posted and taken', () => {
    const drawn = fc.array(
      fc.record({
        sort: fc.constantFrom(...MARKET_SORTS),
        amount: fc.integer({ min: -1e6, max: 1e6 }),
        isPosted: fc.boolean(),
      }),
      { maxLength: 20 },
    );
    fc.assert(
      fc.property(
        drawn,
        fc.integer({ min: -1e6, max: 1e6 }),
        fc.boolean(),
        (all, others, isReserveApart) => {
          const lines = all.map(({ sort, amount }, at) => ({
            ...line('2026-09-01', sort, amount),
            id: String(at),
          }));
          const had = lines.filter((_line, at) => all[at]?.isPosted);
          const posted = new Set(had.filter(({ sort }) => sort !== 'payout'));
          const taken = new Set(had.filter(({ sort }) => sort === 'payout').map(({ id }) => id));
          // A reserve that stands with what is held moves nothing there.
          const moved = had.filter(({ sort }) => isReserveApart || sort !== 'reserve');
          const inBooks = moved.reduce((sum, { amount }) => sum + amount, others);
          const { held, unposted, untaken, rest } = explainHeld({
            lines,
            through: '2026-09-30',
            posted,
            taken,
            inBooks,
            isReserveApart,
          });
          expect(held - unposted + untaken + rest).toBe(inBooks);
          expect(rest).toBe(others);
        },
      ),
    );
  });
});

describe('the entry of gathered lines', () => {
  const chart = aChart(
    '1050 Held [clearing]\n1260 Kept back [otherReceivable]\n4010 Sales\n4090 Returns [returnsAndDiscounts]\n6360 Fees',
  );
  const purposes = {
    holding: '1050',
    sale: '4010',
    saleReturn: '4090',
    sellingFee: '6360',
  } as const;
  const contextWith = (more: object = {}) => ({
    chart,
    routes: routesOf(
      Object.entries({ ...purposes, ...more }).map(([purpose, accountId]): RouteItem => ({
        id: purpose,
        content: { type: 'default', purpose: purpose as keyof typeof purposes, accountId },
      })),
    ),
  });
  const [september] = gatherLines(LINES, 'monthly', '2026-09-30');
  if (september === undefined) throw new Error('nothing is gathered');
  const amounts = (context = contextWith()) =>
    payoutEntry(september, 'September', context)?.lines.map(({ accountId, amount }) => [
      accountId,
      amount,
    ]);

  it('brings sales, fees and the reserve to their accounts, and what remains to the one that holds', () => {
    expect(amounts(contextWith({ heldBack: '1260' }))).toEqual([
      ['1050', 128_00],
      ['4010', -150_00],
      ['6360', 12_00],
      ['1260', 10_00],
    ]);
  });

  it('leaves a reserve without an account where it is held', () => {
    expect(amounts()?.[0]).toEqual(['1050', 138_00]);
  });

  it('is none while something leads nowhere, and says what', () => {
    const context = { chart, routes: routesOf([]) };
    expect(amounts(context)).toBeUndefined();
    expect(missingFor(LINES, context)).toEqual(['holding', 'sale', 'sellingFee', 'saleReturn']);
    expect(missingFor(LINES, contextWith())).toEqual([]);
  });

  it('has the sums of each sort', () => {
    expect(sumsBySort(september.lines)).toEqual({
      sale: 150_00,
      fee: -12_00,
      reserve: -10_00,
      refund: 0,
      payout: 0,
    });
  });
});
