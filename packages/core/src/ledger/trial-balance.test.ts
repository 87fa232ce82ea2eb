import fc from 'fast-check';
import { plainAccount } from '../chart/account';
import { eachNode } from '../chart/queries';
import { statementOf } from '../kinds/kinds';
import { sum } from '../money/minor';
import { apply } from '../operations/apply';
import { balancedLedger, randomChart } from '../testing/random';
import { rollUpOver } from './amounts';
import { trialBalance } from './trial-balance';

const RETAINED = plainAccount(
  { id: 'kept', number: '99999', name: 'Kept from earlier years', kind: 'retainedEarnings' },
  { systemUse: 'retainedEarnings' },
);

const ledgers = fc
  .tuple(randomChart(30), fc.array(fc.integer({ min: -9999, max: 9999 }), { maxLength: 30 }))
  .map(([drawn, seed]) => {
    const grown = apply(drawn, {
      type: 'addAccount',
      account: RETAINED,
      parentId: null,
      afterId: null,
    });
    if (!grown.ok) throw new Error(grown.refusal.code);
    const { chart, ledger } = balancedLedger(grown.chart, seed);
    // As over a whole fiscal year: the period begins with it.
    const yearly = new Map(
      [...ledger].map(([id, amounts]) => [id, { ...amounts, change: amounts.yearChange }] as const),
    );
    return { chart, rollUp: rollUpOver(yearly) };
  });

describe('the trial balance', () => {
  it('sums to zero on any ledger, within a year and once it is over', () => {
    fc.assert(
      fc.property(ledgers, fc.boolean(), ({ chart, rollUp }, closed) => {
        expect(sum(trialBalance(chart, rollUp, closed).values())).toBe(0);
      }),
    );
  });

  it('has nothing left on profit and loss accounts once the year is over', () => {
    fc.assert(
      fc.property(ledgers, ({ chart, rollUp }) => {
        const balances = trialBalance(chart, rollUp, true);
        const open = [...eachNode(chart.roots)].filter(
          ({ account }) =>
            statementOf(account.kind) === 'profitAndLoss' && balances.get(account.id) !== 0,
        );
        expect(open).toEqual([]);
      }),
    );
  });
});
