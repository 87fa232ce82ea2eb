import fc from 'fast-check';
import { isBalanced } from './balanced';
import { rollUpOver, ledgerOf } from './amounts';
import { aChart } from '../testing/a-chart';
import { openingAmounts, planOpenings, type PendingOpening } from './pending-openings';

const CHART = aChart(`
1010 Bank
2010 Loan
3090 Opening balances [openingBalanceEquity]
4010 Sales
6010 Rent`);

const pending = (
  balances: Readonly<Record<string, number>>,
  more: Partial<PendingOpening> = {},
): PendingOpening => ({
  stepId: 's1',
  books: [],
  ...more,
  opening: {
    last: '2026-06',
    list: 'balances.csv',
    balances: Object.entries(balances).map(([accountId, amount]) => ({ accountId, amount })),
    ...more.opening,
  },
});

/** The fiscal year begins in July. */
const JULY = 7;

describe('balances that come along with a proposal', () => {
  const planned = planOpenings(CHART, [pending({ '1010': 100, '4010': -100 })], JULY);

  it('count in a period that ends after them, as balance, change and change of the year', () => {
    expect(openingAmounts(planned, { first: '2026-06', last: '2026-06' }, JULY)).toEqual([
      ['1010', 100, 100, 100],
      ['4010', -100, -100, -100],
    ]);
  });

  it('are a balance from before in a later period, and of an earlier year in the next', () => {
    const later = openingAmounts(planned, { first: '2026-07', last: '2026-09' }, JULY);
    expect(later).toEqual([
      ['1010', 100, 0, 0],
      ['4010', -100, 0, 0],
    ]);
  });

  it('do not count in a period that ends before them', () => {
    expect(openingAmounts(planned, { first: '2026-01', last: '2026-05' }, JULY)).toEqual([]);
  });

  it('take those before them in the proposal for posted', () => {
    const twice = [
      pending({ '1010': 100, '2010': -100 }),
      pending({ '1010': 130 }, { stepId: 's2' }),
    ];
    const [, second] = planOpenings(CHART, twice, JULY);
    expect(second?.plan.lines).toMatchObject([{ accountId: '1010', now: 100, change: 30 }]);
  });

  it('count for nothing while they cannot be posted', () => {
    const wrong = planOpenings(CHART, [pending({ '1010': 100, nowhere: -100 })], JULY);
    expect(wrong[0]?.plan.refused).toEqual([{ accountId: 'nowhere', why: 'gone' }]);
    expect(openingAmounts(wrong, { first: '2026-06', last: '2026-06' }, JULY)).toEqual([]);
  });

  it('keep the books in balance, whatever the list says', () => {
    const amount = fc.integer({ min: -1e6, max: 1e6 });
    fc.assert(
      fc.property(
        fc.dictionary(fc.constantFrom('1010', '2010', '4010', '6010'), amount),
        (balances) => {
          const all = planOpenings(CHART, [pending(balances)], JULY);
          const amounts = openingAmounts(all, { first: '2026-07', last: '2026-12' }, JULY);
          expect(isBalanced(CHART, rollUpOver(ledgerOf(amounts)))).toBe(true);
        },
      ),
    );
  });
});
