import { checkStanding, typedRecurrence, type TypedStanding } from './check-standing';
import { EMPTY_LINE } from './typed-entry';

const rent = (more: Partial<TypedStanding> = {}): TypedStanding => ({
  name: 'Rent',
  frequency: 'monthly',
  first: '2026-09-01',
  ending: 'never',
  last: '',
  times: '',
  entry: {
    date: '',
    source: 'journal',
    comment: '',
    lines: [
      { ...EMPTY_LINE, accountId: '6110', debit: '900' },
      { ...EMPTY_LINE, accountId: '1010' },
    ],
  },
  ...more,
});

const linesOf = (...lines: readonly object[]) => ({
  entry: { ...rent().entry, lines: lines.map((line) => ({ ...EMPTY_LINE, ...line })) },
});

describe('a standing entry that is typed', () => {
  it('can be kept with amounts left open', () => {
    expect(checkStanding(rent(), 'USD')).toEqual([]);
  });

  it.each([
    [{ name: '  ' }, 'unnamed'],
    [{ first: '' }, 'noFirstDay'],
    [{ ending: 'on', last: '2026-08-31' }, 'endsBefore'],
    [{ ending: 'on' }, 'endsBefore'],
    [{ ending: 'after', times: '0' }, 'noTimes'],
    [{ ending: 'after', times: 'x' }, 'noTimes'],
    [linesOf({ accountId: '6110' }), 'tooFewLines'],
    [linesOf({ accountId: '6110' }, { debit: '5' }), 'noAccount'],
    [linesOf({ accountId: '6110', debit: 'x' }, { accountId: '1010' }), 'unreadAmount'],
  ] as const)('%o is refused: %s', (more, fault) => {
    expect(checkStanding(rent(more as Partial<TypedStanding>), 'USD')).toEqual([fault]);
  });

  it('ends on its last day, after so many times, or never', () => {
    expect(typedRecurrence(rent({ last: '2027-01-01', times: '5' }))).toMatchObject({
      last: null,
      times: null,
    });
    expect(typedRecurrence(rent({ ending: 'on', last: '2027-01-01' })).last).toBe('2027-01-01');
    expect(typedRecurrence(rent({ ending: 'after', times: ' 12 ' })).times).toBe(12);
  });
});
