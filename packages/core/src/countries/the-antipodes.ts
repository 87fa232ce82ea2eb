import type { Term } from './country';

/** What accounts are called in Australia and New Zealand alike. Common practice, no source. */
export const ANTIPODES_TERMS: Readonly<Partial<Record<string, Term>>> = {
  Inventory: { name: 'Stock' },
  Receivables: { name: 'Debtors' },
  Payables: { name: 'Creditors' },
  'Trade receivables': { name: 'Trade debtors' },
  'Allowance for doubtful receivables': { name: 'Provision for doubtful debts' },
  'Trade payables': { name: 'Trade creditors' },
  'Prepaid insurance': { name: 'Insurance prepaid' },
  'Other prepaid expenses': { name: 'Other prepayments' },
  Vehicles: { name: 'Motor vehicles' },
  'Contract labour': { name: 'Contractors' },
  'Retained earnings': { name: 'Retained profits' },
  'Property taxes': { name: 'Rates on let property' },
  'Client funds held in trust': { name: 'Trust money held', guidance: 'Owed to clients, and equal to the trust account.' },
  'Costs advanced for clients': { name: 'Disbursements for clients' },
  'Research and bar dues': { name: 'Research and practising certificates' },
  'Malpractice insurance': { name: 'Professional indemnity insurance' },
  'Professional liability insurance': { name: 'Professional indemnity insurance' },
}; // prettier-ignore

/** What clubs and charities there call it. Common practice, no source. */
export const ANTIPODES_NON_PROFIT_TERMS: Readonly<Partial<Record<string, Term>>> = {
  Sales: { name: 'Income', guidance: 'What the organisation lives on.' },
  'Cost of sales': { name: 'Costs of activities', guidance: 'Spent on the purpose itself.' },
  'Net assets without donor restrictions': { name: 'General funds' },
};
