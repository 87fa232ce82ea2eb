/** Currencies whose minor unit is not a hundredth. Source: ISO 4217, list one (checked in currency.test.ts). */
const DIGITS_THAT_DIFFER: Readonly<Record<string, number>> = {
  BHD: 3, BIF: 0, CLF: 4, CLP: 0, DJF: 0, GNF: 0, IQD: 3, ISK: 0, JOD: 3, JPY: 0, KMF: 0, KRW: 0,
  KWD: 3, LYD: 3, OMR: 3, PYG: 0, RWF: 0, TND: 3, UGX: 0, UYI: 0, UYW: 4, VND: 0, VUV: 0, XAF: 0,
  XOF: 0, XPF: 0,
}; // prettier-ignore

/** How many decimal digits the minor unit of an ISO 4217 currency stands for (USD 2, JPY 0, BHD 3). */
export const minorDigits = (currency: string): number => DIGITS_THAT_DIFFER[currency] ?? 2;
