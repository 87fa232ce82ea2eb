import type { StatementCode } from '../kinds/caption';
import type { SheetCode, SheetCodes } from './sheets';

export const STATEMENT_NAMES: Readonly<Record<StatementCode, string>> = {
  profitAndLoss: 'Profit and loss',
  balanceSheet: 'Balance sheet',
};

/** Everything that can be laid out. */
export const SHEET_NAMES: Readonly<Record<SheetCode, string>> = {
  ...STATEMENT_NAMES,
  cashFlow: 'Cash flow',
  changesInEquity: 'Changes in equity',
  trialBalance: 'Trial balance',
  chartReport: 'Chart of accounts',
};

export const GROUP_NAMES: Readonly<Record<SheetCodes['group'], string>> = {
  operatingActivities: 'Operating activities',
  assets: 'Assets',
  liabilities: 'Liabilities',
};

export const SECTION_NAMES: Readonly<Record<SheetCodes['section'], string>> = {
  result: 'Result',
  adjustments: 'What moved no cash',
  workingCapital: 'Changes in working capital',
  investing: 'Investing activities',
  financing: 'Financing activities',
  withoutCash: 'Other changes in equity',
  cashAtStart: 'Cash at the start',
  currentAssets: 'Current assets',
  nonCurrentAssets: 'Non-current assets',
  currentLiabilities: 'Current liabilities',
  nonCurrentLiabilities: 'Non-current liabilities',
  equity: 'Equity',
  revenue: 'Revenue',
  costOfSales: 'Cost of sales',
  operatingExpenses: 'Operating expenses',
  otherIncomeAndCosts: 'Other income and costs',
  incomeTax: 'Income tax',
};

export const SECTION_TOTAL_NAMES: Readonly<Record<SheetCodes['section'], string>> = {
  result: 'Result',
  adjustments: 'Total that moved no cash',
  workingCapital: 'Total changes in working capital',
  investing: 'Cash from investing',
  financing: 'Cash from financing',
  withoutCash: 'Total other changes in equity',
  cashAtStart: 'Cash at the start',
  currentAssets: 'Total current assets',
  nonCurrentAssets: 'Total non-current assets',
  currentLiabilities: 'Total current liabilities',
  nonCurrentLiabilities: 'Total non-current liabilities',
  equity: 'Total equity',
  revenue: 'Net revenue',
  costOfSales: 'Total cost of sales',
  operatingExpenses: 'Total operating expenses',
  otherIncomeAndCosts: 'Total other income and costs',
  incomeTax: 'Total income tax',
};

export const TOTAL_NAMES: Readonly<Record<SheetCodes['total'], string>> = {
  netProfitOfPeriod: 'Net profit',
  cashFromOperating: 'Cash from operating activities',
  netChangeInCash: 'Change in cash',
  cashAtStart: 'Cash at the start',
  cashAtEnd: 'Cash at the end',
  allBalances: 'All balances',
  totalAssets: 'Total assets',
  totalLiabilities: 'Total liabilities',
  totalEquity: 'Total equity',
  totalLiabilitiesAndEquity: 'Total liabilities and equity',
  grossProfit: 'Gross profit',
  operatingProfit: 'Operating profit',
  profitBeforeTax: 'Profit before tax',
  netProfit: 'Net profit',
};

export const RESULT_NAMES = {
  earlierYears: 'Results of earlier years',
  thisYear: 'Result of the year so far',
  allYears: 'Results of this and earlier years',
} as const;
