import type { CountryCode } from '../countries';
import type { LegalForm } from '../../settings/legal-form';
import type { StartingModule } from '../starting-chart';

const SOLE_OWNER: StartingModule = {
  name: 'Sole owner',
  accounts: [
    { slot: 'equity', name: 'Owner’s capital', kind: 'ownersCapital', guidance: 'Put in by the owner.' },
    { slot: 'equity', name: 'Earnings kept from earlier years', kind: 'retainedEarnings', systemUse: 'retainedEarnings', guidance: 'Results of closed years left in the business.' },
    { slot: 'equity', name: 'Owner’s drawings', kind: 'drawings', guidance: 'Taken out for private use, the owner’s own tax included.' },
  ],
}; // prettier-ignore

const PARTNERSHIP: StartingModule = {
  name: 'Partnership',
  accounts: [
    { slot: 'equity', name: 'First partner’s capital', kind: 'ownersCapital', guidance: 'Put in by the first partner, and that partner’s share of results.' },
    { slot: 'equity', name: 'Second partner’s capital', kind: 'ownersCapital', guidance: 'Put in by the second partner, and that partner’s share of results.' },
    { slot: 'equity', name: 'Undivided earnings', kind: 'retainedEarnings', systemUse: 'retainedEarnings', guidance: 'Results of closed years not yet divided between the partners.' },
    { slot: 'equity', name: 'First partner’s drawings', kind: 'drawings', guidance: 'Taken out by the first partner.' },
    { slot: 'equity', name: 'Second partner’s drawings', kind: 'drawings', guidance: 'Taken out by the second partner.' },
  ],
}; // prettier-ignore

const CORPORATION: StartingModule = {
  name: 'Corporation',
  accounts: [
    { slot: 'equity', name: 'Share capital', kind: 'shareCapital', guidance: 'The nominal value of shares issued.' },
    { slot: 'equity', name: 'Additional paid-in capital', kind: 'additionalPaidInCapital', guidance: 'Paid for shares above their nominal value.' },
    { slot: 'equity', name: 'Retained earnings', kind: 'retainedEarnings', systemUse: 'retainedEarnings', guidance: 'Results of closed years kept in the company.' },
    { slot: 'equity', name: 'Dividends', kind: 'drawings', guidance: 'Paid to shareholders. Never an expense.' },
    { slot: 'taxes', name: 'Income tax payable', kind: 'incomeTaxPayable', guidance: 'Owed on the company’s profit.' },
    { slot: 'incomeTax', name: 'Income tax expense', kind: 'incomeTax', guidance: 'Tax on the company’s profit for the period.' },
  ],
}; // prettier-ignore

/** A company whose members are taxed on its profit themselves, as in the US. */
const MEMBERS_COMPANY: StartingModule = {
  name: 'Limited company of members',
  accounts: [
    { slot: 'equity', name: 'Members’ capital', kind: 'ownersCapital', guidance: 'Put in by the members, and their shares of results once divided.' },
    { slot: 'equity', name: 'Undivided earnings', kind: 'retainedEarnings', systemUse: 'retainedEarnings', guidance: 'Results of closed years not yet divided between the members.' },
    { slot: 'equity', name: 'Members’ distributions', kind: 'drawings', guidance: 'Paid out to members, their own tax included. Never an expense.' },
    { slot: 'people', name: 'Guaranteed payments to members', kind: 'operatingExpense', guidance: 'Agreed pay for a member’s work, whatever the result.' },
  ],
}; // prettier-ignore

/** A company that owes tax on its profit itself, as in the UK and Canada. */
const SHARES_COMPANY: StartingModule = {
  name: 'Limited company',
  accounts: [
    { slot: 'equity', name: 'Share capital', kind: 'shareCapital', guidance: 'The nominal value of shares issued.' },
    { slot: 'equity', name: 'Retained earnings', kind: 'retainedEarnings', systemUse: 'retainedEarnings', guidance: 'Results of closed years kept in the company.' },
    { slot: 'equity', name: 'Dividends', kind: 'drawings', guidance: 'Paid to shareholders. Never an expense.' },
    { slot: 'accrued', name: 'Director’s loan account', kind: 'dueToOwner', guidance: 'Owed to a director: private money spent for the company, less what was taken back.' },
    { slot: 'taxes', name: 'Income tax payable', kind: 'incomeTaxPayable', guidance: 'Owed on the company’s profit.' },
    { slot: 'incomeTax', name: 'Income tax expense', kind: 'incomeTax', guidance: 'Tax on the company’s profit for the period.' },
  ],
}; // prettier-ignore

const S_CORPORATION: StartingModule = {
  name: 'S corporation',
  accounts: [
    { slot: 'equity', name: 'Share capital', kind: 'shareCapital', guidance: 'The nominal value of shares issued.' },
    { slot: 'equity', name: 'Additional paid-in capital', kind: 'additionalPaidInCapital', guidance: 'Paid for shares above their nominal value.' },
    { slot: 'equity', name: 'Retained earnings', kind: 'retainedEarnings', systemUse: 'retainedEarnings', guidance: 'Results of closed years kept in the company; the shareholders were taxed on them.' },
    { slot: 'equity', name: 'Shareholders’ distributions', kind: 'drawings', guidance: 'Paid out of profit on which the shareholders are taxed. Never an expense.' },
    { slot: 'accrued', name: 'Loans from shareholders', kind: 'dueToOwner', guidance: 'Lent by shareholders, to be repaid.' },
    { slot: 'people', name: 'Officers’ compensation', kind: 'operatingExpense', guidance: 'Pay of shareholders who work in the company, apart from other wages.' },
  ],
}; // prettier-ignore

const NON_PROFIT: StartingModule = {
  name: 'Non-profit',
  accounts: [
    { slot: 'equity', name: 'Net assets without donor restrictions', kind: 'netAssetsWithoutRestrictions', guidance: 'What the board may use as it sees fit, set aside from earlier results.' },
    { slot: 'equity', name: 'Surplus of earlier years', kind: 'retainedEarnings', systemUse: 'retainedEarnings', guidance: 'Results of closed years that were not set aside.' },
    { slot: 'sales', name: 'Donations', kind: 'grantsAndDonations', guidance: 'Given without anything in return.' },
  ],
}; // prettier-ignore

/** The accounts that each legal form needs in equity, and for tax on its profit. */
export const legalFormModule = (form: LegalForm, country: CountryCode): StartingModule => {
  switch (form) {
    case 'soleOwner':
      return SOLE_OWNER;
    case 'partnership':
      return PARTNERSHIP;
    case 'corporation':
      return CORPORATION;
    case 'limitedCompany':
      return country === 'US' ? MEMBERS_COMPANY : SHARES_COMPANY;
    case 'sCorporation':
      return S_CORPORATION;
    case 'nonProfit':
      return NON_PROFIT;
  }
};
