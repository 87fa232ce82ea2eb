import { emptyChart } from '../chart/build';
import { aList, importOf } from '../testing/a-list';
import { monthOfAmounts, monthOfTitles } from './month-of-amounts';

const monthOver = (heading: string, startsIn = 1, order: 'dayFirst' | 'monthFirst' = 'dayFirst') =>
  monthOfAmounts(
    { headingLine: 1, headings: ['Account', heading], uses: ['name', 'balance'] },
    { today: '2026-11-25', startsIn, order },
  );

describe('the month of the balances of a list', () => {
  it.each([
    ['31 Dec 2025', '2025-12'],
    ['Year ended 30 June 2026', '2026-06'],
    ['Jan - Mar 2026', '2026-03'],
    ['Dec 25', '2025-12'],
    ['FY25', '2025-12'],
    ['2024/25', '2025-12'],
    ['24-25', '2025-12'],
    ['31/10/2026', '2026-10'],
    ['2026-09-30', '2026-09'],
  ])('is the last one that stands over them: %s', (heading, month) => {
    expect(monthOver(heading)).toBe(month);
  });

  it('has the day or the month first, as the country has it', () => {
    expect(monthOver('06/05/2026')).toBe('2026-05');
    expect(monthOver('06/05/2026', 1, 'monthFirst')).toBe('2026-06');
  });

  it.each([
    [1, '2025-12'],
    [4, '2025-03'],
    [7, '2025-06'],
  ])(
    'is the end of the fiscal year where a year alone does; years begin in month %d',
    (starts, month) => {
      expect(monthOver('2025', starts)).toBe(month);
    },
  );

  it.each([['Balance'], ['£'], ['This year'], ['2026'], ['31 Dec 2026']])(
    'is not known where nothing says it, or what it says lies ahead: %s',
    (heading) => {
      expect(monthOver(heading)).toBeNull();
    },
  );

  it('is said by the columns that are read, not by others beside them', () => {
    const columns = {
      headingLine: 1,
      headings: ['Account', '2024', '2025'],
      uses: ['name', null, 'balance'] as const,
    };
    const reading = { today: '2026-11-25', startsIn: 1, order: 'dayFirst' } as const;
    expect(monthOfAmounts(columns, reading)).toBe('2025-12');
  });
});

describe('the month in the titles of a list', () => {
  it.each([
    ['Income statement for the year ended 31 October 2026', '2026-10'],
    ['Balance sheet as at June 30, 2026', '2026-06'],
    ['Trial balance, Jan 2025 to Dec 2025', '2025-12'],
    ['Trial balance at 30/06/2026', '2026-06'],
    ['Trial balance at 06/05/2026', null],
    ['Accounts of the year 2025', null],
  ])('is the last one that is named: %s', (title, month) => {
    expect(monthOfTitles([title])).toBe(month);
  });

  it('is known of a list with its titles over its headings', () => {
    const plan = importOf(
      emptyChart(),
      aList(
        'Alder Pottery\nTrial balance as at 30 September 2026\nName|Balance\nRent|5.00\nFees|-5.00',
      ),
    );
    expect(plan.dated).toBe('2026-09');
  });

  it('is not known where the list has no title', () => {
    expect(importOf(emptyChart(), aList('Name|Balance\nRent 2026|5.00')).dated).toBeNull();
  });
});
