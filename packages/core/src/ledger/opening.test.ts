import fc from 'fast-check';
import type { Chart } from '../chart/chart';
import { sum } from '../money/minor';
import { applyAll } from '../operations/apply';
import { aChart } from '../testing/a-chart';
import type { AmountsTuple } from './amounts';
import { entryOf, isPostable, planOpening, sidesOf } from './opening';

/** Books in which each account was posted to in this fiscal year only. */
const booksOf = (balances: Readonly<Record<string, number>>): readonly AmountsTuple[] =>
  Object.entries(balances).map(([id, amount]) => [id, amount, amount, amount]);

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
    const plan = planOpening(CHART, booksOf({ '1010': 50_00, '2010': -50_00 }), [
      { accountId: '1010', amount: 80_00 },
      { accountId: '2010', amount: -50_00 },
    ]);
    expect(plan.lines).toMatchObject([
      { accountId: '1010', now: 50_00, wanted: 80_00, change: 30_00 },
    ]);
  });

  it('leave what is open to the account for opening balances', () => {
    const plan = planOpening(CHART, [], [{ accountId: '1010', amount: 80_00 }]);
    expect(plan).toMatchObject({ difference: -80_00, equityId: '3090' });
    expect(planOpening(aChart('1010 Bank'), [], []).equityId).toBeNull();
  });

  it('count for the account that another was merged into', () => {
    const merged = applyAll(CHART, [
      { type: 'merge', id: '6020', into: '6010', acrossKinds: false },
    ]);
    if (!merged.ok) throw new Error(merged.refusal.code);
    const plan = planOpening(merged.chart, booksOf({ '6020': 10_00 }), [
      { accountId: '6010', amount: 5_00 },
      { accountId: '6020', amount: 8_00 },
    ]);
    expect(plan.lines).toMatchObject([{ accountId: '6010', now: 10_00, wanted: 13_00 }]);
  });

  it('cannot be posted while one is refused or what is open has no place', () => {
    const of = (chart: Chart, accountId: string): boolean =>
      isPostable(planOpening(chart, [], [{ accountId, amount: 80_00 }]));
    expect(of(CHART, '1010')).toBe(true);
    expect(of(CHART, '6020')).toBe(false);
    expect(of(aChart('1010 Bank'), '1010')).toBe(false);
  });

  it('come to so much on each side', () => {
    const balances = [80_00, -50_00, 20_00].map((amount) => ({ accountId: '1010', amount }));
    expect(sidesOf(balances)).toEqual({ debit: 100_00, credit: 50_00 });
  });

  it('say what nothing can be posted to', () => {
    const wanted = ['1000', '6020', 'nowhere'].map((accountId) => ({ accountId, amount: 1 }));
    expect(planOpening(CHART, [], wanted).refused.map(({ why }) => why)).toEqual([
      'heading',
      'retired',
      'gone',
    ]);
  });

  it('take the dimension value that an account has by default, and ask where it demands one and has none', () => {
    const dimension = { id: 'd', name: 'Market', values: [{ id: 'v', name: 'North' }] };
    const demanding = applyAll(CHART, [
      { type: 'setDimension', id: 'd', dimension, afterId: null },
      {
        type: 'changeSetting',
        id: '6010',
        setting: 'dimensions',
        value: [{ dimensionId: 'd', valueId: 'v', demanded: true }],
      },
      {
        type: 'changeSetting',
        id: '1010',
        setting: 'dimensions',
        value: [{ dimensionId: 'd', valueId: null, demanded: true }],
      },
    ]);
    if (!demanding.ok) throw new Error(demanding.refusal.code);
    const wanted = ['6010', '1010'].map((accountId) => ({ accountId, amount: 5 }));
    const plan = planOpening(demanding.chart, [], wanted);
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
          const books = ids.map((id, at): AmountsTuple => {
            const amount = before[at] ?? 0;
            return [id, amount, amount, amount];
          });
          const wanted = ids.map((accountId, at) => ({ accountId, amount: after[at] ?? 0 }));
          const plan = planOpening(CHART, books, wanted);
          const entry = entryOf(plan);
          expect(sum(entry.map(({ amount }) => amount))).toBe(0);
          const posted = entry.map(({ accountId, amount }): AmountsTuple => [
            accountId,
            amount,
            amount,
            amount,
          ]);
          expect(planOpening(CHART, [...books, ...posted], wanted)).toMatchObject({
            lines: [],
            difference: 0,
          });
        },
      ),
    );
  });
});
