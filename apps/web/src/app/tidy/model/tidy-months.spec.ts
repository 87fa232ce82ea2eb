import { monthsUpTo, revisionAt } from './tidy-months';

describe('the months in which a chart is looked at', () => {
  it('are twelve, the newest last', () => {
    const months = monthsUpTo('2020-01', '2026-10');
    expect([months.length, months[0], months.at(-1)]).toEqual([12, '2025-11', '2026-10']);
  });

  it('begin with the books', () => {
    expect(monthsUpTo('2026-08', '2026-10')).toEqual(['2026-08', '2026-09', '2026-10']);
  });

  it('are none where the books begin later', () => {
    expect(monthsUpTo('2027-01', '2026-10')).toEqual([]);
  });
});

describe('the revision in force at the end of a month', () => {
  const revisions = [
    { number: 3, adoptedAt: '2026-10-31T23:59:59Z' },
    { number: 2, adoptedAt: '2026-09-01T08:00:00Z' },
    { number: 1, adoptedAt: '2026-08-15T08:00:00Z' },
  ];

  it.each([
    ['2026-10', 3],
    ['2026-09', 2],
    ['2026-08', 1],
  ])('is the newest that was adopted by then: %s', (month, number) => {
    expect(revisionAt(revisions, month)).toBe(number);
  });

  it('is the first for months before it: books are often there before a chart is put in order', () => {
    expect(revisionAt(revisions, '2026-01')).toBe(1);
  });

  it('is that before the first where there is none', () => {
    expect(revisionAt([], '2026-01')).toBe(0);
  });
});
