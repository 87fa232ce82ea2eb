import fc from 'fast-check';
import { recordsOf } from '../chart/queries';
import { statementOf } from '../kinds/kinds';
import { aChart } from '../testing/a-chart';
import { balancedLedger, randomChart } from '../testing/random';
import { ledgerOf, rollUpOver } from './amounts';
import { closingLines } from './closing';

const CHART = aChart(
  '1010 Bank\n3050 Kept earnings [retainedEarnings]\n4010 Sales\n6000 Costs:\n  6010 Rent\n  6020 Fuel',
  { system: ['3050'] },
);

const closing = (...rows: Parameters<typeof ledgerOf>[0]) =>
  closingLines(CHART, rollUpOver(ledgerOf(rows))).map(({ accountId, amount }) => [
    accountId,
    amount,
  ]);

describe('the entry that closes a year', () => {
  it('takes the year’s income and costs back, and brings the profit to retained earnings', () => {
    expect(
      closing(['1010', 900, 900, 900], ['4010', -1500, -400, -1200], ['6010', 500, 100, 300]),
    ).toEqual([
      ['4010', 1200],
      ['6010', -300],
      ['3050', -900],
    ]);
  });

  it('brings a loss there as a debit', () => {
    expect(closing(['6010', 50, 50, 50])).toEqual([
      ['6010', -50],
      ['3050', 50],
    ]);
  });

  it('is none where the year had no income and no costs', () => {
    expect(closing(['1010', 10, 0, 0], ['4010', -10, 0, 0])).toEqual([]);
  });

  it('balances, and leaves nothing of the year on the profit and loss', () => {
    fc.assert(
      fc.property(
        randomChart(14),
        fc.array(fc.integer({ min: -1e6, max: 1e6 }), { maxLength: 14 }),
        (grown, seed) => {
          const { chart, ledger } = balancedLedger(grown, seed);
          const lines = closingLines(chart, rollUpOver(ledger));
          expect(lines.reduce((sum, { amount }) => sum + amount, 0)).toBe(0);
          if (lines.length === 0) return;
          const kinds = new Map(recordsOf(chart).map(({ id, kind }) => [id, kind]));
          for (const { accountId, amount } of lines)
            if (statementOf(kinds.get(accountId) ?? 'bank') === 'profitAndLoss')
              expect(amount).toBe(-(ledger.get(accountId)?.yearChange ?? 0));
        },
      ),
    );
  });
});
