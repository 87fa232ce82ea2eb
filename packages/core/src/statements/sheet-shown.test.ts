import fc from 'fast-check';
import { nodesTo } from '../chart/queries';
import { ledgerOf, rollUpOver } from '../ledger/amounts';
import { amountsWithin, summedMonths } from '../ledger/monthly';
import { applyAll } from '../operations/apply';
import { aChart } from '../testing/a-chart';
import { balancedLedger, monthlyOver, randomChart } from '../testing/random';
import { accountsOn, landingOn, movedBetween, shownSheet, SHOWN_SHEETS } from './sheet-shown';
import { buildTable } from './table';
import { tableBooks } from './table-books';
import { rowKeys } from './trace';

const ALL = { depth: Infinity, zeroLines: true };
const MONTHS = 15;

describe('a sheet beside the chart', () => {
  it('is the sheet of its period, whichever it is', () => {
    fc.assert(
      fc.property(
        randomChart(20),
        fc.array(fc.integer({ min: -1e9, max: 1e9 }), { minLength: 5, maxLength: 90 }),
        fc.integer({ min: 1, max: 12 }),
        fc.constantFrom(...SHOWN_SHEETS),
        (chart, seed, startsIn, sheet) => {
          const monthly = monthlyOver(chart, seed, MONTHS);
          const main = { first: '2025-01', last: '2025-02' };
          const context = { main, startsIn, now: main.last };
          const rollUp = rollUpOver(ledgerOf(amountsWithin(summedMonths(monthly), main, startsIn)));
          const table = buildTable(
            { chart, books: tableBooks(monthly, startsIn), options: ALL },
            { sheet, columns: [{ is: 'amounts', words: 'this period' }], context },
          );
          const shown = shownSheet(sheet, { chart, rollUp }, ALL);
          const cellOf: Partial<Record<typeof sheet, (cells: readonly (number | null)[]) => number | null | undefined>> = {
            trialBalance: ([debit, credit]) => (debit ?? 0) - (credit ?? 0),
            changesInEquity: ([, change]) => change,
          }; // prettier-ignore
          for (const { row, cells } of table.rows) {
            const beside = shown.rows.find(({ key }) => key === row.key);
            const cell = (cellOf[sheet] ?? (([one]) => one))(cells) ?? null;
            if (beside !== undefined && 'amount' in beside)
              expect([row.key, (beside.amount ?? 0) + 0]).toEqual([row.key, (cell ?? 0) + 0]);
            else expect(cell ?? 0).toBe(0);
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  it('moves by what the other is more, row by row, and not where nothing changed', () => {
    const seeds = fc.array(fc.integer({ min: -1e6, max: 1e6 }), { minLength: 4 });
    fc.assert(
      fc.property(randomChart(15), seeds, seeds, (bare, one, other) => {
        const [first, second] = [balancedLedger(bare, one), balancedLedger(bare, other)];
        for (const code of SHOWN_SHEETS) {
          const sheetOf = (ledger: typeof first.ledger) =>
            shownSheet(code, { chart: first.chart, rollUp: rollUpOver(ledger) }, ALL);
          const [before, after] = [sheetOf(first.ledger), sheetOf(second.ledger)];
          const moved = movedBetween(before, after);
          const amountIn = (sheet: typeof before, key: string): number => {
            const row = sheet.rows.find((found) => found.key === key);
            return row !== undefined && 'amount' in row ? (row.amount ?? 0) : 0;
          };
          for (const { key } of [...before.rows, ...after.rows])
            expect((moved[key] ?? 0) + 0).toBe(amountIn(after, key) - amountIn(before, key) + 0);
          expect(movedBetween(before, before)).toEqual({});
        }
      }),
    );
  });
});

const CHART = aChart(
  [
    '1010 Bank [bank]',
    '1500 Van [propertyAndEquipment]',
    '2500 Loan [longTermBorrowing]',
    '4010 Sales [saleOfGoods]',
  ].join('\n'),
);
const LEDGER = ledgerOf([
  ['1010', 100, 100, 100],
  ['1500', 250, 250, 250],
  ['2500', -300, -300, -300],
  ['4010', -50, -50, -50],
]);

describe('the cash flow beside the chart', () => {
  const shown = shownSheet('cashFlow', { chart: CHART, rollUp: rollUpOver(LEDGER) }, ALL);

  it('takes an account to the line of its cash flow class', () => {
    const landing = (id: string) => landingOn('cashFlow', nodesTo(CHART, id), rowKeys(shown));
    expect(landing('1500')).toEqual(['investing/1500']);
    expect(landing('2500')).toEqual(['financing/2500']);
    expect([landing('1010'), landing('4010')]).toEqual([[], []]);
  });

  it('knows which accounts a section is about', () => {
    expect([...accountsOn('cashFlow', CHART, 'sum/investing')]).toEqual(['1500']);
    expect([...accountsOn('trialBalance', CHART, 'account/1500')]).toEqual(['1500']);
    expect([...accountsOn('balanceSheet', CHART, 'title/nonCurrentAssets')]).toEqual(['1500']);
    expect([...accountsOn('balanceSheet', CHART, 'total/totalAssets')]).toEqual([]);
  });

  it('says what a change of kind moves between its sections', () => {
    const outcome = applyAll(CHART, [{ type: 'changeKind', id: '2500', kind: 'tradePayable' }]);
    if (!outcome.ok) throw new Error(outcome.refusal.code);
    const after = shownSheet('cashFlow', { chart: outcome.chart, rollUp: rollUpOver(LEDGER) }, ALL);
    expect(movedBetween(shown, after)).toMatchObject({
      'financing/2500': -300,
      'workingCapital/2500': 300,
      'total/cashFromOperating': 300,
    });
  });
});
