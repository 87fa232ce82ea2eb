import Decimal from 'decimal.js';
import fc from 'fast-check';
import { worthOf } from './holding';

// Source: decimal.js as the independent reference.
describe('what a holding is worth', () => {
  it.each([
    ['12', 34_50, 400_00, { value: 414_00, gain: 14_00 }],
    ['0.333', 10_00, 4_00, { value: 3_33, gain: -67 }],
    ['0.5', 1, 0, { value: 1, gain: 1 }],
    ['a dozen', 1, 0, null],
    ['', 1, 0, null],
    ['999999999999', 10_000_000_00, 0, null],
  ])('%s units at %i that cost %i: %o', (units, price, cost, worth) => {
    expect(worthOf(units, { price, cost })).toEqual(worth);
  });

  it('is what exact multiplication gives, rounded once', () => {
    const Exact = Decimal.clone({ precision: 60, rounding: Decimal.ROUND_HALF_UP });
    fc.assert(
      fc.property(
        fc.nat(999_999_999),
        fc.nat(8),
        fc.nat(1_000_000),
        fc.integer({ min: -1e9, max: 1e9 }),
        (digits, places, price, cost) => {
          const units = (digits / 10 ** places).toFixed(places);
          const value = new Exact(units).times(price).toDecimalPlaces(0).toNumber();
          expect(worthOf(units, { price, cost })).toEqual(
            value > 1e13 ? null : { value, gain: value - cost },
          );
        },
      ),
    );
  });
});
