import type { ReturnForm } from '../return-form';
import { capitalAccount } from './capital-account';

/** The UK return of a partnership's trade, with its balance sheet. */
export const SA800: ReturnForm = {
  name: 'SA800',
  year: 2024,
  source: 'HMRC SA800, Partnership tax return, tax year 2023 to 2024; from memory',
  lines: [
    { line: '3.29', words: 'Turnover', kinds: ['saleOfGoods', 'services', 'returnsAndDiscounts'] },
    { line: '3.46', words: 'Cost of sales', kinds: ['costOfSales'] },
    { line: '3.47', words: 'Construction industry subcontractor costs', uses: ['contractors', 'directContractors'] },
    { line: '3.48', words: 'Other direct costs', uses: ['directWages', 'materials', 'otherDirect', 'delivery', 'hire'] },
    { line: '3.50', words: 'Other income', kinds: ['otherOperatingRevenue', 'grantsAndDonations', 'investmentIncome'] },
    { line: '3.51', words: 'Employee costs', uses: ['wages', 'payrollTaxes', 'benefits', 'pension'] },
    { line: '3.52', words: 'Premises costs', uses: ['rent', 'landRent', 'utilities', 'insurance', 'propertyTaxes'] },
    { line: '3.53', words: 'Repairs', uses: ['repairs'] },
    { line: '3.54', words: 'General administrative expenses', uses: ['office', 'telephone'] },
    { line: '3.55', words: 'Motor expenses', uses: ['vehicles'] },
    { line: '3.56', words: 'Travel and subsistence', uses: ['travel'] },
    { line: '3.57', words: 'Advertising, promotion and entertainment', uses: ['advertising', 'meals'] },
    { line: '3.58', words: 'Legal and professional costs', uses: ['professional'] },
    { line: '3.59', words: 'Bad debts', uses: ['badDebts'] },
    { line: '3.60', words: 'Interest', kinds: ['financeCost'] },
    { line: '3.61', words: 'Other finance charges', uses: ['commissions', 'bank'] },
    { line: '3.62', words: 'Depreciation and loss or profit on sale', kinds: ['depreciation', 'gains'], uses: ['equipmentSold'] },
    { line: '3.63', words: 'Other expenses', kinds: ['operatingExpense', 'otherExpense', 'incomeTax'] },
    { line: '3.99', words: 'Plant, machinery and motor vehicles', kinds: ['propertyAndEquipment', 'accumulatedDepreciation'] },
    { line: '3.100', words: 'Other fixed assets', kinds: ['intangibleAsset', 'accumulatedAmortisation', 'longTermInvestment', 'loanGiven', 'otherNonCurrentAsset', 'leaseAsset'] },
    { line: '3.101', words: 'Stock and work in progress', kinds: ['inventory'] },
    { line: '3.102', words: 'Debtors, prepayments and other current assets', kinds: ['tradeReceivable', 'receivableAllowance', 'clearing', 'shortTermInvestment', 'otherReceivable', 'prepaidExpense', 'salesTaxRecoverable', 'otherCurrentAsset', 'restrictedCash', 'incomeTaxRecoverable'] },
    { line: '3.103', words: 'Bank and building society balances', kinds: ['bank'] },
    { line: '3.104', words: 'Cash in hand', kinds: ['cashOnHand'] },
    { line: '3.106', words: 'Trade creditors and accruals', kinds: ['tradePayable', 'accruedExpense'] },
    { line: '3.107', words: 'Loans and overdrawn bank accounts', kinds: ['cardPayable', 'shortTermBorrowing', 'longTermBorrowing'] },
    { line: '3.108', words: 'Other liabilities', kinds: ['payrollPayable', 'salesTaxPayable', 'incomeTaxPayable', 'deferredRevenue', 'dueToOwner', 'otherCurrentLiability', 'deferredTax', 'otherNonCurrentLiability', 'provision', 'leaseLiability'] },
    ...capitalAccount({ start: '3.111', result: '3.112', putIn: '3.113', takenOut: '3.114', end: '3.115' }),
  ],
}; // prettier-ignore
