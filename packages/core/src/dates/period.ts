import { addMonths, fiscalYearStart, type Month } from './month';

/** A span of whole months, first and last both inside. */
export interface Period {
  readonly first: Month;
  readonly last: Month;
}

/** The periods that a bookkeeper asks for by name. */
export type PeriodName = 'yearToDate' | 'lastYear' | 'month' | 'quarter' | 'twelveMonths';

/** All period names, in the order in which they are offered. */
export const PERIOD_NAMES: readonly PeriodName[] = [
  'yearToDate',
  'lastYear',
  'quarter',
  'month',
  'twelveMonths',
];

/**
 * The period of that name as seen from `latest`, the newest month of interest.
 * `yearStartsIn` is the month number (1–12) with which the fiscal year begins;
 * quarters are those of the fiscal year.
 */
export const namedPeriod = (name: PeriodName, latest: Month, yearStartsIn: number): Period => {
  const yearStart = fiscalYearStart(latest, yearStartsIn);
  switch (name) {
    case 'yearToDate':
      return { first: yearStart, last: latest };
    case 'lastYear':
      return { first: addMonths(yearStart, -12), last: addMonths(yearStart, -1) };
    case 'month':
      return { first: latest, last: latest };
    case 'quarter':
      return { first: quarterStart(yearStart, latest), last: latest };
    case 'twelveMonths':
      return { first: addMonths(latest, -11), last: latest };
  }
};

const quarterStart = (yearStart: Month, latest: Month): Month => {
  const starts = [9, 6, 3, 0].map((offset) => addMonths(yearStart, offset));
  return starts.find((start) => start <= latest) ?? yearStart;
};
