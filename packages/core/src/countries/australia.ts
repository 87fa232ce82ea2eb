import type { Country } from './country';
import { companyOf, EVERYWHERE, KEPT_AND_PAID, OWN_TAX, PLAIN_SHARES } from './equity';
import type { StartingAccount, StartingModule } from './starting-account';
import { ANTIPODES_NON_PROFIT_TERMS, ANTIPODES_TERMS } from './the-antipodes';

const DIRECTORS: readonly StartingAccount[] = [
  { slot: 'accrued', name: 'Loans from directors', kind: 'dueToOwner', guidance: 'Lent by a director or shareholder, or paid by one for the company.' },
  { slot: 'people', name: 'Directors’ fees', kind: 'operatingExpense', use: 'wages', asked: 'wages', guidance: 'Paid to directors for their office. Dividends are none.' },
]; // prettier-ignore

const LOCAL: StartingModule = {
  name: 'GST and super',
  accounts: [
    { slot: 'prepaid', name: 'GST paid', kind: 'salesTaxRecoverable', guidance: 'GST on purchases, set off on the activity statement.' },
    { slot: 'payrollDue', name: 'Superannuation payable', kind: 'payrollPayable', guidance: 'The employer’s contributions until paid to the funds.' },
    { slot: 'people', name: 'Workers’ compensation', kind: 'operatingExpense', use: 'insurance', asked: 'wages', guidance: 'Premiums for accidents at work, by payroll and sort of work.' },
    { slot: 'premises', name: 'Rates', kind: 'operatingExpense', use: 'propertyTaxes', guidance: 'Council and water rates of the premises, where the lease passes them on.' },
  ],
}; // prettier-ignore

const COMPANY = companyOf('Company', PLAIN_SHARES, KEPT_AND_PAID, DIRECTORS, OWN_TAX);

/** Australia. Sources: ATO, from memory; common practice. No form of a return is known: the general sheet serves. */
export const AUSTRALIA: Country = {
  spellings: [
    [/\b([Pp])rogramme(s?)\b/g, '$1rogram$2'],
    [/\b[Ss]ales tax\b/g, 'GST'],
  ],
  terms: {
    ...ANTIPODES_TERMS,
    'Sales tax payable': { name: 'GST collected', guidance: 'GST charged on sales, owed on the activity statement. Never revenue.' },
    'Pension contributions': { name: 'Superannuation', guidance: 'The employer’s contributions to employees’ funds.' },
    'Payroll taxes': { name: 'Payroll tax', guidance: 'State tax on wages, where they are above its threshold.' },
    'Payroll taxes payable': { name: 'PAYG withholding payable', guidance: 'Withheld from wages until paid on the activity statement.' },
    'Income tax prepaid': { name: 'PAYG instalments', guidance: 'Paid ahead on this year’s profit, until they are set off.' },
  },
  nonProfitTerms: {
    ...ANTIPODES_NON_PROFIT_TERMS,
    Equity: { name: 'Members’ funds', guidance: 'What belongs to the organisation.' },
    'Net assets with donor restrictions': { name: 'Restricted funds' },
    'Surplus of earlier years': { name: 'Accumulated surplus' },
  },
  modules: [LOCAL],
  legalForms: {
    ...EVERYWHERE,
    limitedCompany: COMPANY,
  },
  exempt: {
    letting: 'Letting homes is input taxed: GST on purchases does not come back and is part of their cost.',
  },
  returns: {},
  activityReturns: {},
  currency: 'AUD',
  paper: 'a4',
  dictionary: 'en-au',
  dateOrder: 'dayFirst',
}; // prettier-ignore
