import { heldAt, type DatedLine, type MarketLine } from '@iunctus/core';
import { bankFeed } from '../src/simulated/bank';
import { marketFeed, marketLines } from '../src/simulated/marketplace';

const MOMENT = { today: '2026-11-26', chance: 0.5 };
const ACCOUNT = { seed: 'a business', accountId: 'its bank', takesPayouts: true };

const told = <T>(answer: { state: 'silent' } | { state: 'told'; lines: T[] }): readonly T[] => {
  if (answer.state === 'silent') throw new Error('silent');
  return answer.lines;
};
const bank = (first: string, last: string, more: Partial<typeof ACCOUNT> = {}) =>
  told<DatedLine>(bankFeed({ ...ACCOUNT, ...more }, { first, last }, MOMENT));
const market = (): readonly MarketLine[] => told<MarketLine>(marketFeed('a business', MOMENT));

describe('the simulated bank', () => {
  it('tells the same lines under the same ids whenever it is asked, each once', () => {
    const year = bank('2026-01-01', '2026-11-26');
    const october = year.filter(({ date }) => date.startsWith('2026-10'));
    expect(bank('2026-10-01', '2026-10-31')).toEqual(october);
    expect(new Set(year.map(({ id }) => id)).size).toBe(year.length);
    expect(october.length).toBeGreaterThan(25);
  });

  it('tells others of another account, and nothing of today or later', () => {
    const own = bank('2026-10-01', '2026-12-31');
    expect(own.every(({ date }) => date <= '2026-11-25')).toBe(true);
    const other = new Set(
      bank('2026-10-01', '2026-12-31', { accountId: 'another' }).map(({ id }) => id),
    );
    expect(own.some(({ id }) => other.has(id))).toBe(false);
  });

  it('gives what falls on a day that a month does not have on its last', () => {
    const charges = bank('2026-02-01', '2026-02-28').find(({ text }) => text === 'ACCOUNT CHARGES');
    expect(charges?.date).toBe('2026-02-28');
  });

  it('receives what the marketplace pays out, two days later', () => {
    const payout = market().find(({ sort }) => sort === 'payout');
    const arrived = bank('2026-07-01', '2026-07-31').find(({ text }) => text.includes('PAYOUT'));
    expect(arrived?.amount).toBe(-(payout?.amount ?? 0));
    expect([payout?.date, arrived?.date]).toEqual(['2026-07-13', '2026-07-15']);
    expect(
      bank('2026-07-01', '2026-07-31', { takesPayouts: false }).some(({ text }) =>
        text.includes('PAYOUT'),
      ),
    ).toBe(false);
  });

  it('now and then does not answer', () => {
    const asked = { first: '2026-10-01', last: '2026-10-31' };
    expect(bankFeed(ACCOUNT, asked, { ...MOMENT, chance: 0.01 })).toEqual({ state: 'silent' });
  });
});

describe('the simulated marketplace', () => {
  it('pays out every two weeks what came to stand, but for the reserve', () => {
    const lines = market();
    const payouts = lines.filter(({ sort }) => sort === 'payout');
    expect(payouts.slice(0, 3).map(({ date }) => date)).toEqual([
      '2026-07-13',
      '2026-07-27',
      '2026-08-10',
    ]);
    const sales = lines
      .filter(({ sort, date }) => sort === 'sale' && date < '2026-07-13')
      .reduce((total, { amount }) => total + amount, 0);
    const held = heldAt(marketLines('a business', '2026-07-13'), '2026-07-12');
    expect(-(payouts[0]?.amount ?? 0)).toBe(held.toPayOut - Math.round(sales / 10));
  });

  it('gives the reserve of one payout free with the next', () => {
    const reserves = market()
      .filter(({ sort }) => sort === 'reserve')
      .map(({ amount }) => amount);
    expect(reserves[1]).toBe(-(reserves[0] ?? 0));
  });
});
