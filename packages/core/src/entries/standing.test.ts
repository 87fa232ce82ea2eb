import fc from 'fast-check';
import { isCalendarDate } from '../dates/calendar-date';
import {
  dayOfTime,
  daysThrough,
  dueEntries,
  FREQUENCIES,
  nextDayOf,
  type Frequency,
} from './standing';

const from = (
  frequency: Frequency,
  first: string,
  more: { last?: string; times?: number } = {},
) => ({
  frequency,
  first,
  last: more.last ?? null,
  times: more.times ?? null,
});

const inYear = (frequency: Frequency, first: string, year: number): number =>
  daysThrough(from(frequency, first), `${year}-12-31`).filter((day) => day.startsWith(`${year}`))
    .length;

// Source: the calendar.
describe('how often a standing entry comes', () => {
  it.each([
    ['weekly', 52],
    ['everyTwoWeeks', 26],
    ['twiceAMonth', 24],
    ['monthly', 12],
    ['quarterly', 4],
    ['yearly', 1],
  ] as const)('%s, from the 2nd of January, is %i days in 2026', (frequency, count) => {
    expect(inYear(frequency, '2026-01-02', 2026)).toBe(count);
  });

  it('every two weeks is 27 days in a year that begins with one', () => {
    expect(inYear('everyTwoWeeks', '2026-01-01', 2026)).toBe(27);
    expect(inYear('weekly', '2026-01-01', 2026)).toBe(53);
  });

  it.each(['2026-01-01', '2026-01-15', '2026-01-16', '2026-01-20', '2026-01-30', '2026-01-31'])(
    'twice a month from %s is 24 days a year, two in each month, leap years included',
    (first) => {
      const days = daysThrough(from('twiceAMonth', first), '2029-12-31');
      for (const year of [2027, 2028, 2029])
        for (let month = 1; month <= 12; month += 1) {
          const prefix = `${year}-${String(month).padStart(2, '0')}`;
          expect(days.filter((day) => day.startsWith(prefix))).toHaveLength(2);
        }
    },
  );

  it('clamps to the month’s end and comes back from it', () => {
    expect(daysThrough(from('monthly', '2026-01-31'), '2026-05-31')).toEqual([
      '2026-01-31',
      '2026-02-28',
      '2026-03-31',
      '2026-04-30',
      '2026-05-31',
    ]);
    expect(daysThrough(from('twiceAMonth', '2024-01-31'), '2024-03-31')).toEqual([
      '2024-01-31',
      '2024-02-15',
      '2024-02-29',
      '2024-03-15',
      '2024-03-31',
    ]);
    expect(daysThrough(from('yearly', '2024-02-29'), '2028-12-31')).toEqual([
      '2024-02-29',
      '2025-02-28',
      '2026-02-28',
      '2027-02-28',
      '2028-02-29',
    ]);
  });

  it('goes from the 15th to the month’s end, and from the 1st to the 16th', () => {
    expect(daysThrough(from('twiceAMonth', '2026-02-15'), '2026-03-31')).toEqual([
      '2026-02-15',
      '2026-02-28',
      '2026-03-15',
      '2026-03-31',
    ]);
    expect(daysThrough(from('twiceAMonth', '2026-02-01'), '2026-02-28')).toEqual([
      '2026-02-01',
      '2026-02-16',
    ]);
  });

  it('ends on its last day, that day included, or after so many times', () => {
    expect(
      daysThrough(from('monthly', '2026-01-05', { last: '2026-03-05' }), '2027-01-01'),
    ).toHaveLength(3);
    expect(daysThrough(from('weekly', '2026-01-05', { times: 2 }), '2027-01-01')).toHaveLength(2);
    expect(dayOfTime(from('weekly', '2026-01-05', { times: 2 }), 2)).toBeNull();
  });
});

describe('what is due', () => {
  const standing = (id: string, first: string, done: readonly string[], times?: number) => ({
    id,
    recurrence: from('monthly', first, times === undefined ? {} : { times }),
    days: done.map((due) => ({ due })),
  });

  it('is every day up to today that was neither posted nor skipped, the oldest first', () => {
    const all = [
      standing('rent', '2026-09-01', ['2026-10-01']),
      standing('loan', '2026-09-28', []),
    ];
    expect(
      dueEntries(all, '2026-11-15').map(({ standing: { id }, due }) => `${due} ${id}`),
    ).toEqual(['2026-09-01 rent', '2026-09-28 loan', '2026-10-28 loan', '2026-11-01 rent']);
  });

  it('is followed by the next day, until there is none', () => {
    const done = ['2026-08-01', '2026-09-01', '2026-10-01', '2026-11-01'];
    expect(nextDayOf(standing('rent', '2026-08-01', done.slice(0, 2), 4))).toBe('2026-10-01');
    expect(nextDayOf(standing('rent', '2026-08-01', done, 4))).toBeNull();
  });
});

it('days go forward, each of them a date of the calendar, whatever the first one', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...FREQUENCIES),
      fc.date({ min: new Date('1999-01-01'), max: new Date('2060-12-31'), noInvalidDate: true }),
      (frequency, date) => {
        const first = date.toISOString().slice(0, 10);
        const days = Array.from({ length: 60 }, (_one, at) =>
          dayOfTime(from(frequency, first), at),
        );
        expect(days[0]).toBe(first);
        for (const [at, day] of days.entries()) {
          expect(isCalendarDate(day ?? '')).toBe(true);
          if (at > 0) expect((day ?? '') > (days[at - 1] ?? '')).toBe(true);
        }
      },
    ),
  );
});
