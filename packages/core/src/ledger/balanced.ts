import type { Chart } from '../chart/chart';
import { sum } from '../money/minor';
import { sectionAmounts, type RollUp } from './amounts';

const SECTIONS = [
  'currentAssets',
  'nonCurrentAssets',
  'currentLiabilities',
  'nonCurrentLiabilities',
  'equity',
] as const;

/** Whether assets = liabilities + equity, the results in equity. */
export const isBalanced = (chart: Chart, rollUp: RollUp): boolean => {
  const amounts = sectionAmounts(chart, rollUp);
  return sum(SECTIONS.map((code) => amounts.get(code) ?? 0)) === 0;
};
