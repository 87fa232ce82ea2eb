import type { Country } from './country';
import type { StartingModule } from './starting-account';
import { ISLES_EXEMPT, ISLES_NON_PROFIT_TERMS, ISLES_TERMS, islesForms } from './the-isles';

const VAT: StartingModule = {
  name: 'VAT',
  accounts: [
    { slot: 'prepaid', name: 'VAT recoverable', kind: 'salesTaxRecoverable', guidance: 'VAT paid on purchases, which HMRC gives back.' },
  ],
}; // prettier-ignore

const PAYROLL: StartingModule = {
  name: 'Payroll',
  accounts: [
    { slot: 'payrollDue', name: 'Pension contributions payable', kind: 'payrollPayable', guidance: 'Withheld from wages, and the employer’s share, until paid to the pension provider.' },
  ],
}; // prettier-ignore

const PREMISES: StartingModule = {
  name: 'Premises',
  accounts: [
    { slot: 'premises', name: 'Business rates', kind: 'operatingExpense', use: 'propertyTaxes', guidance: 'Paid to the council for the premises, whoever owns them.' },
  ],
}; // prettier-ignore

/** The United Kingdom. Sources: HMRC, from memory; VAT Act 1994 Schedule 9 for what is exempt, from memory; common practice. */
export const UNITED_KINGDOM: Country = {
  spellings: [[/\b[Ss]ales tax\b/g, 'VAT']],
  terms: {
    ...ISLES_TERMS,
    'Sales tax payable': { name: 'VAT payable', guidance: 'VAT charged on sales, owed to HMRC. Never turnover.' },
    'Payroll taxes': { name: 'Employer’s National Insurance' },
    'Payroll taxes payable': { name: 'PAYE and National Insurance payable', guidance: 'Withheld from wages, and the employer’s share, until paid to HMRC.' },
    'Property taxes': { name: 'Council tax and rates on let property' },
    'Clergy and leaders': { name: 'Clergy and leaders', guidance: 'Stipends and housing.' },
  },
  nonProfitTerms: ISLES_NON_PROFIT_TERMS,
  modules: [VAT, PAYROLL, PREMISES],
  legalForms: islesForms('Directors’ pay'),
  exempt: ISLES_EXEMPT,
  returns: {
    soleOwner: 'sa103f',
    partnership: 'sa800',
    limitedCompany: 'companyAccounts',
    corporation: 'companyAccounts',
  },
  activityReturns: { letting: { soleOwner: 'sa105' } },
  currency: 'GBP',
  paper: 'a4',
  dictionary: 'en-gb',
  dateOrder: 'dayFirst',
}; // prettier-ignore
