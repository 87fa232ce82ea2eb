import {
  CAPTIONS,
  type CaptionCode,
  type Element,
  type GroupCode,
  KINDS,
  type KindCode,
  type SectionCode,
  statementOf,
  type StatementCode,
  type TotalCode,
} from '@iunctus/core';

export const STATEMENT_WORDS: Readonly<Record<StatementCode, string>> = {
  profitAndLoss: 'Profit and loss',
  balanceSheet: 'Balance sheet',
};

export const ELEMENT_WORDS: Readonly<Record<Element, string>> = {
  asset: 'Assets',
  liability: 'Liabilities',
  equity: 'Equity',
  revenue: 'Revenue',
  expense: 'Costs and expenses',
  memorandum: 'Memorandum',
};

export const GROUP_WORDS: Readonly<Record<GroupCode, string>> = {
  assets: 'Assets',
  liabilities: 'Liabilities',
};

export const SECTION_WORDS: Readonly<Record<SectionCode, string>> = {
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

export const SECTION_TOTAL_WORDS: Readonly<Record<SectionCode, string>> = {
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

export const TOTAL_WORDS: Readonly<Record<TotalCode, string>> = {
  totalAssets: 'Total assets',
  totalLiabilities: 'Total liabilities',
  totalEquity: 'Total equity',
  totalLiabilitiesAndEquity: 'Total liabilities and equity',
  grossProfit: 'Gross profit',
  operatingProfit: 'Operating profit',
  profitBeforeTax: 'Profit before tax',
  netProfit: 'Net profit',
};

export const RESULT_WORDS = {
  earlierYears: 'Results of earlier years',
  thisYear: 'Result of the year so far',
} as const;

/** Where a kind leads: "Profit and loss › Cost of sales". */
export const landingWords = (kind: KindCode): string => {
  const statement = statementOf(kind);
  const caption: CaptionCode | null = KINDS[kind].caption;
  if (statement === null || caption === null) return 'On no statement';
  const { section, name } = CAPTIONS[caption];
  const parts = [STATEMENT_WORDS[statement], SECTION_WORDS[section]];
  return [...parts, ...(name === SECTION_WORDS[section] ? [] : [name])].join(' › ');
};
