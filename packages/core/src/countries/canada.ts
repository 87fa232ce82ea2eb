import type { Country } from './country';
import { companyOf, EVERYWHERE, KEPT_AND_PAID, OWN_TAX, PLAIN_SHARES } from './equity';
import type { StartingAccount, StartingModule } from './starting-account';

const SHAREHOLDERS: readonly StartingAccount[] = [
  { slot: 'accrued', name: 'Due to shareholder', kind: 'dueToOwner', guidance: 'Lent by a shareholder, or paid by one for the company and to be given back.' },
]; // prettier-ignore

const SALES_TAX: StartingModule = {
  name: 'GST/HST',
  accounts: [
    { slot: 'prepaid', name: 'GST/HST recoverable', kind: 'salesTaxRecoverable', guidance: 'Input tax credits: GST and HST paid on purchases, which the CRA gives back.' },
    { slot: 'prepaid', name: 'QST recoverable', kind: 'salesTaxRecoverable', asked: 'provincialTax', guidance: 'Quebec sales tax paid on purchases, which Revenu Québec gives back.' },
    { slot: 'taxes', name: 'QST payable', kind: 'salesTaxPayable', asked: 'provincialTax', guidance: 'Quebec sales tax charged on sales there, owed to Revenu Québec.' },
    { slot: 'taxes', name: 'Provincial sales tax payable', kind: 'salesTaxPayable', asked: 'provincialTax', guidance: 'Charged in British Columbia, Saskatchewan and Manitoba. What is paid on purchases is part of their cost.' },
  ],
}; // prettier-ignore

const PAYROLL: StartingModule = {
  name: 'Payroll',
  accounts: [
    { slot: 'people', name: 'Workers’ compensation', kind: 'operatingExpense', use: 'insurance', asked: 'wages', guidance: 'Premiums to the board of the province, by payroll and sort of work.' },
  ],
}; // prettier-ignore

const COMPANY = companyOf('Corporation', PLAIN_SHARES, KEPT_AND_PAID, SHAREHOLDERS, OWN_TAX);

/** Canada. Sources: CRA, from memory; Excise Tax Act Schedule V for what is exempt, from memory; common practice. */
export const CANADA: Country = {
  spellings: [
    [/\b([Pp])rogramme(s?)\b/g, '$1rogram$2'],
    [/\b([Tt])yre(s?)\b/g, '$1ire$2'],
    [/\b([Aa])mortisation\b/g, '$1mortization'],
    [/\b([Ff])ertiliser\b/g, '$1ertilizer'],
    [/\b([Ee])nrolment\b/g, '$1nrollment'],
  ],
  terms: {
    'Sales tax payable': { name: 'GST/HST payable', guidance: 'GST and HST charged on sales, owed to the CRA. Never revenue.' },
    'Payroll taxes': { name: 'CPP and EI, employer’s share' },
    'Payroll taxes payable': { name: 'Source deductions payable', guidance: 'Withheld from wages, and the employer’s share, until paid to the CRA.' },
    'Income tax prepaid': { name: 'Income tax instalments', guidance: 'Paid ahead on this year’s profit, until they are set off.' },
  },
  nonProfitTerms: {
    Sales: { name: 'Revenue', guidance: 'What the organization lives on.' },
    'Cost of sales': { name: 'Program services', guidance: 'Spent on the purpose itself.' },
    Equity: { name: 'Net assets', guidance: 'Restricted and unrestricted.' },
    'Net assets without donor restrictions': { name: 'Unrestricted net assets' },
    'Net assets with donor restrictions': { name: 'Externally restricted net assets' },
  },
  modules: [SALES_TAX, PAYROLL],
  legalForms: {
    ...EVERYWHERE,
    corporation: COMPANY,
  },
  exempt: {
    health: 'Treatment is exempt from GST/HST: what is paid on purchases does not come back and is part of their cost.',
    education: 'Teaching and child care are exempt from GST/HST: what is paid on purchases does not come back and is part of their cost.',
    letting: 'Letting homes is exempt from GST/HST: what is paid on purchases does not come back and is part of their cost.',
  },
  returns: { soleOwner: 't2125', partnership: 't5013', limitedCompany: 'gifi', corporation: 'gifi' },
  activityReturns: { letting: { soleOwner: 't776' }, farming: { soleOwner: 't2042' } },
  currency: 'CAD',
  paper: 'letter',
  dictionary: 'en-ca',
  dateOrder: 'dayFirst',
}; // prettier-ignore
