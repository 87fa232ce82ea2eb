import fc from 'fast-check';
import { sum } from '../money/minor';
import { applyAll } from '../operations/apply';
import { aChart } from '../testing/a-chart';
import { planOpening, sidesOf } from './opening';

const CHART = aChart(
  `
1000 Cash:
  1010 Bank
2010 Loan
3090 Opening balances [openingBalanceEquity]
6010 Rent
6020 Old rent`,
  { retired: ['6020'] },
);

describe('opening balances from a list', () => {
  it('post what differs from what there is, and nothing else', () => {
    const now = new Map([['1010', 50_00], ['2010', -50_00]]); // prettier-ignore
    const plan = planOpening(CHART, now, [
      { accountId: '1010', amount: 80_00 },
      { accountId: '2010', amount: -50_00 },
    ]);
    expect(plan.lines).toMatchObject([
      { accountId: '1010', now: 50_00, wanted: 80_00, change: 30_00 },
    ]);
  });

  it('leave what is open to the account for opening balances', () => {
    const plan = planOpening(CHART, new Map(), [{ accountId: '1010', amount: 80_00 }]);
    expect(plan).toMatchObject({ difference: -80_00, equityId: '3090' });
    expect(planOpening(aChart('1010 Bank'), new Map(), []).equityId).toBeNull();
  });

  it('come to so much on each side', () => {
    const balances = [80_00, -50_00, 20_00].map((amount) => ({ accountId: '1010', amount }));
    expect(sidesOf(balances)).toEqual({ debit: 100_00, credit: 50_00 });
  });

  it('say what nothing can be posted to', () => {
    const wanted = ['1000', '6020', 'nowhere'].map((accountId) => ({ accountId, amount: 1 }));
    expect(planOpening(CHART, new Map(), wanted).refused.map(({ why }) => why)).toEqual([
      'heading',
      'retired',
      'gone',
    ]);
  });

  it('take the dimension value that an account has by default, and ask where it demands one and has none', () => {
    const dimension = { id: 'd', name: 'Market', values: [{ id: 'v', name: 'North' }] };
    const demanding = applyAll(CHART, [
      { type: 'setDimension', id: 'd', dimension, afterId: null },
      { type: 'changeSetting', id: '6010', setting: 'dimensions', value: [{ dimensionId: 'd', valueId: 'v', demanded: true }] },
      { type: 'changeSetting', id: '1010', setting: 'dimensions', value: [{ dimensionId: 'd', valueId: null, demanded: true }] },
    ]); // prettier-ignore
    if (!demanding.ok) throw new Error(demanding.refusal.code);
    const wanted = ['6010', '1010'].map((accountId) => ({ accountId, amount: 5 }));
    const plan = planOpening(demanding.chart, new Map(), wanted);
    expect(plan.lines).toMatchObject([{ accountId: '6010', values: { d: 'v' } }]);
    expect(plan.refused).toEqual([{ accountId: '1010', why: 'wantsDimension' }]);
  });

  it('balance with their difference, and the same list again posts nothing', () => {
    const amounts = fc.integer({ min: -9999, max: 9999 });
    fc.assert(
      fc.property(
        fc.tuple(amounts, amounts, amounts),
        fc.tuple(amounts, amounts, amounts),
        (before, after) => {
          const ids = ['1010', '2010', '6010'];
          const now = new Map(ids.map((id, at) => [id, before[at] ?? 0]));
          const wanted = ids.map((accountId, at) => ({ accountId, amount: after[at] ?? 0 }));
          const plan = planOpening(CHART, now, wanted);
          expect(sum([...plan.lines.map(({ change }) => change), plan.difference])).toBe(0);
          const then = new Map(
            plan.lines.reduce(
              (so, { accountId, change }) => so.set(accountId, (so.get(accountId) ?? 0) + change),
              now,
            ),
          );
          expect(planOpening(CHART, then, wanted)).toMatchObject({ lines: [], difference: 0 });
        },
      ),
    );
  });
});
