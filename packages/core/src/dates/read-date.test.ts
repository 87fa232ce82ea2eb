import { addDays, daysFrom, isCalendarDate } from './calendar-date';
import { readDate, readMonth, type DateOrder } from './read-date';

const read = (text: string, order: DateOrder = 'dayFirst') =>
  readDate(text, { order, today: '2026-11-26' });
const month = (text: string, order: DateOrder = 'dayFirst') =>
  readMonth(text, { order, today: '2026-11-26' });

describe('a date as it is typed on 26 November 2026', () => {
  it.each([
    ['31 oct', '2026-10-31'],
    ['3 mar', '2026-03-03'],
    ['3 feb', '2027-02-03'],
    ['oct 31', '2026-10-31'],
    ['Oct 31, 2025', '2025-10-31'],
    ['31st October 2025', '2025-10-31'],
    ['31oct25', '2025-10-31'],
    ['1 sept 99', '1999-09-01'],
    ['26', '2026-11-26'],
    ['2026-02-28', '2026-02-28'],
    ['2026/2/8', '2026-02-08'],
    ['today', '2026-11-26'],
    ['yesterday', '2026-11-25'],
    ['+7', '2026-12-03'],
    ['- 26', '2026-10-31'],
  ])('%s is %s', (text, date) => {
    expect(read(text)).toBe(date);
  });

  it('reads digits in the order of the country', () => {
    expect(read('3/4/2026', 'dayFirst')).toBe('2026-04-03');
    expect(read('3/4/2026', 'monthFirst')).toBe('2026-03-04');
    expect(read('3.4', 'dayFirst')).toBe('2026-04-03');
  });

  it('takes the latest year that is not far ahead where none is typed', () => {
    const inJanuary = { order: 'dayFirst', today: '2027-01-04' } as const;
    expect(readDate('28 dec', inJanuary)).toBe('2026-12-28');
    expect(readDate('28 jan', inJanuary)).toBe('2027-01-28');
    expect(readDate('29 may', inJanuary)).toBe('2026-05-29');
    expect(readDate('29 feb', { ...inJanuary, today: '2028-01-04' })).toBe('2028-02-29');
  });

  it.each([
    '',
    '31 june',
    '30 2',
    '32',
    'soon',
    '3 marzipan',
    '1 2 3 4',
    '5/2026/1',
    '12 mar apr',
    '3 mar 126',
  ])('reads no date in “%s”', (text) => {
    expect(read(text)).toBeNull();
  });
});

describe('a month as it is typed on 26 November 2026', () => {
  it.each([
    ['oct', '2026-10'],
    ['10', '2026-10'],
    ['March', '2026-03'],
    ['dec', '2025-12'],
    ['nov', '2026-11'],
    ['october 2025', '2025-10'],
    ['oct25', '2025-10'],
    ['march 25', '2025-03'],
    ['oct 31', '2026-10'],
    ['10/25', '2025-10'],
    ['10/2025', '2025-10'],
    ['2025-10', '2025-10'],
    ['2025 oct', '2025-10'],
    ['31 oct 2025', '2025-10'],
    ['-1', '2026-10'],
    ['today', '2026-11'],
  ])('%s is %s', (text, expected) => {
    expect(month(text)).toBe(expected);
  });

  it.each(['', '13', '0', '13/2026', 'soon', '2026'])('reads no month in “%s”', (text) => {
    expect(month(text)).toBeNull();
  });
});

describe('days are counted', () => {
  it('over months, years and leap days', () => {
    expect(addDays('2026-12-31', 1)).toBe('2027-01-01');
    expect(addDays('2024-02-28', 1)).toBe('2024-02-29');
    expect(addDays('1900-02-28', 1)).toBe('1900-03-01');
    expect(daysFrom('2026-01-01', '2027-01-01')).toBe(365);
  });

  it('one after the other for eight hundred years, each of them a date of the calendar', () => {
    let date = '1600-01-01';
    for (let day = 1; date < '2400-01-01'; day += 1) {
      const next = addDays('1600-01-01', day);
      if (!isCalendarDate(next) || next <= date) throw new Error(`${next} after ${date}`);
      date = next;
    }
    expect(daysFrom('1600-01-01', '2400-01-01')).toBe(2 * 146_097);
  });
});
