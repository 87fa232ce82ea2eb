import fc from 'fast-check';
import { applyAll } from '../operations/apply';
import { aChart } from '../testing/a-chart';
import type { SourceRow } from '../importing/source';
import { accountFinder } from './find-account';
import { groupEntries } from './group-entries';
import { recognizeJournal } from './journal-columns';
import { dateOrderIn, readListedDate } from './listed-date';
import { accountKey, readJournal, type JournalRequest } from './read-journal';

const CHART = aChart(`
1000 Cash:
  1010 Bank
  1060 Till
4010 Taproom sales
6110 Rent
6120 Power and water`);

const rowsOf = (text: string): SourceRow[] =>
  text
    .trim()
    .split('\n')
    .map((line, at) => ({ line: at + 1, cells: line.split(';').map((cell) => cell.trim()) }));

const isAccount = (text: string): boolean => accountFinder(CHART)(text, '') !== null;
const columnsOf = (rows: readonly SourceRow[]) =>
  recognizeJournal(rows, { dimensions: CHART.settings.dimensions, isAccount });

const read = (text: string, more: Partial<JournalRequest> = {}) => {
  const rows = rowsOf(text);
  return readJournal({
    rows,
    columns: columnsOf(rows),
    chart: CHART,
    currency: 'USD',
    usualOrder: 'monthFirst',
    order: null,
    accounts: new Map(),
    mended: new Map(),
    ...more,
  });
};

const BOOKS = { currency: 'USD', fiscalYearStart: 1, lockedThrough: null, today: '2026-11-26' };
const entriesOf = (text: string, more: Partial<JournalRequest> = {}) =>
  groupEntries(read(text, more).lines, { chart: CHART, books: BOOKS, source: 'journal' });

const JOURNAL = `
Journal of the Heron Reach Rowing Club; ; ; ; ;
Date; Voucher; Account; Description; Debit; Credit
13/10/2026; V1; 6110 Rent; Rent of the landing; 1.200,00;
; ; 1010; Rent of the landing; ; 1.200,00
14/10/2026; V2; Till; Takings; 85,50;
14/10/2026; V2; 4010; Takings; ; 85,50
; ; Total; ; 1.285,50; 1.285,50`;

describe('a list of entries', () => {
  it('is recognised by its headings, wherever they stand', () => {
    expect(columnsOf(rowsOf(JOURNAL))).toMatchObject({
      headingLine: 2,
      uses: ['date', 'entry', 'account', 'comment', 'debit', 'credit'],
    });
  });

  it('is recognised by what is in it where it has none', () => {
    const bare = `
2026-10-13; 6110; 1200.00; ; Rent of the landing
2026-10-13; 1010; ; 1200.00; Rent of the landing`;
    expect(columnsOf(rowsOf(bare)).uses).toEqual(['date', 'account', 'debit', 'credit', 'comment']);
  });

  it('makes entries of what bears one reference, dates and amounts in its own way', () => {
    const entries = entriesOf(JOURNAL);
    expect(entries.map(({ entry }) => [entry.date, entry.comment])).toEqual([
      ['2026-10-13', 'Rent of the landing'],
      ['2026-10-14', 'Takings'],
    ]);
    expect(entries[0]?.entry.lines).toMatchObject([
      { accountId: '6110', amount: 1200_00 },
      { accountId: '1010', amount: -1200_00 },
    ]);
    expect(entries.every(({ hasProblems, faults }) => !hasProblems && faults.length === 0)).toBe(
      true,
    );
  });

  it('without references is parted where lines of a day balance', () => {
    const entries = entriesOf(`
Date; Account; Amount; Memo
2026-10-13; 6110; 50.00; Rent
2026-10-13; 1010; -50.00; Rent
2026-10-13; 1060; 30.00; Sale
2026-10-13; 4010; -30.00; Sale
2026-10-14; 1060; 9.00; Odd one
2026-10-15; 1060; 5.00; Sale
2026-10-15; 4010; -5.00; Sale`);
    expect(entries.map(({ lines }) => lines.length)).toEqual([2, 2, 1, 2]);
    expect(entries[2]?.faults.map(({ fault }) => fault.code)).toEqual([
      'tooFewLines',
      'unbalanced',
    ]);
  });

  it('names the row, the column and the rule of what cannot be read, and loses nothing', () => {
    const { lines } = read(`
Date; Entry; Account; Debit; Credit
31/31/2026; 1; 6110; 50.00;
2026-10-13; 1; 7777 Nowhere; ; 5o.00
2026-10-13; 2; ; 7.00;
2026-10-13; 2; 6110; 7.00; 7.00
2026-10-13; 3; 6110; 99999999999999999.00;`);
    expect(lines.map(({ line, problems }) => [line, ...problems.map(({ use, rule }) => `${use} ${rule}`)])).toEqual([
      [2, 'date notADate'],
      [3, 'account unknownAccount', 'credit notAnAmount'],
      [4, 'account missing'],
      [5, 'credit bothSides'],
      [6, 'debit amountTooLarge'],
    ]); // prettier-ignore
  });

  it('takes what was put right, and the account that a text stands for', () => {
    const text = `
Date; Account; Debit; Credit
31/31/2026; Landing; 50.00;
13/10/2026; 1010; ; 50.00`;
    const [entry] = entriesOf(text, {
      accounts: new Map([[accountKey('Landing'), '6110']]),
      mended: new Map([[2, { date: '2026-10-13' }]]),
    });
    expect(entry).toMatchObject({ hasProblems: false, faults: [] });
    expect(entry?.entry.lines[0]?.accountId).toBe('6110');
  });

  it('brought in again is the same entries, and two that are alike stay two', () => {
    const twice = `
Date; Account; Amount
2026-10-13; 1060; 3.50
2026-10-13; 4010; -3.50
2026-10-13; 1060; 3.50
2026-10-13; 4010; -3.50`;
    const prints = (text: string) => entriesOf(text).map(({ fingerprint }) => fingerprint);
    expect(new Set(prints(twice)).size).toBe(2);
    expect(prints(twice)).toEqual(prints(`${twice}\n2026-10-14; 1060; 1.00`).slice(0, 2));
    expect(prints(twice.replaceAll('3.50', '3.60'))).not.toEqual(prints(twice));
  });
});

describe('an account that a list names', () => {
  const find = accountFinder(CHART);
  it.each([
    ['6110', '', '6110'],
    ['6110 Rent', '', '6110'],
    ['6110 - Rent', '', '6110'],
    ['rent', '', '6110'],
    ['6110', 'Rent', '6110'],
    ['6110', 'What it was called before', '6110'],
    ['6110', 'Till', null],
    ['Nowhere', '', null],
    ['', 'Power and water', '6120'],
  ])('“%s” “%s” is %p', (text, name, id) => expect(find(text, name)).toBe(id));

  it('that was merged is the one that stands for it', () => {
    const merged = applyAll(CHART, [
      { type: 'merge', id: '6120', into: '6110', acrossKinds: false },
    ]);
    if (!merged.ok) throw new Error(merged.refusal.code);
    expect(accountFinder(merged.chart)('6120', '')).toBe('6110');
    expect(accountFinder(merged.chart)('Power and water', '')).toBe('6110');
  });
});

describe('dates of a list', () => {
  it.each([
    ['2026-10-31', '2026-10-31'],
    ['2026-10-31T00:00:00', '2026-10-31'],
    ['2026-10-31 14:05', '2026-10-31'],
    ['20261031', '2026-10-31'],
    ['31.10.2026', '2026-10-31'],
    ['31/10/26', '2026-10-31'],
    ['1/2/2026', '2026-02-01'],
    ['31 Oct 2026', '2026-10-31'],
    ['Oct 31, 2026', '2026-10-31'],
    ['20261331', null],
    ['31 oct', null],
    ['+7', null],
    ['today', null],
    ['12', null],
  ])('%s, day first, is %p', (text, date) => expect(readListedDate(text, 'dayFirst')).toBe(date));

  it('are read one way in the whole column: a number beyond twelve proves it', () => {
    expect(dateOrderIn(['1/2/2026', '13/2/2026'], 'monthFirst')).toEqual({
      order: 'dayFirst',
      isProven: true,
    });
    expect(dateOrderIn(['1/2/2026', '2/28/2026'], 'dayFirst').order).toBe('monthFirst');
    expect(dateOrderIn(['1/2/2026'], 'dayFirst')).toEqual({ order: 'dayFirst', isProven: false });
    expect(dateOrderIn(['2026-02-01'], 'dayFirst').isProven).toBe(true);
  });
});

it('whatever is in a list, each of its amounts stands in exactly one entry', () => {
  const cell = fc.oneof(
    fc.constantFrom(
      '',
      '2026-10-13',
      '1010',
      '6110 Rent',
      '12.50',
      '-12.50',
      '12.50 Cr',
      'V1',
      'x',
    ),
    fc.string({ maxLength: 12 }),
  );
  fc.assert(
    fc.property(
      fc.array(fc.array(cell, { minLength: 6, maxLength: 6 }), { maxLength: 30 }),
      (cells) => {
        const rows: SourceRow[] = [
          { line: 1, cells: ['Date', 'Entry', 'Account', 'Debit', 'Credit', 'Comment'] },
          ...cells.map((own, at) => ({ line: at + 2, cells: own })),
        ];
        const columns = columnsOf(rows);
        const { lines } = readJournal({
        rows, columns, chart: CHART, currency: 'USD', usualOrder: 'dayFirst', order: null, accounts: new Map(), mended: new Map(),
      }); // prettier-ignore
        const entries = groupEntries(lines, { chart: CHART, books: BOOKS, source: 'journal' });
        const placed = entries
          .flatMap((entry) => entry.lines.map(({ line }) => line))
          .sort((a, b) => a - b);
        const kept = lines.filter(({ amount, problems }) => amount !== 0 || problems.length > 0);
        expect(placed).toEqual(kept.map(({ line }) => line));
        for (const { entry, faults, hasProblems } of entries)
          if (faults.length === 0 && !hasProblems)
            expect(entry.lines.reduce((sum, { amount }) => sum + amount, 0)).toBe(0);
      },
    ),
  );
});
