import fc from 'fast-check';
import { accountOf } from '../chart/queries';
import type { Chart } from '../chart/chart';
import { readPastedAmounts } from '../importing/pasted-amounts';
import { spreadEvenly, spreadLike } from '../money/spread';
import { applyAll } from '../operations/apply';
import { planBudgets } from '../planning/plan-budget';
import type { Budget } from '../settings/account-settings';
import { aChart, withSettings } from '../testing/a-chart';
import {
  budgetGrid,
  budgetsWithin,
  budgetYear,
  withBudgetOfEvery,
  withBudgetOfYear,
} from './budgets';

const SHOP = aChart(
  [
    '1010 Bank [bank]',
    '4010 Cider',
    '6000 Costs: [operatingExpense]',
    '  6110 Rent',
    '  6120 Power',
  ].join('\n'),
);
const planned = (
  chart: Chart,
  year: string,
  accountId: string,
  amounts: readonly number[] | null,
): Chart => {
  const result = applyAll(chart, planBudgets(chart, year, [{ accountId, amounts }]));
  if (!result.ok) throw new Error(result.refusal.code);
  return result.chart;
};
const budgetOf = (chart: Chart, id: string): Budget | undefined =>
  accountOf(chart, id)?.settings.budget;
const EVEN = spreadEvenly(1200, 12);
const RISING = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

describe('a budget of one fiscal year', () => {
  it('stands beside that of every year, and rests in no other', () => {
    const every = withBudgetOfEvery(undefined, { per: 'year', amount: 600 });
    const budget = withBudgetOfYear(every ?? undefined, '2026', { per: 'year', amount: 1200 });
    if (budget === null) throw new Error('no budget');
    const chart = withSettings(aChart('6110 Rent'), { '6110': { budget } });
    const total = (year: string) => budgetGrid(chart, year).map(({ total, set }) => [total, set]);
    expect([total('2025'), total('2026')]).toEqual([[[600, 'everyYear']], [[1200, 'thisYear']]]);
    expect(withBudgetOfYear(budget ?? undefined, '2026', null)).toEqual(every);
  });

  it('is kept as one amount where it is spread evenly, else by month', () => {
    const even = planned(SHOP, '2026', '6110', EVEN);
    expect(budgetOf(even, '6110')).toEqual({
      per: 'years',
      every: null,
      years: { '2026': { per: 'year', amount: 1200 } },
    });
    const rising = planned(even, '2027', '6110', RISING);
    expect(budgetGrid(rising, '2027').find(({ accountId }) => accountId === '6110')).toEqual({
      accountId: '6110', amounts: RISING, total: 78, set: 'thisYear',
    }); // prettier-ignore
    expect(
      budgetOf(planned(planned(rising, '2026', '6110', null), '2027', '6110', null), '6110'),
    ).toBeUndefined();
  });

  it('counts in its own months alone, also where the fiscal year begins in July', () => {
    const chart = planned(SHOP, '2026', '6110', RISING);
    const amount = (first: string, last: string): number | undefined =>
      budgetsWithin(chart, { first, last }, 7).find(([id]) => id === '6110')?.[1];
    expect(budgetYear('2027-06', 7)).toBe('2026');
    expect(amount('2026-07', '2027-06')).toBe(78);
    expect(amount('2026-06', '2026-08')).toBe(3);
    expect(amount('2027-07', '2027-12')).toBeUndefined();
  });

  it('is set for accounts of the profit and loss that take postings', () => {
    expect(budgetGrid(SHOP, '2026').map(({ accountId }) => accountId)).toEqual([
      '4010',
      '6110',
      '6120',
    ]);
  });

  it('comes back by the operations’ inverses', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -9_999, max: 9_999 }), { minLength: 12, maxLength: 12 }),
        (amounts) => {
          const chart = planned(SHOP, '2026', '4010', amounts);
          expect(budgetGrid(chart, '2026')[0]?.amounts).toEqual(amounts);
          expect(budgetGrid(planned(chart, '2026', '4010', null), '2026')).toEqual(
            budgetGrid(SHOP, '2026'),
          );
        },
      ),
    );
  });
});

describe('amounts spread like others', () => {
  it('lose nothing, and follow last year’s shape', () => {
    expect(spreadLike(100, [1, 1, 2])).toEqual([25, 25, 50]);
    expect(spreadLike(100, [1, 1, 1])).toEqual([33, 34, 33]);
    fc.assert(
      fc.property(
        fc.integer({ min: -1e9, max: 1e9 }),
        fc.array(fc.integer({ min: -1e6, max: 1e6 }), { minLength: 1, maxLength: 12 }),
        (amount, shape) => {
          expect(spreadLike(amount, shape).reduce((so, one) => so + one, 0)).toBe(amount);
        },
      ),
    );
  });

  it('are even where there is no shape to follow', () => {
    expect(spreadLike(12, [0, 0, 0])).toEqual([4, 4, 4]);
    expect(spreadLike(12, [5, -5, 9])).toEqual([4, 4, 4]);
  });
});

describe('amounts pasted from a spreadsheet', () => {
  it('are read as it shows them, empty cells left alone', () => {
    expect(readPastedAmounts('1,250.00\t\t(30)\r\n$ 7\t–\t1,000\r\n', 'USD')).toEqual({
      ok: true,
      rows: [
        [125000, null, -3000],
        [700, 0, 100000],
      ],
    });
    expect(readPastedAmounts('1.250,00\t3,5', 'EUR')).toEqual({ ok: true, rows: [[125000, 350]] });
  });

  it('are refused as a whole where a cell is none, which is named', () => {
    expect(readPastedAmounts('12\t13\n14\trent', 'USD')).toEqual({
      ok: false,
      row: 2,
      column: 2,
      text: 'rent',
    });
  });
});
