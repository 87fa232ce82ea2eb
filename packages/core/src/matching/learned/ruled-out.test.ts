import { kindsRuledOut } from './ruled-out';

const row = (type: string, ...above: readonly string[]) => ({
  ...{ name: 'Bakers’ wages', above, type, number: null, balance: 0, leads: false },
});

const ruledOut = (said: ReturnType<typeof row>) => kindsRuledOut(said, new Set());

describe('costs that a list itself tells apart', () => {
  it('are no overheads below the cost of sales, whatever they are called themselves', () => {
    expect(ruledOut(row('', 'Less: Cost of Goods Sold'))).toEqual(['operatingExpense']);
    expect(ruledOut(row('', 'Wages', 'DIRECT COSTS:'))).toEqual(['operatingExpense']);
    expect(ruledOut(row('Cost of Sales'))).toEqual(['operatingExpense']);
  });

  it('are no cost of sales below overheads', () => {
    expect(ruledOut(row('Expense / Overheads'))).toEqual(['costOfSales']);
    expect(ruledOut(row('', 'General & administrative expenses'))).toEqual(['costOfSales']);
  });

  it('are what is nearest to them says: overheads within direct costs stay overheads', () => {
    expect(ruledOut(row('', 'Overheads', 'Direct costs'))).toEqual(['costOfSales']);
  });

  it('may be either where the list says no more than that they are costs', () => {
    expect(ruledOut(row('Expense', 'Costs', 'Premises'))).toEqual([]);
  });

  it('are not what a line is that has its expense beside it: “Supplies” beside “Supplies expense”', () => {
    const names = new Set(['supplies', 'supplies expense', 'rent']);
    const called = (name: string) => kindsRuledOut({ ...row(''), name }, names);
    expect(called('Supplies')).toContain('operatingExpense');
    expect(called('Supplies expense')).toEqual([]);
    expect(called('Rent')).toEqual([]);
  });
});
