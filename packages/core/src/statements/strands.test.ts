import fc from 'fast-check';
import { aChart } from '../testing/a-chart';
import { isCatchAll } from '../text/catch-all';
import { columnsFromText, columnsOf } from './columns';
import {
  accountStrands,
  largestStrands,
  mainStrands,
  rowAmounts,
  sumOfStrands,
  type Strand,
} from './strands';
import { buildTable } from './table';
import { tableBooks } from './table-books';

const SHOP = aChart(
  [
    '1010 Bank [bank]',
    '4010 Cider',
    '6100 Premises: [operatingExpense]',
    '  6110 Rent',
    '  6120 Power [operatingExpense]',
    '    6121 Gas',
    '6200 Fuel',
    '6900 Sundries',
  ].join('\n'),
);
const context = { main: { first: '2026-01', last: '2026-03' }, startsIn: 1, now: '2026-03' };
const specs = columnsOf(columnsFromText('months') ?? 'plain', {
  periods: context,
  sheet: 'profitAndLoss',
  dimensions: [],
});
const table = buildTable(
  {
    chart: SHOP,
    books: tableBooks(
      {
        first: '2026-01',
        rows: [['1010', 30, 20, 10], ['4010', -100, -90, -80], ['6110', 40, 40, 40], ['6120', 5, 0, 5], ['6121', 10, 20, 15], ['6200', 10, 5, 8], ['6900', 5, 5, 2]],
      },
      1,
    ),
    options: { depth: Infinity, zeroLines: false },
  },
  { sheet: 'profitAndLoss', columns: specs, context },
); // prettier-ignore
const MONTHS = [0, 1, 2];

describe('strands of a statement', () => {
  it('are its main lines over the months, with all that stands below them', () => {
    const strands = mainStrands(table, 'operatingExpenses', MONTHS);
    expect(strands.map(({ name, amounts }) => [name, ...amounts])).toEqual([
      ['Premises', 55, 60, 60],
      ['Fuel', 10, 5, 8],
      ['Sundries', 5, 5, 2],
    ]);
    expect(sumOfStrands(strands, 3)).toEqual(rowAmounts(table, 'sum/operatingExpenses', MONTHS));
  });

  it('are single accounts at any depth, what is posted to a parent itself among them', () => {
    const power = accountStrands(table, MONTHS, (id) => id === '6120');
    expect(power.map(({ amounts }) => amounts)).toEqual([[5, 0, 5]]);
  });

  it('are the largest and the others as one, which come to the same', () => {
    const strand = fc.record({
      key: fc.constant(null),
      name: fc.string(),
      accountId: fc.constant(null),
      amounts: fc.array(fc.integer({ min: -1000, max: 1000 }), { minLength: 3, maxLength: 3 }),
    });
    fc.assert(
      fc.property(
        fc.array(strand),
        fc.integer({ min: 1, max: 6 }),
        (strands: readonly Strand[], most) => {
          const shown = largestStrands(strands, most, 'Others');
          expect(shown.length).toBeLessThanOrEqual(most);
          expect(sumOfStrands(shown, 3)).toEqual(sumOfStrands(strands, 3));
        },
      ),
    );
  });
});

describe('names that take whatever has no account', () => {
  it.each([
    'Miscellaneous',
    'Misc. expense',
    'Sundries',
    'Other operating expenses',
    'General costs',
    'Uncategorised',
  ])('%s is one', (name) => {
    expect(isCatchAll(name)).toBe(true);
  });
  it.each(['Other income', 'General insurance', 'Rent', 'Mischief insurance', 'Costs of others'])(
    '%s is none',
    (name) => {
      expect(isCatchAll(name)).toBe(false);
    },
  );
});
