import type { Country } from './country';
import { companyOf, EVERYWHERE, KEPT_AND_PAID, OWN_TAX, PLAIN_SHARES } from './equity';
import type { StartingAccount, StartingModule } from './starting-account';
import { ANTIPODES_NON_PROFIT_TERMS, ANTIPODES_TERMS } from './the-antipodes';

const SHAREHOLDERS: readonly StartingAccount[] = [
  { slot: 'accrued', name: 'Shareholder’s current account', kind: 'dueToOwner', guidance: 'Owed to a shareholder: salary left in, private money spent for the company, less what was taken.' },
  { slot: 'people', name: 'Shareholders’ salaries', kind: 'operatingExpense', use: 'wages', asked: 'wages', guidance: 'Pay of shareholders who work in the company, often set at year end.' },
]; // prettier-ignore

const LOCAL: StartingModule = {
  name: 'GST and levies',
  accounts: [
    { slot: 'prepaid', name: 'GST recoverable', kind: 'salesTaxRecoverable', guidance: 'GST paid on purchases, which Inland Revenue gives back.' },
    { slot: 'people', name: 'ACC levies', kind: 'operatingExpense', use: 'insurance', asked: 'wages', guidance: 'For accidents at work, by payroll and sort of work.' },
    { slot: 'premises', name: 'Rates', kind: 'operatingExpense', use: 'propertyTaxes', guidance: 'Council rates of the premises, where the lease passes them on.' },
  ],
}; // prettier-ignore

const COMPANY = companyOf('Company', PLAIN_SHARES, KEPT_AND_PAID, SHAREHOLDERS, OWN_TAX);

/** New Zealand. Sources: Inland Revenue, from memory; common practice. No form of a return is known: the general sheet serves. */
export const NEW_ZEALAND: Country = {
  spellings: [[/\b[Ss]ales tax\b/g, 'GST']],
  terms: {
    ...ANTIPODES_TERMS,
    'Sales tax payable': { name: 'GST payable', guidance: 'GST charged on sales, owed to Inland Revenue. Never revenue.' },
    'Pension contributions': { name: 'KiwiSaver contributions', guidance: 'The employer’s contributions to employees’ funds.' },
    'Payroll taxes': { name: 'Fringe benefit tax', guidance: 'On cars, loans and other benefits for employees.' },
    'Payroll taxes payable': { name: 'PAYE and KiwiSaver payable', guidance: 'Withheld from wages, and the employer’s contributions, until paid to Inland Revenue.' },
    'Income tax prepaid': { name: 'Provisional tax', guidance: 'Paid ahead on this year’s profit, until it is set off.' },
  },
  nonProfitTerms: {
    ...ANTIPODES_NON_PROFIT_TERMS,
    Equity: { name: 'Accumulated funds', guidance: 'What belongs to the organisation.' },
    'Net assets with donor restrictions': { name: 'Restricted reserves' },
    'Surplus of earlier years': { name: 'Accumulated surpluses' },
  },
  modules: [LOCAL],
  legalForms: {
    ...EVERYWHERE,
    limitedCompany: COMPANY,
  },
  exempt: {
    letting: 'Letting homes is exempt from GST: what is paid on purchases does not come back and is part of their cost.',
  },
  returns: {},
  activityReturns: {},
  currency: 'NZD',
  paper: 'a4',
  dictionary: 'en-au',
  dateOrder: 'dayFirst',
}; // prettier-ignore
