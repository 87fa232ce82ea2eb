import { applyAll } from '../operations/apply';
import { aChart } from '../testing/a-chart';
import { movementBetween, movementsIn } from './movements';

describe('debits and credits', () => {
  it('count with the account into which theirs was merged, also by way of another', () => {
    const merged = applyAll(aChart('6010 Fuel\n6020 Petrol\n6030 Diesel'), [
      { type: 'merge', id: '6030', into: '6020', acrossKinds: false },
      { type: 'merge', id: '6020', into: '6010', acrossKinds: false },
    ]);
    if (!merged.ok) throw new Error(merged.refusal.code);
    const posted = new Map([
      ['6010', { debit: 100, credit: 0 }],
      ['6020', { debit: 20, credit: 5 }],
      ['6030', { debit: 3, credit: 1 }],
    ]);
    expect([...movementsIn(merged.chart, posted)]).toEqual([['6010', { debit: 123, credit: 6 }]]);
  });

  it('lead from one balance to the other', () => {
    const gross = { debit: 900, credit: 400 };
    expect(movementBetween({ opening: 100, closing: 600 }, gross)).toEqual(gross);
  });

  it('tell no more than the balances where part of them is not known', () => {
    const gross = { debit: 900, credit: 400 };
    expect(movementBetween({ opening: 100, closing: 150 }, gross)).toEqual({
      debit: 50,
      credit: 0,
    });
    expect(movementBetween({ opening: 100, closing: 30 })).toEqual({ debit: 0, credit: 70 });
    expect(movementBetween({ opening: 100, closing: 100 })).toEqual({ debit: 0, credit: 0 });
  });
});
