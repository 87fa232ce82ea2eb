import { applyAll } from '../operations/apply';
import type { Chart } from '../chart/chart';
import { aChart } from '../testing/a-chart';
import { checkEntry, doubtsOf, lastOpenDay } from './check-entry';
import type { Books, EntryLine, NewEntry } from './entry';
import { reversalOf, usualReversalDay } from './reversal';

const CHART = aChart(
  `
1000 Cash:
  1010 Bank
  1020 Euro account
1400 Stock [inventory]
2010 Loan
3900 Retained earnings [retainedEarnings]
4010 Sales
6010 Rent
6020 Old rent
9010 Pallets lent
9020 Pallets with customers`,
  { retired: ['6020'], system: ['3900'] },
);

const changed = (chart: Chart, ...operations: Parameters<typeof applyAll>[1]): Chart => {
  const outcome = applyAll(chart, operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};

const BOOKS: Books = {
  currency: 'USD',
  fiscalYearStart: 7,
  lockedThrough: '2026-09-30',
  today: '2026-11-26',
};

const line = (accountId: string, amount: number, more: Partial<EntryLine> = {}): EntryLine => ({
  accountId,
  amount,
  values: {},
  comment: '',
  foreign: null,
  ...more,
});

const entry = (lines: readonly EntryLine[], more: Partial<NewEntry> = {}): NewEntry => ({
  date: '2026-11-20',
  source: 'journal',
  comment: 'Rent for November',
  lines,
  ...more,
});

const faultsOf = (one: NewEntry, chart = CHART, byHand = true) =>
  checkEntry({ chart, books: BOOKS, entry: one, byHand });

const RENT = entry([line('6010', 900_00), line('1010', -900_00)]);

describe('an entry that is typed', () => {
  it('can be posted when it balances, on open accounts, in an open period', () => {
    expect(faultsOf(RENT)).toEqual([]);
  });

  it.each([
    ['2026-09-30', { code: 'locked', through: '2026-09-30' }],
    ['2028-07-01', { code: 'afterOpenYears', last: '2028-06-30' }],
  ])('dated %s is refused: %o', (date, fault) => {
    expect(faultsOf({ ...RENT, date })).toEqual([{ line: null, fault }]);
  });

  it('may bear any day from the first open one to the end of next fiscal year', () => {
    expect(lastOpenDay(BOOKS)).toBe('2028-06-30');
    for (const date of ['2026-10-01', '2028-06-30'])
      expect(faultsOf({ ...RENT, date })).toEqual([]);
  });

  it('is refused out of balance, by how much', () => {
    expect(faultsOf(entry([line('6010', 900_00), line('1010', -890_00)]))).toEqual([
      { line: null, fault: { code: 'unbalanced', difference: 10_00 } },
    ]);
  });

  it('has two lines at least, and not more than fit', () => {
    expect(faultsOf(entry([]))[0]?.fault.code).toBe('tooFewLines');
    const many = Array.from({ length: 402 }, (_one, at) => line('1010', at % 2 === 0 ? 1 : -1));
    expect(faultsOf(entry(many))[0]?.fault).toEqual({ code: 'tooManyLines', most: 400 });
  });

  it.each([
    ['1000', { code: 'heading' }],
    ['6020', { code: 'retired', from: '2026-01-31' }],
    ['7777', { code: 'gone' }],
  ])('is refused on %s, at its line: %o', (accountId, fault) => {
    expect(faultsOf(entry([line('1010', -5_00), line(accountId, 5_00)]))).toEqual([
      { line: 1, fault },
    ]);
  });

  it('is posted to a retired account while it was open', () => {
    const open = { ...BOOKS, lockedThrough: null };
    const before = entry([line('6020', 5_00), line('1010', -5_00)], { date: '2026-01-30' });
    expect(checkEntry({ chart: CHART, books: open, entry: before, byHand: true })).toEqual([]);
  });

  it('never touches what the system alone posts to; what comes from elsewhere may', () => {
    const chart = changed(CHART, {
      type: 'changeSetting',
      id: '1400',
      setting: 'systemPostedOnly',
      value: true,
    });
    const bought = entry([line('1400', 70_00), line('1010', -70_00)]);
    expect(faultsOf(bought, chart)).toEqual([{ line: 0, fault: { code: 'systemOnly' } }]);
    expect(faultsOf(bought, chart, false)).toEqual([]);
  });

  it('has an amount on every line, within what is counted', () => {
    const odd = [line('1010', 0), line('6010', 2e13), line('2010', -2e13)];
    expect(faultsOf(entry(odd)).map(({ line: at, fault }) => [at, fault.code])).toEqual([
      [0, 'noAmount'],
      [1, 'tooMuch'],
      [2, 'tooMuch'],
    ]);
  });

  it('keeps memorandum accounts apart: they balance among themselves', () => {
    const lent = entry([line('9020', 12_00), line('9010', -12_00)]);
    expect(faultsOf(lent)).toEqual([]);
    expect(faultsOf(entry([line('9020', 12_00), line('1010', -12_00)]))).toEqual([
      { line: null, fault: { code: 'unbalanced', difference: -12_00 } },
    ]);
    expect(
      faultsOf(entry([...lent.lines, line('9020', 1_00), ...RENT.lines])).map(({ fault }) => fault),
    ).toEqual([{ code: 'memorandumUnbalanced', difference: 1_00 }]);
  });

  it('is asked about far from today, and on retained earnings', () => {
    const doubts = (one: NewEntry) =>
      doubtsOf({
        chart: CHART,
        books: { ...BOOKS, lockedThrough: null },
        entry: one,
        byHand: true,
      });
    expect(doubts(RENT)).toEqual([]);
    expect(doubts({ ...RENT, date: '2026-08-01' })).toEqual([{ code: 'farBack', days: 117 }]);
    expect(doubts({ ...RENT, date: '2027-02-25' })).toEqual([{ code: 'farAhead', days: 91 }]);
    expect(doubts(entry([line('1010', -1_00), line('3900', 1_00)]))).toEqual([
      { code: 'toRetainedEarnings', line: 1 },
    ]);
  });
});

describe('a line in another currency', () => {
  const euros = (amount: number, foreign: number, rate = '1.0845') =>
    entry([
      line('1020', amount, { foreign: { currency: 'EUR', amount: foreign, rate } }),
      line('1010', -amount),
    ]);

  it('is what its amount comes to at its rate', () => {
    expect(faultsOf(euros(108_45, 100_00))).toEqual([]);
    expect(faultsOf(euros(108_46, 100_00))).toEqual([
      { line: 0, fault: { code: 'wrongConversion', amount: 108_45 } },
    ]);
    expect(faultsOf(euros(108_45, 100_00, '0'))).toEqual([
      { line: 0, fault: { code: 'wrongRate' } },
    ]);
  });

  it('is the only one that an account of that currency takes', () => {
    const chart = changed(CHART, {
      type: 'changeSetting',
      id: '1020',
      setting: 'currency',
      value: 'EUR',
    });
    expect(faultsOf(euros(108_45, 100_00), chart)).toEqual([]);
    expect(faultsOf(entry([line('1020', 1_00), line('1010', -1_00)]), chart)).toEqual([
      { line: 0, fault: { code: 'onlyIn', currency: 'EUR' } },
    ]);
  });
});

describe('a line whose account demands a market', () => {
  const market = { id: 'm', name: 'Market', values: [{ id: 'north', name: 'North' }] };
  const chart = changed(
    CHART,
    { type: 'setDimension', id: 'm', dimension: market, afterId: null },
    {
      type: 'changeSetting',
      id: '4010',
      setting: 'dimensions',
      value: [{ dimensionId: 'm', valueId: null, demanded: true }],
    },
  );
  const sale = (values: Record<string, string>) =>
    entry([line('1010', 5_00), line('4010', -5_00, { values })]);

  it('is refused without one, and with one that the chart does not have', () => {
    expect(faultsOf(sale({ m: 'north' }), chart)).toEqual([]);
    expect(faultsOf(sale({}), chart)).toEqual([
      { line: 1, fault: { code: 'wantsValue', dimensionId: 'm' } },
    ]);
    expect(faultsOf(sale({ m: 'south' }), chart)).toEqual([
      { line: 1, fault: { code: 'unknownValue', dimensionId: 'm' } },
    ]);
  });
});

describe('an entry that is taken back', () => {
  const back = (one: NewEntry, chart = CHART) =>
    reversalOf(one, { chart, date: '2026-11-21', comment: 'Taken back' });

  it('is met line for line by the opposite, foreign amounts included', () => {
    const one = entry([
      line('1020', 108_45, { foreign: { currency: 'EUR', amount: 100_00, rate: '1.0845' } }),
      line('1010', -108_45, { comment: 'out' }),
    ]);
    expect(back(one)).toEqual({
      date: '2026-11-21',
      source: 'journal',
      comment: 'Taken back',
      lines: [
        line('1020', -108_45, { foreign: { currency: 'EUR', amount: -100_00, rate: '1.0845' } }),
        line('1010', 108_45, { comment: 'out' }),
      ],
    });
    expect(faultsOf(back(one))).toEqual([]);
  });

  it('is met on the account into which its own was merged meanwhile', () => {
    const chart = changed(CHART, { type: 'merge', id: '6010', into: '2010', acrossKinds: true });
    expect(back(RENT, chart).lines.map(({ accountId }) => accountId)).toEqual(['2010', '1010']);
  });

  it('bears its own day, or the first open one after a lock', () => {
    expect(usualReversalDay('2026-10-31', BOOKS)).toBe('2026-10-31');
    expect(usualReversalDay('2026-08-31', BOOKS)).toBe('2026-10-01');
  });
});
