import { dividedHalfAway } from './decimal';
import { add, subtract, type Minor } from './minor';

/**
 * Spreads an amount over so many parts as evenly as its minor unit allows; the first parts take
 * what is left over. Law: the parts sum to the amount.
 */
export const spreadEvenly = (amount: Minor, parts: number): readonly Minor[] => {
  const share = Math.trunc(amount / parts);
  const left = subtract(amount, share * parts);
  return Array.from({ length: parts }, (_part, index) =>
    index < Math.abs(left) ? share + Math.sign(left) : share,
  );
};

/**
 * Spreads an amount in the proportions of other amounts, each part rounded where the sum so far ends, so that nothing is
 * lost; evenly where those come to nothing, or differ in sign. Law: the parts sum to the amount.
 */
export const spreadLike = (amount: Minor, shape: readonly Minor[]): readonly Minor[] => {
  const whole = Math.abs(shape.reduce(add, 0));
  const mixed = shape.some((part) => part > 0) && shape.some((part) => part < 0);
  if (whole === 0 || mixed) return spreadEvenly(amount, shape.length);
  let upTo = 0;
  let given = 0;
  return shape.map((part) => {
    upTo = add(upTo, Math.abs(part));
    const due = Number(dividedHalfAway(BigInt(amount) * BigInt(upTo), BigInt(whole)));
    const share = subtract(due, given);
    given = due;
    return share;
  });
};
