import { companyOf, EVERYWHERE, KEPT_AND_PAID, NOMINAL_SHARES, OWN_TAX } from './equity';
import type { Country, Term } from './country';
import type { StartingAccount, StartingModule } from './starting-account';

/** What accounts are called in the United Kingdom and Ireland. Common practice, no source. */
export const ISLES_TERMS: Readonly<Partial<Record<string, Term>>> = {
  Receivables: { name: 'Debtors' },
  Inventory: { name: 'Stock' },
  'Prepaid and recoverable': { name: 'Prepayments and tax recoverable' },
  'Property and equipment': { name: 'Fixed assets' },
  Payables: { name: 'Creditors' },
  'Accrued and deferred': { name: 'Accruals and deferred income' },
  'Other revenue': { name: 'Other income from trading' },
  'Trade receivables': { name: 'Trade debtors' },
  'Allowance for doubtful receivables': { name: 'Provision for doubtful debts' },
  'Trade payables': { name: 'Trade creditors' },
  'Prepaid insurance': { name: 'Insurance prepaid' },
  'Other prepaid expenses': { name: 'Other prepayments' },
  'Accrued expenses': { name: 'Accruals' },
  'Operating account': { name: 'Current account' },
  'Furniture and computers': { name: 'Fixtures, fittings and computers' },
  Vehicles: { name: 'Motor vehicles' },
  'Contract labour': { name: 'Casual labour and subcontractors' },
  'Meals and entertainment': { name: 'Entertaining', guidance: 'Guests and customers. Kept apart, as it is not deducted from the taxed profit; meals on journeys are travel.' },
  'Retentions receivable': { name: 'Retentions held by customers' },
  'Retentions payable': { name: 'Retentions held from subcontractors' },
  'Pledges receivable': { name: 'Pledges due' },
  'Retained earnings': { name: 'Retained profits' },
  'Additional paid-in capital': { name: 'Share premium' },
  'Property taxes': { name: 'Rates on let property' },
  'Tax reserve account': { name: 'Tax savings account' },
  'Cash over and short': { name: 'Till differences' },
  'Trucks and trailers': { name: 'Lorries and trailers' },
  'Truck insurance': { name: 'Lorry insurance' },
  'Truck repairs and tyres': { name: 'Lorry repairs and tyres' },
  'Permits and road taxes': { name: 'Road tax and operator licence', guidance: 'Vehicle tax, plates, the operator’s licence.' },
  Freight: { name: 'Haulage' },
  'Owed by brokers': { name: 'Owed by freight forwarders', guidance: 'Loads delivered and not yet paid by the forwarder.' },
  'Client trust account': { name: 'Client account' },
  'Client funds held in trust': { name: 'Client money held', guidance: 'Owed to clients, and equal to the client account.' },
  'Costs advanced for clients': { name: 'Disbursements for clients' },
  'Outside counsel and experts': { name: 'Counsel and experts' },
  'Research and bar dues': { name: 'Research and practising certificates' },
  'Malpractice insurance': { name: 'Professional indemnity insurance' },
  'Professional liability insurance': { name: 'Professional indemnity insurance' },
  'Land rent': { name: 'Grazing and land rent' },
  'Agricultural programme payments': { name: 'Farm subsidies' },
  'Custom work': { name: 'Contracting for other farms' },
  'Income tax payable': { name: 'Corporation tax payable', guidance: 'Owed on the company’s profit.' },
  'Income tax expense': { name: 'Corporation tax', guidance: 'Tax on the company’s profit for the period.' },
  'Income tax prepaid': { name: 'Corporation tax recoverable' },
}; // prettier-ignore

/** What charities and clubs there call it: they neither sell nor make a profit. Common practice, no source. */
export const ISLES_NON_PROFIT_TERMS: Readonly<Partial<Record<string, Term>>> = {
  Sales: { name: 'Income', guidance: 'What the charity or club lives on.' },
  'Other revenue': { name: 'Other income from activities' },
  'Cost of sales': { name: 'Expenditure on activities', guidance: 'Spent on the purpose itself.' },
  'Marketing and selling': { name: 'Raising funds and publicity', guidance: 'Spent to be known and to raise funds.' },
  Equity: { name: 'Funds', guidance: 'Restricted and unrestricted.' },
  'Net assets without donor restrictions': { name: 'Designated funds', guidance: 'Unrestricted funds that the trustees set aside for a purpose of their own.' },
  'Net assets with donor restrictions': { name: 'Restricted funds' },
  'Surplus of earlier years': { name: 'General fund', guidance: 'Unrestricted: what earlier years left over and nobody set aside.' },
}; // prettier-ignore

/** Companies with their directors: what they are paid is shown by itself in the accounts. */
export const islesForms = (payOfDirectors: string): Country['legalForms'] => {
  const directors: readonly StartingAccount[] = [
    { slot: 'accrued', name: 'Director’s loan account', kind: 'dueToOwner', guidance: 'Owed to a director: private money spent for the company, less what was taken back.' },
    { slot: 'people', name: payOfDirectors, kind: 'operatingExpense', use: 'wages', asked: 'wages', guidance: 'Salaries of directors, shown by themselves in the accounts. Dividends are none.' },
  ]; // prettier-ignore
  const company = (name: string): StartingModule =>
    companyOf(name, NOMINAL_SHARES, KEPT_AND_PAID, directors, OWN_TAX);
  return {
    ...EVERYWHERE,
    limitedCompany: company('Limited company'),
    corporation: company('Public company'),
  };
};

/** What is exempt from VAT there: VAT on purchases does not come back. */
export const ISLES_EXEMPT: Country['exempt'] = {
  health: 'Treatment is exempt from VAT: VAT on purchases does not come back and is part of their cost.',
  education: 'Teaching and child care are exempt from VAT: VAT on purchases does not come back and is part of their cost.',
  letting: 'Letting homes is exempt from VAT: VAT on purchases does not come back and is part of their cost.',
}; // prettier-ignore
