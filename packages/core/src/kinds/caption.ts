/** The two statements on which a balance can land. */
export type StatementCode = 'balanceSheet' | 'profitAndLoss';

/** The sections of the standard layouts, balance sheet first, in their order. */
export const SECTION_CODES = [
  'currentAssets',
  'nonCurrentAssets',
  'currentLiabilities',
  'nonCurrentLiabilities',
  'equity',
  'revenue',
  'costOfSales',
  'operatingExpenses',
  'otherIncomeAndCosts',
  'incomeTax',
] as const;
export type SectionCode = (typeof SECTION_CODES)[number];

/** A standard statement line: where it stands, and what a statement calls it. */
export interface Caption {
  readonly section: SectionCode;
  readonly name: string;
}

/**
 * The standard lines, in the order in which a statement shows them.
 * Sources (from memory): IAS 1.54 and 1.82; US Regulation S-X 5-02 and 5-03.
 */
export const CAPTIONS = {
  cashAndCashEquivalents: { section: 'currentAssets', name: 'Cash and cash equivalents' },
  restrictedCash: { section: 'currentAssets', name: 'Restricted cash' },
  shortTermInvestments: { section: 'currentAssets', name: 'Short-term investments' },
  tradeReceivables: { section: 'currentAssets', name: 'Trade receivables' },
  otherReceivables: { section: 'currentAssets', name: 'Other receivables' },
  inventories: { section: 'currentAssets', name: 'Inventories' },
  prepaidExpenses: { section: 'currentAssets', name: 'Prepaid expenses' },
  taxRecoverable: { section: 'currentAssets', name: 'Sales tax recoverable' },
  incomeTaxRecoverable: { section: 'currentAssets', name: 'Income tax recoverable' },
  otherCurrentAssets: { section: 'currentAssets', name: 'Other current assets' },
  propertyAndEquipment: { section: 'nonCurrentAssets', name: 'Property and equipment' },
  leaseAssets: { section: 'nonCurrentAssets', name: 'Rights to use what is leased' },
  intangibleAssets: { section: 'nonCurrentAssets', name: 'Intangible assets' },
  longTermInvestments: { section: 'nonCurrentAssets', name: 'Long-term investments' },
  loansGiven: { section: 'nonCurrentAssets', name: 'Loans and deposits given' },
  otherNonCurrentAssets: { section: 'nonCurrentAssets', name: 'Other non-current assets' },
  tradePayables: { section: 'currentLiabilities', name: 'Trade payables' },
  cardPayables: { section: 'currentLiabilities', name: 'Cards payable' },
  payrollPayables: { section: 'currentLiabilities', name: 'Payroll payable' },
  salesTaxPayable: { section: 'currentLiabilities', name: 'Sales tax payable' },
  incomeTaxPayable: { section: 'currentLiabilities', name: 'Income tax payable' },
  accruedExpenses: { section: 'currentLiabilities', name: 'Accrued expenses' },
  provisions: { section: 'currentLiabilities', name: 'Provisions' },
  deferredRevenue: { section: 'currentLiabilities', name: 'Deferred revenue and deposits' },
  shortTermBorrowings: { section: 'currentLiabilities', name: 'Short-term borrowings' },
  dueToOwners: { section: 'currentLiabilities', name: 'Due to owners' },
  otherCurrentLiabilities: { section: 'currentLiabilities', name: 'Other current liabilities' },
  longTermBorrowings: { section: 'nonCurrentLiabilities', name: 'Long-term borrowings' },
  leaseLiabilities: { section: 'nonCurrentLiabilities', name: 'Lease liabilities' },
  deferredTax: { section: 'nonCurrentLiabilities', name: 'Deferred tax' },
  otherNonCurrentLiabilities: {
    section: 'nonCurrentLiabilities',
    name: 'Other non-current liabilities',
  },
  ownersCapital: { section: 'equity', name: 'Owners’ capital' },
  shareCapital: { section: 'equity', name: 'Share capital' },
  additionalPaidInCapital: { section: 'equity', name: 'Additional paid-in capital' },
  treasuryShares: { section: 'equity', name: 'Treasury shares' },
  retainedEarnings: { section: 'equity', name: 'Retained earnings' },
  distributions: { section: 'equity', name: 'Drawings and distributions' },
  openingBalanceEquity: { section: 'equity', name: 'Opening balance equity' },
  netAssetsWithoutRestrictions: { section: 'equity', name: 'Net assets without restrictions' },
  netAssetsWithRestrictions: { section: 'equity', name: 'Net assets with restrictions' },
  saleOfGoods: { section: 'revenue', name: 'Sale of goods' },
  saleOfServices: { section: 'revenue', name: 'Services' },
  returnsAndDiscounts: { section: 'revenue', name: 'Returns and discounts' },
  grantsAndDonations: { section: 'revenue', name: 'Grants and donations' },
  otherOperatingRevenue: { section: 'revenue', name: 'Other operating revenue' },
  costOfSales: { section: 'costOfSales', name: 'Cost of sales' },
  operatingExpenses: { section: 'operatingExpenses', name: 'Operating expenses' },
  depreciation: { section: 'operatingExpenses', name: 'Depreciation and amortisation' },
  investmentIncome: { section: 'otherIncomeAndCosts', name: 'Interest and investment income' },
  gains: { section: 'otherIncomeAndCosts', name: 'Gains' },
  otherExpenses: { section: 'otherIncomeAndCosts', name: 'Other expenses and losses' },
  financeCosts: { section: 'otherIncomeAndCosts', name: 'Finance costs' },
  incomeTax: { section: 'incomeTax', name: 'Income tax' },
} as const satisfies Record<string, Caption>;

export type CaptionCode = keyof typeof CAPTIONS;

/** The statement that a section belongs to. */
export const statementOfSection = (section: SectionCode): StatementCode => {
  switch (section) {
    case 'currentAssets':
    case 'nonCurrentAssets':
    case 'currentLiabilities':
    case 'nonCurrentLiabilities':
    case 'equity':
      return 'balanceSheet';
    default:
      return 'profitAndLoss';
  }
};
