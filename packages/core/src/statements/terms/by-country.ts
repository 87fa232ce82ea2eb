import type { CountryCode } from '../../countries/countries';
import type { OtherTerms } from './statement-terms';

/** Names that kinds and captions have in a country, and no account of a starting chart. Common practice, no source. */
export const KIND_TERMS: Readonly<
  Partial<Record<CountryCode, Readonly<Partial<Record<string, string>>>>>
> = {
  GB: { 'Sales tax recoverable': 'VAT recoverable' },
  IE: { 'Sales tax recoverable': 'VAT recoverable' },
  CA: { 'Sales tax recoverable': 'GST/HST recoverable' },
  AU: { 'Sales tax recoverable': 'GST recoverable' },
  NZ: { 'Sales tax recoverable': 'GST recoverable' },
};

/** In the United Kingdom and Ireland. Source: the formats of the Companies Act, and FRS 102 (from memory). */
export const ISLES: OtherTerms = {
  sheets: { profitAndLoss: 'Profit and loss account', cashFlow: 'Cash flow statement' },
  sections: {
    revenue: 'Turnover',
    nonCurrentAssets: 'Fixed assets',
    currentLiabilities: 'Creditors due within one year',
    nonCurrentLiabilities: 'Creditors due after more than one year',
    equity: 'Capital and reserves',
    incomeTax: 'Tax on profit',
  },
  sectionTotals: {
    revenue: 'Turnover',
    nonCurrentAssets: 'Total fixed assets',
    currentLiabilities: 'Total creditors due within one year',
    nonCurrentLiabilities: 'Total creditors due after more than one year',
    equity: 'Total capital and reserves',
    incomeTax: 'Total tax on profit',
  },
  totals: {
    totalLiabilities: 'Total creditors',
    totalEquity: 'Total capital and reserves',
    totalLiabilitiesAndEquity: 'Total creditors, capital and reserves',
  },
};

/** Those who make no profit, as in the United States. Source: ASC 958 (from memory). */
export const NON_PROFITS: OtherTerms = {
  sheets: {
    profitAndLoss: 'Statement of activities',
    balanceSheet: 'Statement of financial position',
    changesInEquity: 'Changes in net assets',
  },
  sections: {
    result: 'Change in net assets',
    revenue: 'Revenue and support',
    costOfSales: 'Program services',
    equity: 'Net assets',
    incomeTax: 'Tax',
  },
  sectionTotals: {
    result: 'Change in net assets',
    revenue: 'Total revenue and support',
    costOfSales: 'Total program services',
    equity: 'Total net assets',
    incomeTax: 'Total tax',
  },
  totals: {
    netProfitOfPeriod: 'Change in net assets',
    grossProfit: 'After program services',
    operatingProfit: 'Change before other items',
    profitBeforeTax: 'Change before tax',
    netProfit: 'Change in net assets',
    totalEquity: 'Total net assets',
    totalLiabilitiesAndEquity: 'Total liabilities and net assets',
  },
  results: {
    earlierYears: 'Changes in net assets of earlier years',
    thisYear: 'Change in net assets of the year so far',
    allYears: 'Changes in net assets of this and earlier years',
  },
};

/** Charities of the isles. Source: the Charities SORP (from memory). */
export const NON_PROFITS_OF_THE_ISLES: OtherTerms = {
  sheets: {
    profitAndLoss: 'Statement of financial activities',
    balanceSheet: 'Balance sheet',
    changesInEquity: 'Changes in funds',
  },
  sections: {
    result: 'Net income',
    revenue: 'Income',
    costOfSales: 'Expenditure on activities',
    operatingExpenses: 'Other expenditure',
    equity: 'Funds',
    incomeTax: 'Tax',
  },
  sectionTotals: {
    result: 'Net income',
    revenue: 'Total income',
    costOfSales: 'Total expenditure on activities',
    operatingExpenses: 'Total other expenditure',
    equity: 'Total funds',
    incomeTax: 'Total tax',
  },
  totals: {
    netProfitOfPeriod: 'Net income',
    grossProfit: 'After expenditure on activities',
    operatingProfit: 'Net income before other items',
    profitBeforeTax: 'Net income before tax',
    netProfit: 'Net income',
    totalEquity: 'Total funds',
    totalLiabilitiesAndEquity: 'Total creditors and funds',
  },
  results: {
    earlierYears: 'Net income of earlier years',
    thisYear: 'Net income of the year so far',
    allYears: 'Net income of this and earlier years',
  },
};
