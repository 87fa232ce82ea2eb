import type { LegalForm } from './legal-form';
import type { StartingAccount, StartingModule } from './starting-account';

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

const NON_PROFIT: StartingModule = {
  name: 'Non-profit',
  accounts: [
    { slot: 'equity', name: 'Net assets without donor restrictions', kind: 'netAssetsWithoutRestrictions', guidance: 'What the board may use as it sees fit, set aside from earlier results.' },
    { slot: 'equity', name: 'Surplus of earlier years', kind: 'retainedEarnings', systemUse: 'retainedEarnings', guidance: 'Results of closed years that were not set aside.' },
    { slot: 'sales', name: 'Donations', kind: 'grantsAndDonations', guidance: 'Given without anything in return.' },
  ],
}; // prettier-ignore

/** The legal forms that there are everywhere. */
export const EVERYWHERE = {
  soleOwner: SOLE_OWNER,
  partnership: PARTNERSHIP,
  nonProfit: NON_PROFIT,
} as const satisfies Partial<Record<LegalForm, StartingModule>>;

/** Results that a company keeps, and what it pays of them to its shareholders. */
export const KEPT_AND_PAID: readonly StartingAccount[] = [
  { slot: 'equity', name: 'Retained earnings', kind: 'retainedEarnings', systemUse: 'retainedEarnings', guidance: 'Results of closed years kept in the company.' },
  { slot: 'equity', name: 'Dividends', kind: 'drawings', guidance: 'Paid to shareholders. Never an expense.' },
]; // prettier-ignore

/** Tax that a company owes on its own profit. */
export const OWN_TAX: readonly StartingAccount[] = [
  { slot: 'prepaid', name: 'Income tax prepaid', kind: 'incomeTaxRecoverable', guidance: 'Paid ahead on this year’s profit, or too much for an earlier one, until it is set off.' },
  { slot: 'taxes', name: 'Income tax payable', kind: 'incomeTaxPayable', guidance: 'Owed on the company’s profit.' },
  { slot: 'incomeTax', name: 'Income tax expense', kind: 'incomeTax', guidance: 'Tax on the company’s profit for the period.' },
]; // prettier-ignore

/** Shares with a nominal value, and what is paid above it. */
export const NOMINAL_SHARES: readonly StartingAccount[] = [
  { slot: 'equity', name: 'Share capital', kind: 'shareCapital', guidance: 'The nominal value of shares issued.' },
  { slot: 'equity', name: 'Additional paid-in capital', kind: 'additionalPaidInCapital', guidance: 'Paid for shares above their nominal value.' },
]; // prettier-ignore

/** Shares without a nominal value: all that was paid for them is their capital. */
export const PLAIN_SHARES: readonly StartingAccount[] = [
  { slot: 'equity', name: 'Share capital', kind: 'shareCapital', guidance: 'All that was paid for the shares: they have no nominal value.' },
]; // prettier-ignore

/** A company whose accounts differ by country only in what is given. */
export const companyOf = (
  name: string,
  ...accounts: readonly (readonly StartingAccount[])[]
): StartingModule => ({ name, accounts: accounts.flat() });
