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
  profitAndLoss: $localize`Profit and loss`,
  balanceSheet: $localize`Balance sheet`,
};

/** The statements that are chosen between, in their usual order. */
export const STATEMENT_CHOICES = (['profitAndLoss', 'balanceSheet'] as const).map((value) => ({
  value,
  words: STATEMENT_WORDS[value],
}));

export const ELEMENT_WORDS: Readonly<Record<Element, string>> = {
  asset: $localize`Assets`,
  liability: $localize`Liabilities`,
  equity: $localize`Equity`,
  revenue: $localize`Revenue`,
  expense: $localize`Costs and expenses`,
  memorandum: $localize`Memorandum`,
};

export const GROUP_WORDS: Readonly<Record<GroupCode, string>> = {
  assets: $localize`Assets`,
  liabilities: $localize`Liabilities`,
};

export const SECTION_WORDS: Readonly<Record<SectionCode, string>> = {
  currentAssets: $localize`Current assets`,
  nonCurrentAssets: $localize`Non-current assets`,
  currentLiabilities: $localize`Current liabilities`,
  nonCurrentLiabilities: $localize`Non-current liabilities`,
  equity: $localize`Equity`,
  revenue: $localize`Revenue`,
  costOfSales: $localize`Cost of sales`,
  operatingExpenses: $localize`Operating expenses`,
  otherIncomeAndCosts: $localize`Other income and costs`,
  incomeTax: $localize`Income tax`,
};

export const SECTION_TOTAL_WORDS: Readonly<Record<SectionCode, string>> = {
  currentAssets: $localize`Total current assets`,
  nonCurrentAssets: $localize`Total non-current assets`,
  currentLiabilities: $localize`Total current liabilities`,
  nonCurrentLiabilities: $localize`Total non-current liabilities`,
  equity: $localize`Total equity`,
  revenue: $localize`Net revenue`,
  costOfSales: $localize`Total cost of sales`,
  operatingExpenses: $localize`Total operating expenses`,
  otherIncomeAndCosts: $localize`Total other income and costs`,
  incomeTax: $localize`Total income tax`,
};

export const TOTAL_WORDS: Readonly<Record<TotalCode, string>> = {
  totalAssets: $localize`Total assets`,
  totalLiabilities: $localize`Total liabilities`,
  totalEquity: $localize`Total equity`,
  totalLiabilitiesAndEquity: $localize`Total liabilities and equity`,
  grossProfit: $localize`Gross profit`,
  operatingProfit: $localize`Operating profit`,
  profitBeforeTax: $localize`Profit before tax`,
  netProfit: $localize`Net profit`,
};

export const RESULT_WORDS = {
  earlierYears: $localize`Results of earlier years`,
  thisYear: $localize`Result of the year so far`,
} as const;

/** Where a kind leads: "Profit and loss › Cost of sales". */
export const landingWords = (kind: KindCode): string => {
  const statement = statementOf(kind);
  const caption: CaptionCode | null = KINDS[kind].caption;
  if (statement === null || caption === null) return $localize`On no statement`;
  const { section, name } = CAPTIONS[caption];
  const parts = [STATEMENT_WORDS[statement], SECTION_WORDS[section]];
  return [...parts, ...(name === SECTION_WORDS[section] ? [] : [name])].join(' › ');
};
