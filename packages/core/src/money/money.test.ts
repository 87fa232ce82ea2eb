import codes from 'currency-codes';
import fc from 'fast-check';
import { minorDigits } from './currency';
import { formatAmount } from './format';
import { add, minor, negate, subtract, sum } from './minor';
import { parseAmount } from './parse';
import { spreadEvenly } from './spread';

describe('amounts', () => {
  it('add and subtract exactly where decimal fractions would not', () => {
    expect(add(minor(10), minor(20))).toBe(30);
    expect(subtract(minor(30), minor(10))).toBe(20);
    expect(sum([1, 2, 3])).toBe(6);
  });

  it('refuse what is no exact whole number', () => {
    expect(() => minor(0.5)).toThrow(RangeError);
    expect(() => add(Number.MAX_SAFE_INTEGER, 1)).toThrow(RangeError);
  });

  it('know no negative zero', () => {
    expect(Object.is(negate(0), 0)).toBe(true);
  });
});

describe('minor units', () => {
  // Metals, fund units and test codes have no minor unit in ISO 4217 (“N.A.”); no books are kept in them.
  const keptInBooks = codes.data.filter(
    ({ code }) => !/^X/.test(code) || ['XAF', 'XCD', 'XOF', 'XPF'].includes(code),
  );

  // Source: ISO 4217, through the package currency-codes.
  it.each(keptInBooks.map(({ code, digits }) => [code, digits] as const))(
    'of %s are %i digits, as ISO 4217 says',
    (code, digits) => expect(minorDigits(code)).toBe(digits),
  );

  it('are those of most currencies of the world', () => {
    expect(keptInBooks.length).toBeGreaterThan(150);
  });
});

describe('writing an amount', () => {
  it.each([
    [123456789, 'USD', '1,234,567.89'],
    [-4205, 'USD', '(42.05)'],
    [5, 'USD', '0.05'],
    [1234567, 'JPY', '1,234,567'],
    [1234567, 'BHD', '1,234.567'],
  ])('writes %i minor units of %s as %s', (amount, currency, text) => {
    expect(formatAmount(amount, { currency })).toBe(text);
  });

  it('writes a movement with its sign', () => {
    expect(formatAmount(926000, { currency: 'USD', negatives: 'sign' })).toBe('+9,260.00');
    expect(formatAmount(-926000, { currency: 'USD', negatives: 'sign' })).toBe('−9,260.00');
  });

  it('writes zero as it is asked to', () => {
    expect(formatAmount(0, { currency: 'USD', zero: '–' })).toBe('–');
    expect(formatAmount(0, { currency: 'USD' })).toBe('0.00');
  });
});

describe('reading an amount', () => {
  it.each([
    ['1234.5', 'USD', 123450],
    ['-7', 'JPY', -7],
    ['0.125', 'BHD', 125],
    ['1,234,567.80', 'USD', 123456780],
    ['12,34', 'USD', null],
    ['1.005', 'USD', null],
    ['99999999999999999', 'USD', null],
    ['12a', 'USD', null],
    ['', 'USD', null],
  ])('reads “%s” in %s as %p', (text, currency, amount) => {
    expect(parseAmount(text, currency)).toBe(amount);
  });
});

describe('spreading an amount', () => {
  it('gives what is left over to the first parts', () => {
    expect(spreadEvenly(100, 12)).toEqual([9, 9, 9, 9, 8, 8, 8, 8, 8, 8, 8, 8]);
    expect(spreadEvenly(-5, 3)).toEqual([-2, -2, -1]);
  });

  it('loses nothing, whatever the amount and the parts', () => {
    fc.assert(
      fc.property(fc.maxSafeInteger(), fc.integer({ min: 1, max: 60 }), (amount, parts) => {
        const shares = spreadEvenly(amount, parts);
        expect(shares).toHaveLength(parts);
        expect(shares.reduce((so, share) => so + share, 0)).toBe(amount);
        expect(Math.max(...shares) - Math.min(...shares)).toBeLessThanOrEqual(1);
      }),
    );
  });
});
