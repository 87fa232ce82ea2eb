import { dayInWords, periodInWords } from './dates-in-words';

describe('dates on paper', () => {
  it('are written as the country writes them', () => {
    expect(dayInWords('2026-11-06', 'US')).toBe('November 6, 2026');
    expect(dayInWords('2026-11-06', 'GB')).toBe('6 November 2026');
  });

  it('name a year once where it is one', () => {
    expect(periodInWords({ first: '2026-07', last: '2026-10' }, 'US')).toBe('July to October 2026');
    expect(periodInWords({ first: '2025-12', last: '2026-03' }, 'US')).toBe(
      'December 2025 to March 2026',
    );
    expect(periodInWords({ first: '2026-07', last: '2026-07' }, 'CA')).toBe('July 2026');
  });
});
