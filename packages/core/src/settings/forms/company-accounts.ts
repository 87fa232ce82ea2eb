import type { ReturnForm } from '../return-form';

/** The accounts of a small UK company in the statutory format, which go with its tax return and to the register. */
export const COMPANY_ACCOUNTS: ReturnForm = {
  name: 'Company accounts',
  year: 2024,
  source: 'SI 2008/409, Schedule 1: balance sheet and profit and loss account, format 1 of each, as in force in 2024; from memory',
  lines: [
    { line: 'P 1', words: 'Turnover', kinds: ['saleOfGoods', 'services', 'returnsAndDiscounts'] },
    { line: 'P 2', words: 'Cost of sales', kinds: ['costOfSales'] },
    { line: 'P 4', words: 'Distribution costs', uses: ['delivery', 'commissions', 'advertising'] },
    { line: 'P 5', words: 'Administrative expenses', kinds: ['operatingExpense', 'depreciation', 'otherExpense'] },
    { line: 'P 6', words: 'Other operating income', kinds: ['otherOperatingRevenue', 'grantsAndDonations', 'gains'], uses: ['equipmentSold'] },
    { line: 'P 10', words: 'Other interest receivable and similar income', kinds: ['investmentIncome'] },
    { line: 'P 12', words: 'Interest payable and similar charges', kinds: ['financeCost'] },
    { line: 'P 13', words: 'Tax on profit', kinds: ['incomeTax'] },
    { line: 'B I', words: 'Intangible assets', kinds: ['intangibleAsset', 'accumulatedAmortisation'] },
    { line: 'B II', words: 'Tangible assets', kinds: ['propertyAndEquipment', 'accumulatedDepreciation', 'leaseAsset'] },
    { line: 'B III', words: 'Investments', kinds: ['longTermInvestment', 'loanGiven', 'otherNonCurrentAsset'] },
    { line: 'C I', words: 'Stocks', kinds: ['inventory'] },
    { line: 'C II', words: 'Debtors', kinds: ['tradeReceivable', 'receivableAllowance', 'clearing', 'otherReceivable', 'salesTaxRecoverable', 'otherCurrentAsset', 'restrictedCash', 'incomeTaxRecoverable'] },
    { line: 'C III', words: 'Current asset investments', kinds: ['shortTermInvestment'] },
    { line: 'C IV', words: 'Cash at bank and in hand', kinds: ['bank', 'cashOnHand'] },
    { line: 'D', words: 'Prepayments and accrued income', kinds: ['prepaidExpense'] },
    { line: 'E', words: 'Creditors: amounts falling due within one year', kinds: ['tradePayable', 'cardPayable', 'payrollPayable', 'salesTaxPayable', 'incomeTaxPayable', 'shortTermBorrowing', 'dueToOwner', 'otherCurrentLiability'] },
    { line: 'H', words: 'Creditors: amounts falling due after more than one year', kinds: ['longTermBorrowing', 'otherNonCurrentLiability', 'leaseLiability'] },
    { line: 'I', words: 'Provisions for liabilities', kinds: ['deferredTax', 'provision'] },
    { line: 'J', words: 'Accruals and deferred income', kinds: ['accruedExpense', 'deferredRevenue'] },
    { line: 'K I', words: 'Called up share capital', kinds: ['shareCapital', 'ownersCapital', 'treasuryShares'] },
    { line: 'K II', words: 'Share premium account', kinds: ['additionalPaidInCapital'] },
    { line: 'K IV', words: 'Other reserves' },
    { line: 'K V', words: 'Profit and loss account', kinds: ['retainedEarnings', 'drawings', 'openingBalanceEquity', 'netAssetsWithoutRestrictions', 'netAssetsWithRestrictions'] },
  ],
}; // prettier-ignore
