import type { SectionCode, StatementCode, StatementRow, TotalCode } from '@iunctus/core';
import { statementRowWords } from './statement-row-words';

/** What the statements are called for somebody who does not know the ledger's words. */
export const PLAIN_STATEMENT_WORDS: Readonly<Record<StatementCode, string>> = {
  profitAndLoss: $localize`What came in, and what it cost`,
  balanceSheet: $localize`What the business has, and what it owes`,
};

const PLAIN_SECTIONS: Readonly<Record<SectionCode, string>> = {
  currentAssets: $localize`What it has that is money, or soon will be`,
  nonCurrentAssets: $localize`What it has for years`,
  currentLiabilities: $localize`What it owes within a year`,
  nonCurrentLiabilities: $localize`What it owes later`,
  equity: $localize`What is left for the owners`,
  revenue: $localize`What came in`,
  costOfSales: $localize`What was spent on what was sold`,
  operatingExpenses: $localize`What running the business cost`,
  otherIncomeAndCosts: $localize`Other income and costs`,
  incomeTax: $localize`Tax on the profit`,
};

const PLAIN_TOTALS: Readonly<Record<TotalCode, string>> = {
  totalAssets: $localize`All that it has`,
  totalLiabilities: $localize`All that it owes`,
  totalEquity: $localize`Left for the owners`,
  totalLiabilitiesAndEquity: $localize`Owed, and left for the owners`,
  grossProfit: $localize`Left after what was sold was paid for`,
  operatingProfit: $localize`Left after running the business`,
  profitBeforeTax: $localize`Left before tax`,
  netProfit: $localize`Left in the end`,
};

/** What a row of a statement is called, plainly. */
export const plainRowWords = (row: StatementRow): string => {
  if (row.type === 'group')
    return row.code === 'assets' ? $localize`What it has` : $localize`What it owes`;
  if (row.type === 'section') return PLAIN_SECTIONS[row.code];
  if (row.type === 'sectionTotal')
    return row.alone
      ? PLAIN_SECTIONS[row.code]
      : `Together: ${PLAIN_SECTIONS[row.code].toLowerCase()}`;
  if (row.type === 'total') return PLAIN_TOTALS[row.code];
  if (row.type === 'result')
    return row.code === 'thisYear'
      ? $localize`What this year has brought so far`
      : $localize`What earlier years brought`;
  if (row.type === 'subtotal') return $localize`${row.name}, together`;
  return row.type === 'itself' ? $localize`${row.name}, the rest` : statementRowWords(row);
};
