import { usualPlan } from '../plan/number-plan';
import { aChart } from '../testing/a-chart';
import { fitNumbers } from './fit';

describe('numbers that fit a plan, where some must not change', () => {
  it('gives a parent no number that one below it keeps', () => {
    const chart = aChart(`
1001 Bank [bank]
  5000 Reserve [bank]
1003 Cost of fruit [costOfSales]
  5100 Pears [costOfSales]
`);
    const { numbers } = fitNumbers(chart, {
      ...{ plan: usualPlan(4), keep: true },
      movable: new Set(['1003']),
    });
    expect(numbers.get('1003')).toBe('5101');
  });
});
