import { aChart } from '../testing/a-chart';
import { itemsFit, sumOfItems, type OpenItem } from './open-item';
import { itemAccounts, itemsByParty, newestLists, openItemSums, owedSign } from './open-items';

const item = (party: string, amount: number, date: string | null = null): OpenItem => ({
  party,
  reference: '',
  date,
  amount,
});

describe('what stands open', () => {
  it('comes to the sum of its items, and fits where that can be counted in any order', () => {
    expect(sumOfItems([item('Heron Inn', 120_00), item('Heron Inn', -20_00)])).toBe(100_00);
    expect(itemsFit([item('Heron Inn', 9e12), item('Heron Inn', -0.5e12)])).toBe(true);
    expect(itemsFit([item('Heron Inn', 9e12), item('Heron Inn', -9e12)])).toBe(false);
  });

  it('is told by party, however its name is written, and by how old it is', () => {
    const items = [
      item('Tern Market', 40_00, '2026-10-31'),
      item('heron  inn', 10_00, '2026-10-01'),
      item('Heron Inn', 20_00, '2026-09-30'),
      item('Heron Inn', 30_00, '2026-06-01'),
      item('Heron Inn', -5_00),
    ];
    expect(itemsByParty({ month: '2026-10', items })).toEqual([
      {
        party: 'heron  inn',
        count: 4,
        amount: 55_00,
        aged: [10_00, 20_00, 0, 30_00],
        undated: -5_00,
      },
      { party: 'Tern Market', count: 1, amount: 40_00, aged: [40_00, 0, 0, 0], undated: 0 },
    ]);
  });

  it('comes to a sum for each account that has a list', () => {
    const list = { month: '2026-10', items: [item('Heron Inn', 3_00), item('Gull Café', 4_00)] };
    expect(openItemSums([{ accountId: '1100', list }])).toEqual([
      { accountId: '1100', month: '2026-10', amount: 7_00 },
    ]);
  });

  it('is asked for in accounts that match open items or control a ledger, and where a list was brought', () => {
    const chart = aChart(
      [
        '1100 Customers [tradeReceivable]',
        '1160 Refund of a deposit [prepaidExpense]',
        '2010 Suppliers [tradePayable]',
        '4010 Sales [saleOfGoods]',
      ].join('\n'),
    );
    const numbers = (listed: readonly string[]) =>
      itemAccounts(chart, new Set(listed)).map(({ account }) => account.number);
    expect(numbers([])).toEqual(['1100', '2010']);
    expect(numbers(['1160'])).toEqual(['1100', '1160', '2010']);
  });

  it('is the newest list of an account, with those of the same month of what was merged into it', () => {
    const [node] = aChart('1100 Customers [tradeReceivable]').roots;
    if (node === undefined) throw new Error('no account');
    const list = (accountId: string, month: string) => ({ accountId, month });
    const lists = [
      list('1100', '2026-08'),
      list('1100', '2026-09'),
      list('1110', '2026-09'),
      list('1120', '2026-09'),
      list('1110', '2026-11'),
    ];
    const merged = { ...node, absorbed: ['1110'] };
    expect(newestLists(merged, lists, '2026-10')).toEqual([lists[1], lists[2]]);
    expect(newestLists(merged, lists, '2026-12')).toEqual([lists[4]]);
    expect(newestLists(merged, lists, '2026-07')).toEqual([]);
  });

  it('is owed on the usual side of its kind', () => {
    expect([owedSign('tradeReceivable'), owedSign('tradePayable')]).toEqual([1, -1]);
  });
});
