import type { Country } from './country';
import type { StartingModule } from './starting-account';
import { ISLES_EXEMPT, ISLES_NON_PROFIT_TERMS, ISLES_TERMS, islesForms } from './the-isles';

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
  legalForms: islesForms('Directors’ remuneration'),
  exempt: ISLES_EXEMPT,
  returns: {},
  activityReturns: {},
  currency: 'EUR',
  paper: 'a4',
  dictionary: 'en-gb',
  dateOrder: 'dayFirst',
}; // prettier-ignore
