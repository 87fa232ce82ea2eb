import type { Country } from './country';
import {
  companyOf,
  KEPT_AND_PAID,
  NOMINAL_SHARES,
  NON_PROFIT,
  OWN_TAX,
  PARTNERSHIP,
  SOLE_OWNER,
} from './equity';
import type { StartingAccount, StartingModule } from './starting-account';
import { ISLES_NON_PROFIT_TERMS, ISLES_TERMS } from './words-of-the-isles';

const DIRECTORS: readonly StartingAccount[] = [
  { slot: 'accrued', name: 'Director’s loan account', kind: 'dueToOwner', guidance: 'Owed to a director: private money spent for the company, less what was taken back.' },
  { slot: 'people', name: 'Directors’ remuneration', kind: 'operatingExpense', use: 'wages', asked: 'wages', guidance: 'Salaries and fees of directors, shown by themselves in the accounts.' },
]; // prettier-ignore

const LOCAL: StartingModule = {
  name: 'VAT and rates',
  accounts: [
    { slot: 'prepaid', name: 'VAT recoverable', kind: 'salesTaxRecoverable', guidance: 'VAT paid on purchases, which Revenue gives back.' },
    { slot: 'payrollDue', name: 'Pension contributions payable', kind: 'payrollPayable', guidance: 'Withheld from wages, and the employer’s share, until paid to the pension provider.' },
    { slot: 'premises', name: 'Commercial rates', kind: 'operatingExpense', use: 'propertyTaxes', guidance: 'Paid to the local authority for the premises, whoever owns them.' },
  ],
}; // prettier-ignore

/** Ireland. Sources: Revenue, from memory; common practice. No form of a return is known: the general sheet serves. */
export const IRELAND: Country = {
  spellings: [[/\b[Ss]ales tax\b/g, 'VAT']],
  terms: {
    ...ISLES_TERMS,
    'Sales tax payable': { name: 'VAT payable', guidance: 'VAT charged on sales, owed to Revenue. Never turnover.' },
    'Payroll taxes': { name: 'Employer’s PRSI' },
    'Payroll taxes payable': { name: 'PAYE, PRSI and USC payable', guidance: 'Withheld from wages, and the employer’s share, until paid to Revenue.' },
    'Income tax prepaid': { name: 'Preliminary tax paid', guidance: 'Corporation tax paid ahead of the return, until it is set off.' },
    'Property taxes': { name: 'Local property tax and rates' },
    'Clergy and leaders': { name: 'Clergy and leaders', guidance: 'Stipends and housing.' },
  },
  nonProfitTerms: ISLES_NON_PROFIT_TERMS,
  modules: [LOCAL],
  legalForms: {
    soleOwner: SOLE_OWNER,
    partnership: PARTNERSHIP,
    limitedCompany: companyOf('Limited company', NOMINAL_SHARES, KEPT_AND_PAID, DIRECTORS, OWN_TAX),
    corporation: companyOf('Public company', NOMINAL_SHARES, KEPT_AND_PAID, DIRECTORS, OWN_TAX),
    nonProfit: NON_PROFIT,
  },
  exempt: {
    health: 'Treatment is exempt from VAT: VAT on purchases does not come back and is part of their cost.',
    education: 'Teaching and child care are exempt from VAT: VAT on purchases does not come back and is part of their cost.',
    letting: 'Letting homes is exempt from VAT: VAT on purchases does not come back and is part of their cost.',
  },
  returns: {},
  activityReturns: {},
  currency: 'EUR',
  paper: 'a4',
  dateOrder: 'dayFirst',
}; // prettier-ignore
