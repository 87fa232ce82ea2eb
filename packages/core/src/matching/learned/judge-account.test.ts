import { aChart } from '../../testing/a-chart';
import { judgeAccount, type AccountAsked } from './judge-account';

const CHART = aChart(`
1000 Cash and bank
  1010 Operating account [bank]
4000 Sales
  4010 Cider sold over the counter [saleOfGoods]
  4020 Tours and tastings [services]
5000 Cost of sales
  5010 Fruit [costOfSales]
  5020 Bottles [costOfSales]
6000 People
  6010 Wages [operatingExpense]
`);

const first = (name: string, more: Partial<AccountAsked> = {}) =>
  judgeAccount(CHART, {
    ...{ name, number: null, parentId: null, afterId: null, element: null },
    ...more,
  });

describe('the kind of a new account in a chart', () => {
  it('is what its name says, among those of its element', () => {
    expect(first('Prepaid insurance', { element: 'asset' })[0]?.kind).toBe('prepaidExpense');
    expect(first('Orchard lease', { element: 'expense' })[0]?.kind).toBe('operatingExpense');
  });

  it('is what stands above and beside it where the name says little', () => {
    const below = { parentId: '5000', afterId: '5020', element: 'expense' } as const;
    expect(first('Corks and capsules', below)[0]?.kind).toBe('costOfSales');
  });

  it('comes with what else it may be, three in all, and why', () => {
    const guesses = first('Workshops', { parentId: '4000', afterId: '4020', element: 'revenue' });
    expect(guesses).toHaveLength(3);
    expect(new Set(guesses.map(({ kind }) => kind)).size).toBe(3);
    expect(guesses[0]?.reason.type).not.toBe('none');
  });
});
