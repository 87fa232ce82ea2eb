import { isCalendarDate, lastDayOf } from './calendar-date';
import { addMonths, fiscalYearStart, monthOf, monthsBetween } from './month';
import { namedPeriod } from './period';

describe('calendar dates', () => {
  it.each(['2026-02-28', '2024-02-29', '2000-02-29', '2026-12-31'])('knows %s', (date) => {
    expect(isCalendarDate(date)).toBe(true);
  });

  it.each(['2026-02-29', '1900-02-29', '2026-13-01', '2026-04-31', '2026-4-1', 'today'])(
    'refuses %s',
    (date) => {
      expect(isCalendarDate(date)).toBe(false);
    },
  );

  it('ends a month on its last day, leap years included', () => {
    expect(['2026-02', '2024-02', '2026-04', '2026-12'].map(lastDayOf)).toEqual([
      '2026-02-28',
      '2024-02-29',
      '2026-04-30',
      '2026-12-31',
    ]);
  });
});

describe('months', () => {
  it('are counted over the turn of the year', () => {
    expect(addMonths('2025-11', 3)).toBe('2026-02');
    expect(addMonths('2026-02', -14)).toBe('2024-12');
    expect(monthsBetween('2025-11', '2026-02')).toBe(4);
    expect(monthOf('2026-02-28')).toBe('2026-02');
  });

  it.each([
    ['2026-10', 7, '2026-07'],
    ['2026-06', 7, '2025-07'],
    ['2026-07', 7, '2026-07'],
    ['2026-10', 1, '2026-01'],
  ])('%s lies in the fiscal year from month %i that began in %s', (month, startsIn, start) => {
    expect(fiscalYearStart(month, startsIn)).toBe(start);
  });
});

describe('named periods, seen from October 2026 with a year from July', () => {
  it.each([
    ['yearToDate', '2026-07', '2026-10'],
    ['lastYear', '2025-07', '2026-06'],
    ['quarter', '2026-10', '2026-10'],
    ['month', '2026-10', '2026-10'],
    ['twelveMonths', '2025-11', '2026-10'],
  ] as const)('%s is %s to %s', (name, first, last) => {
    expect(namedPeriod(name, '2026-10', 7)).toEqual({ first, last });
  });
});
