import { gatherLines, heldAt, type MarketLine, type MarketSort } from './payouts';

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
