import type { ReturnForm } from '../return-form';
import { capitalAccount } from './capital-account';

/** The UK return of a sole owner's trade, with its balance sheet. */
export const SA103F: ReturnForm = {
  name: 'SA103F',
  year: 2024,
  source: 'HMRC SA103F, Self-employment (full), tax year 2023 to 2024; from memory',
  lines: [
    { line: '15', words: 'Turnover', kinds: ['saleOfGoods', 'services', 'returnsAndDiscounts'] },
    { line: '16', words: 'Any other business income', kinds: ['otherOperatingRevenue', 'grantsAndDonations', 'investmentIncome'] },
    { line: '17', words: 'Cost of goods bought for resale', kinds: ['costOfSales'] },
    { line: '18', words: 'Payments to subcontractors', uses: ['contractors', 'directContractors'] },
    { line: '19', words: 'Wages, salaries and other staff costs', uses: ['wages', 'payrollTaxes', 'benefits', 'pension'] },
    { line: '20', words: 'Car, van and travel expenses', uses: ['vehicles', 'travel'] },
    { line: '21', words: 'Rent, rates, power and insurance costs', uses: ['rent', 'landRent', 'utilities', 'insurance', 'propertyTaxes'] },
    { line: '22', words: 'Repairs and maintenance', uses: ['repairs'] },
    { line: '23', words: 'Phone, stationery and other office costs', uses: ['telephone', 'office'] },
    { line: '24', words: 'Advertising and business entertainment', uses: ['advertising', 'meals'] },
    { line: '25', words: 'Interest on bank and other loans', kinds: ['financeCost'] },
    { line: '26', words: 'Bank, card and other financial charges', uses: ['commissions', 'bank'] },
    { line: '27', words: 'Irrecoverable debts written off', uses: ['badDebts'] },
    { line: '28', words: 'Accountancy, legal and other professional fees', uses: ['professional'] },
    { line: '29', words: 'Depreciation and loss or profit on sale of assets', kinds: ['depreciation', 'gains'], uses: ['equipmentSold'] },
    { line: '30', words: 'Other business expenses', kinds: ['operatingExpense', 'otherExpense', 'incomeTax'] },
    { line: '83', words: 'Equipment, machinery and vehicles', kinds: ['propertyAndEquipment', 'accumulatedDepreciation'] },
    { line: '84', words: 'Other fixed assets', kinds: ['intangibleAsset', 'accumulatedAmortisation', 'longTermInvestment', 'loanGiven', 'otherNonCurrentAsset', 'leaseAsset'] },
    { line: '85', words: 'Stock and work in progress', kinds: ['inventory'] },
    { line: '86', words: 'Trade debtors', kinds: ['tradeReceivable', 'receivableAllowance'] },
    { line: '87', words: 'Bank and building society balances', kinds: ['bank'] },
    { line: '88', words: 'Cash in hand', kinds: ['cashOnHand'] },
    { line: '89', words: 'Other current assets and prepayments', kinds: ['clearing', 'shortTermInvestment', 'otherReceivable', 'prepaidExpense', 'salesTaxRecoverable', 'otherCurrentAsset', 'restrictedCash', 'incomeTaxRecoverable'] },
    { line: '91', words: 'Trade creditors', kinds: ['tradePayable'] },
    { line: '92', words: 'Loans and overdrawn bank balances', kinds: ['cardPayable', 'shortTermBorrowing', 'longTermBorrowing'] },
    { line: '93', words: 'Other liabilities and accruals', kinds: ['payrollPayable', 'salesTaxPayable', 'incomeTaxPayable', 'accruedExpense', 'deferredRevenue', 'dueToOwner', 'otherCurrentLiability', 'deferredTax', 'otherNonCurrentLiability', 'provision', 'leaseLiability'] },
    ...capitalAccount({ start: '95', result: '96', putIn: '97', takenOut: '98', end: '99' }),
  ],
}; // prettier-ignore
