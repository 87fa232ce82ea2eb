import type { LegalForm, StartingModule } from '../starting-chart';

/** The accounts that each legal form needs in equity, and for tax on its profit. */
export const LEGAL_FORM_MODULES: Readonly<Record<LegalForm, StartingModule>> = {
  soleOwner: {
    name: 'Sole owner',
    accounts: [
      { slot: 'equity', name: 'Owner’s capital', kind: 'ownersCapital', guidance: 'Put in by the owner.' },
      { slot: 'equity', name: 'Earnings kept from earlier years', kind: 'retainedEarnings', systemUse: 'retainedEarnings', guidance: 'Results of closed years left in the business.' },
      { slot: 'equity', name: 'Owner’s drawings', kind: 'drawings', guidance: 'Taken out for private use, the owner’s own tax included.' },
    ],
  },
  partnership: {
    name: 'Partnership',
    accounts: [
      { slot: 'equity', name: 'First partner’s capital', kind: 'ownersCapital', guidance: 'Put in by the first partner, and that partner’s share of results.' },
      { slot: 'equity', name: 'Second partner’s capital', kind: 'ownersCapital', guidance: 'Put in by the second partner, and that partner’s share of results.' },
      { slot: 'equity', name: 'Undivided earnings', kind: 'retainedEarnings', systemUse: 'retainedEarnings', guidance: 'Results of closed years not yet divided between the partners.' },
      { slot: 'equity', name: 'First partner’s drawings', kind: 'drawings', guidance: 'Taken out by the first partner.' },
      { slot: 'equity', name: 'Second partner’s drawings', kind: 'drawings', guidance: 'Taken out by the second partner.' },
    ],
  },
  corporation: {
    name: 'Corporation',
    accounts: [
      { slot: 'equity', name: 'Share capital', kind: 'shareCapital', guidance: 'The nominal value of shares issued.' },
      { slot: 'equity', name: 'Additional paid-in capital', kind: 'additionalPaidInCapital', guidance: 'Paid for shares above their nominal value.' },
      { slot: 'equity', name: 'Retained earnings', kind: 'retainedEarnings', systemUse: 'retainedEarnings', guidance: 'Results of closed years kept in the company.' },
      { slot: 'equity', name: 'Dividends', kind: 'drawings', guidance: 'Paid to shareholders. Never an expense.' },
      { slot: 'taxes', name: 'Income tax payable', kind: 'incomeTaxPayable', guidance: 'Owed on the company’s profit.' },
      { slot: 'incomeTax', name: 'Income tax expense', kind: 'incomeTax', guidance: 'Tax on the company’s profit for the period.' },
    ],
  },
}; // prettier-ignore
