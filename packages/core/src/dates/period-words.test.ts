import fc from 'fast-check';
import { addMonths, fiscalYearStart } from './month';
import { readPeriod, type PeriodContext } from './period-words';

/** Four months of a fiscal year that begins in July. */
const CONTEXT: PeriodContext = {
  main: { first: '2026-07', last: '2026-10' },
  startsIn: 7,
  now: '2026-11',
};

const read = (text: string, context: PeriodContext = CONTEXT): string => {
  const found = readPeriod(text, context);
  return found.ok ? `${found.period.first} ${found.period.last}` : `? ${found.word}`;
};

describe('a period in words', () => {
  it.each([
    ['', '2026-07 2026-10'],
    ['this period', '2026-07 2026-10'],
    ['a year before', '2025-07 2025-10'],
    ['2 years before', '2024-07 2024-10'],
    ['the period before', '2026-03 2026-06'],
    ['a quarter before', '2026-04 2026-07'],
    ['year to date', '2026-07 2026-10'],
    ['this year', '2026-07 2027-06'],
    ['last year', '2025-07 2026-06'],
    ['this quarter', '2026-10 2026-12'],
    ['last quarter', '2026-07 2026-09'],
    ['last month', '2026-09 2026-09'],
    ['last 12 months', '2025-11 2026-10'],
    ['6 months', '2026-05 2026-10'],
    ['now', '2026-11 2026-11'],
  ])('“%s” is seen from the period that is looked at', (text, period) => {
    expect(read(text)).toBe(period);
  });

  it.each([
    ['q1', '2026-07 2026-09'],
    ['Q4', '2027-04 2027-06'],
    ['q1 2026', '2025-07 2025-09'],
    ['h2 2026', '2026-01 2026-06'],
    ['2026', '2025-07 2026-06'],
    ['FY 26', '2025-07 2026-06'],
    ['fy2026', '2025-07 2026-06'],
  ])('“%s” is of the fiscal year, called by its end', (text, period) => {
    expect(read(text)).toBe(period);
  });

  it.each([
    ['march', '2027-03 2027-03'],
    ['Sept', '2026-09 2026-09'],
    ['mar 2026', '2026-03 2026-03'],
    ['3/2026', '2026-03 2026-03'],
    ['2026-03', '2026-03 2026-03'],
    ['jul to sep', '2026-07 2026-09'],
    ['jul–sep', '2026-07 2026-09'],
    ['jul-sep', '2026-07 2026-09'],
    ['oct to mar 2026', '2025-10 2026-03'],
    ['oct 2025 to mar', '2025-10 2026-03'],
    ['oct 2025 through now', '2025-10 2026-11'],
    ['q1 to q2 2026', '2025-07 2025-12'],
    ['2025 to 2026', '2024-07 2026-06'],
  ])('“%s” names months and what lies between', (text, period) => {
    expect(read(text)).toBe(period);
  });

  it.each([
    ['the whole shebang', '? whole'],
    ['jan to marhc', '? marhc'],
    ['janu to foo', '? foo'],
    ['13/2026', '? 13/2026'],
    ['quarter year', '? quarter year'],
    ['mar 2026 to jan 2026', '? mar 2026 to jan 2026'],
    ['to', '? to'],
  ])('“%s” is not understood, and the word is named', (text, said) => {
    expect(read(text)).toBe(said);
  });

  it('knows calendar years where the fiscal year begins in January', () => {
    const calendar = { ...CONTEXT, main: { first: '2026-01', last: '2026-10' }, startsIn: 1 };
    expect(read('q2', calendar)).toBe('2026-04 2026-06');
    expect(read('2025', calendar)).toBe('2025-01 2025-12');
    expect(read('oct to mar', calendar)).toBe('2025-10 2026-03');
  });

  it('gives whole fiscal years and quarters, whatever month they begin in', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 0, max: 600 }),
        (startsIn, back) => {
          const last = addMonths('2030-01', -back);
          const context = { main: { first: last, last }, startsIn, now: last };
          const year = readPeriod('this year', context);
          expect(year).toEqual({
            ok: true,
            period: {
              first: fiscalYearStart(last, startsIn),
              last: addMonths(fiscalYearStart(last, startsIn), 11),
            },
          });
          const quarters = ['q1', 'q2', 'q3', 'q4'].map((text) => readPeriod(text, context));
          expect(readPeriod('q1 to q4', context)).toEqual(year);
          const held = quarters.filter(
            (read) => read.ok && read.period.first <= last && last <= read.period.last,
          );
          expect(held).toEqual([readPeriod('this quarter', context)]);
        },
      ),
    );
  });
});
