/** A decimal number as it is written, exactly: `digits` of it, the last `places` of them behind the point. */
export interface Decimal {
  readonly digits: bigint;
  readonly places: number;
}

/** Reads digits with at most so many before and behind the point; `null` for anything else. Never negative. */
export const readDecimal = (
  text: string,
  most: { readonly whole: number; readonly places: number },
): Decimal | null => {
  const match = /^(\d+)(?:\.(\d+))?$/.exec(text.trim());
  if (match === null) return null;
  const [, whole = '', fraction = ''] = match;
  if (whole.length > most.whole || fraction.length > most.places) return null;
  return { digits: BigInt(`${whole}${fraction}`), places: fraction.length };
};

/** So many powers of ten. */
export const tens = (count: number): bigint => 10n ** BigInt(count);

/** A quotient of exact integers, rounded once, halves away from zero (common practice, no source). The divisor is above zero. */
export const dividedHalfAway = (dividend: bigint, divisor: bigint): bigint => {
  const sign = dividend < 0n ? -1n : 1n;
  return sign * ((2n * sign * dividend + divisor) / (2n * divisor));
};
