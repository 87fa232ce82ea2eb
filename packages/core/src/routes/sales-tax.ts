import { dividedHalfAway, readDecimal, tens, type Decimal } from '../money/decimal';
import { minor, subtract, type Minor } from '../money/minor';

/** A gross amount as net and tax; their sum is the gross, always. */
export interface NetAndTax {
  readonly net: Minor;
  readonly tax: Minor;
}

const readRate = (text: string): Decimal | null => {
  const rate = readDecimal(text, { whole: 3, places: 6 });
  return rate === null || rate.digits === 0n || rate.digits > 100n * tens(rate.places)
    ? null
    : rate;
};

/** Whether the text is a rate of tax: above 0 and at most 100 per cent, with at most six digits behind the point. */
export const isTaxRate = (text: string): boolean => readRate(text) !== null;

/**
 * Takes the sales tax out of a gross amount: gross × rate ÷ (100 + rate), reckoned exactly and rounded once to the minor
 * unit, halves away from zero (common practice, no source); the net is what remains. All of it is net where the rate is
 * none.
 */
export const netAndTax = (gross: Minor, rate: string): NetAndTax => {
  const read = readRate(rate);
  if (read === null) return { net: gross, tax: 0 };
  const tax = minor(
    Number(dividedHalfAway(BigInt(gross) * read.digits, 100n * tens(read.places) + read.digits)),
  );
  return { net: subtract(gross, tax), tax };
};
