import type { SectionCode, StatementCode, StatementRow, TotalCode } from '@iunctus/core';
import { statementRowWords } from './statement-row-words';

/** What the statements are called for somebody who does not know the ledger's words. */
export const PLAIN_STATEMENT_WORDS: Readonly<Record<StatementCode, string>> = {
  profitAndLoss: 'What came in, and what it cost',
  balanceSheet: 'What the business has, and what it owes',
};

const PLAIN_SECTIONS: Readonly<Record<SectionCode, string>> = {
  currentAssets: 'What it has that is money, or soon will be',
  nonCurrentAssets: 'What it has for years',
  currentLiabilities: 'What it owes within a year',
  nonCurrentLiabilities: 'What it owes later',
  equity: 'What is left for the owners',
  revenue: 'What came in',
  costOfSales: 'What was spent on what was sold',
  operatingExpenses: 'What running the business cost',
  otherIncomeAndCosts: 'Other income and costs',
  incomeTax: 'Tax on the profit',
};

const PLAIN_TOTALS: Readonly<Record<TotalCode, string>> = {
  totalAssets: 'All that it has',
  totalLiabilities: 'All that it owes',
  totalEquity: 'Left for the owners',
  totalLiabilitiesAndEquity: 'Owed, and left for the owners',
  grossProfit: 'Left after what was sold was paid for',
  operatingProfit: 'Left after running the business',
  profitBeforeTax: 'Left before tax',
  netProfit: 'Left in the end',
};

/** What a row of a statement is called, plainly. */
export const plainRowWords = (row: StatementRow): string => {
  if (row.type === 'group') return row.code === 'assets' ? 'What it has' : 'What it owes';
  if (row.type === 'section') return PLAIN_SECTIONS[row.code];
  if (row.type === 'sectionTotal')
    return row.alone
      ? PLAIN_SECTIONS[row.code]
      : `Together: ${PLAIN_SECTIONS[row.code].toLowerCase()}`;
  if (row.type === 'total') return PLAIN_TOTALS[row.code];
  if (row.type === 'result')
    return row.code === 'thisYear'
      ? 'What this year has brought so far'
      : 'What earlier years brought';
  if (row.type === 'subtotal') return `${row.name}, together`;
  return row.type === 'itself' ? `${row.name}, the rest` : statementRowWords(row);
};
