import Decimal from 'decimal.js';
import fc from 'fast-check';
import { minorDigits } from '../money/currency';
import { aChart } from '../testing/a-chart';
import { converted, isRate } from './converted';
import type { NewEntry } from './entry';
import {
  EMPTY_LINE,
  lackingAt,
  postableEntry,
  readTypedAmount,
  readTypedEntry,
  typedFrom,
  type TypedEntry,
  type TypedLine,
} from './typed-entry';

const line = (more: Partial<TypedLine>): TypedLine => ({ ...EMPTY_LINE, ...more });

const typed = (lines: readonly TypedLine[], more: Partial<TypedEntry> = {}): TypedEntry => ({
  date: '2026-11-20',
  source: 'journal',
  comment: 'Apples',
  lines,
  ...more,
});

describe('an amount as it is typed', () => {
  it.each([
    ['12', 12_00],
    [' 1,250.5 ', 1250_50],
    ['12.50+3', 15_50],
    ['100 - 0.25', 99_75],
    ['12,5', null],
    ['-3', null],
    ['3-4', null],
    ['1.234', null],
    ['12+', null],
    ['', null],
    ['99999999999999', null],
  ])('“%s” is %p', (text, amount) => expect(readTypedAmount(text, 'USD')).toBe(amount));
});

describe('a typed entry', () => {
  it('is its filled lines, debits above zero and credits below', () => {
    const read = readTypedEntry(
      typed([
        line({ accountId: 'stock', debit: '70' }),
        line({}),
        line({ accountId: 'bank', credit: '70', comment: ' cheque ' }),
      ]),
      'USD',
    );
    expect(read.unread).toEqual([]);
    expect(read.places).toEqual([0, 2]);
    expect(read.entry.lines).toMatchObject([
      { accountId: 'stock', amount: 70_00 },
      { accountId: 'bank', amount: -70_00, comment: 'cheque' },
    ]);
  });

  it('says what cannot be read, and where', () => {
    const read = readTypedEntry(
      typed(
        [
          line({ accountId: 'bank', debit: 'ten' }),
          line({ debit: '1' }),
          line({ accountId: 'bank', debit: '1', credit: '1' }),
          line({ accountId: 'bank', credit: '1', currency: 'EUR' }),
        ],
        { date: '' },
      ),
      'USD',
    );
    expect(read.unread).toEqual([
      { line: null, field: 'date' },
      { line: 0, field: 'debit' },
      { line: 1, field: 'account' },
      { line: 2, field: 'bothSides' },
      { line: 3, field: 'rate' },
    ]);
  });

  it('says what a line lacks for the rest to balance', () => {
    const lines = [
      line({ debit: '70' }),
      line({ debit: '5.50' }),
      line({ credit: '20' }),
      line({}),
    ];
    expect(lackingAt(typed(lines), 3, 'USD')).toBe(-55_50);
    expect(lackingAt(typed(lines), 2, 'USD')).toBe(-75_50);
  });

  it('is the entry that it was written from', () => {
    const foreign = { currency: 'EUR', amount: -100_00, rate: '1.0845' };
    const entry = readTypedEntry(typed([]), 'USD').entry;
    const posted: NewEntry = {
      ...entry,
      lines: [
        {
          accountId: 'stock',
          amount: 1108_45,
          values: { m: 'north' },
          comment: 'a',
          foreign: null,
        },
        { accountId: 'euros', amount: -108_45, values: {}, comment: '', foreign },
      ],
    };
    expect(readTypedEntry(typedFrom(posted, 'USD'), 'USD').entry).toEqual(posted);
  });
});

describe('a typed entry that is due', () => {
  const chart = aChart('1010 Bank\n6110 Rent');
  const books = { currency: 'USD', fiscalYearStart: 1, lockedThrough: null, today: '2026-11-26' };
  const rent = (credit: string) =>
    typed([line({ accountId: '6110', debit: '900' }), line({ accountId: '1010', credit })]);

  it('is an entry once all of it can be read and nothing keeps it from being posted', () => {
    expect(postableEntry(rent('900'), { chart, books })?.lines).toHaveLength(2);
    for (const credit of ['', '800', 'x'])
      expect(postableEntry(rent(credit), { chart, books })).toBeNull();
  });
});

// Source: decimal.js as the independent reference.
describe('an amount in another currency', () => {
  it.each([
    [100_00, { from: 'EUR', into: 'USD', rate: '1.0845' }, 108_45],
    [1, { from: 'USD', into: 'USD', rate: '0.5' }, 1],
    [-1, { from: 'USD', into: 'USD', rate: '0.5' }, -1],
    [10_000, { from: 'JPY', into: 'USD', rate: '0.0067' }, 67_00],
    [100_00, { from: 'USD', into: 'BHD', rate: '0.376' }, 37_600],
  ])('%i, %o, is %i', (amount, how, comesTo) => {
    expect(converted(amount, how)).toBe(comesTo);
  });

  it.each(['', '0', '0.000', '-1', '1e3', '1,2', '1.12345678901', '1234567890'])(
    '“%s” is no rate',
    (rate) => {
      expect(isRate(rate)).toBe(false);
      expect(converted(1, { from: 'EUR', into: 'USD', rate })).toBeNull();
    },
  );

  it('is what exact multiplication gives, rounded once, halves away from zero', () => {
    const Exact = Decimal.clone({ precision: 60, rounding: Decimal.ROUND_HALF_UP });
    fc.assert(
      fc.property(
        fc.record({
          amount: fc.integer({ min: -1e12, max: 1e12 }),
          digits: fc.integer({ min: 1, max: 9_999_999 }),
          places: fc.nat(6),
          source: fc.constantFrom('USD', 'JPY', 'BHD'),
          into: fc.constantFrom('USD', 'JPY', 'BHD'),
        }),
        ({ amount, digits, places, source, into }) => {
          const rate = (digits / 10 ** places).toFixed(places);
          const exact = new Exact(amount)
            .div(new Exact(10).pow(minorDigits(source)))
            .times(rate)
            .times(new Exact(10).pow(minorDigits(into)))
            .toDecimalPlaces(0);
          const expected = exact.abs().gt(1e13) ? null : exact.toNumber() + 0;
          expect(converted(amount, { from: source, into, rate })).toBe(expected);
        },
      ),
    );
  });
});
