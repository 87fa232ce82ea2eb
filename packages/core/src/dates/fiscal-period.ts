import { addMonths, fiscalYearStart, monthsBetween, type Month } from './month';

/** A month within its fiscal year. */
export interface FiscalPeriod {
  /** The year in which the fiscal year ends, by which it is called. */
  readonly year: string;
  /** The month of the fiscal year, from 1. */
  readonly number: number;
}

/** The fiscal year and period of a month, for years that begin in month `startsIn` (1–12). Naming by the year's end: common practice, no source. */
export const fiscalPeriodOf = (month: Month, startsIn: number): FiscalPeriod => {
  const start = fiscalYearStart(month, startsIn);
  return { year: addMonths(start, 11).slice(0, 4), number: monthsBetween(start, month) };
};
