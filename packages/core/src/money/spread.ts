import { subtract, type Minor } from './minor';

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
