import type { Kind } from './kind';

const liability = <const T extends Omit<Kind, 'element'>>(kind: T) =>
  ({ ...kind, element: 'liability' }) as const;

/** Kinds of liabilities, current ones first. */
export const LIABILITY_KINDS = {
  tradePayable: liability({
    name: 'Trade payables',
    shortName: 'Payable',
    sentence: 'What is owed to suppliers on their bills; each bill and payment is matched.',
    caption: 'tradePayables',
    cashFlow: 'operating',
    usual: { openItems: true, controls: 'payables' },
  }),
  cardPayable: liability({
    name: 'Card payable',
    shortName: 'Card',
    sentence: 'Spent on a credit or fuel card and not yet paid off.',
    caption: 'cardPayables',
    cashFlow: 'operating',
  }),
  payrollPayable: liability({
    name: 'Payroll payable',
    shortName: 'Payroll',
    sentence: 'Wages earned and not yet paid, and what is withheld from them.',
    caption: 'payrollPayables',
    cashFlow: 'operating',
  }),
  salesTaxPayable: liability({
    name: 'Sales tax payable',
    shortName: 'Tax',
    sentence: 'Tax charged to customers and owed to the tax office.',
    caption: 'salesTaxPayable',
    cashFlow: 'operating',
  }),
  incomeTaxPayable: liability({
    name: 'Income tax payable',
    shortName: 'Tax',
    sentence: 'Tax on profit owed for this year or earlier ones.',
    caption: 'incomeTaxPayable',
    cashFlow: 'operating',
  }),
  accruedExpense: liability({
    name: 'Accrued expenses',
    shortName: 'Accrued',
    sentence: 'Used and not yet billed: power, interest, duty, the year-end accounts.',
    caption: 'accruedExpenses',
    cashFlow: 'operating',
  }),
  provision: liability({
    name: 'Provision',
    shortName: 'Provision',
    sentence:
      'Likely to be paid, though when or how much is open: warranty work, a lawsuit, making good a rented place.',
    caption: 'provisions',
    cashFlow: 'operating',
  }),
  deferredRevenue: liability({
    name: 'Deferred revenue and customer deposits',
    shortName: 'Deferred',
    sentence: 'Paid by customers before delivery: deposits, gift vouchers, subscriptions.',
    caption: 'deferredRevenue',
    cashFlow: 'operating',
  }),
  shortTermBorrowing: liability({
    name: 'Short-term borrowings',
    shortName: 'Loan',
    sentence: 'To be repaid within a year: an overdraft, next year’s part of a loan.',
    caption: 'shortTermBorrowings',
    cashFlow: 'financing',
  }),
  dueToOwner: liability({
    name: 'Due to owners',
    shortName: 'To owners',
    sentence: 'Lent by an owner, or paid by one for the business and to be given back.',
    caption: 'dueToOwners',
    cashFlow: 'financing',
  }),
  otherCurrentLiability: liability({
    name: 'Other current liability',
    shortName: 'Other',
    sentence: 'To be settled within a year and fits nothing above.',
    caption: 'otherCurrentLiabilities',
    cashFlow: 'operating',
  }),
  longTermBorrowing: liability({
    name: 'Long-term borrowings',
    shortName: 'Loan',
    sentence: 'To be repaid after more than a year: a bank loan, a mortgage, hire purchase.',
    caption: 'longTermBorrowings',
    cashFlow: 'financing',
  }),
  leaseLiability: liability({
    name: 'Lease liability',
    shortName: 'Lease',
    sentence: 'Payments still to be made under a lease whose right of use is an asset.',
    caption: 'leaseLiabilities',
    cashFlow: 'financing',
  }),
  deferredTax: liability({
    name: 'Deferred tax',
    shortName: 'Tax',
    sentence: 'Tax that falls due later because books and tax return differ in time.',
    caption: 'deferredTax',
    cashFlow: 'operating',
  }),
  otherNonCurrentLiability: liability({
    name: 'Other non-current liability',
    shortName: 'Other',
    sentence: 'To be settled after more than a year and fits nothing above.',
    caption: 'otherNonCurrentLiabilities',
    cashFlow: 'financing',
  }),
} as const;
