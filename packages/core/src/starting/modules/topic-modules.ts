import type { StartingModule, Topic } from '../../countries/starting-account';
import { DEPOSITS, STOCK } from './shared';
import { CARD_TAKINGS, VEHICLES } from './selling';

/** What an answer brings in where the trade itself has nothing of it. */
export const TOPIC_MODULES: Partial<Readonly<Record<Topic, StartingModule>>> = {
  stock: STOCK,
  tips: {
    name: 'Tips',
    accounts: [
      { slot: 'payrollDue', name: 'Tips payable', kind: 'payrollPayable', guidance: 'Tips collected for employees until paid to them. Not revenue.' },
    ],
  },
  deposits: DEPOSITS,
  vehicles: VEHICLES,
  foreignCurrency: {
    name: 'Foreign currency',
    accounts: [
      { slot: 'cash', name: 'Foreign currency account', kind: 'bank', guidance: 'The bank account kept in another currency. Choose the currency in its settings.' },
      { slot: 'otherIncome', name: 'Exchange gains', kind: 'gains', guidance: 'Won because a rate moved between the invoice and its payment, or by year end.' },
      { slot: 'otherCosts', name: 'Exchange losses', kind: 'otherExpense', guidance: 'Lost because a rate moved. Bank charges for changing money are bank charges.' },
    ],
  },
  donations: {
    name: 'Gifts',
    accounts: [
      { slot: 'otherSales', name: 'Donations', kind: 'grantsAndDonations', guidance: 'Given without anything in return.' },
      { slot: 'equity', name: 'Net assets with donor restrictions', kind: 'netAssetsWithRestrictions', guidance: 'Given for one purpose or a later time, until it is used so.' },
    ],
  },
}; // prettier-ignore

/** What processors and marketplaces that pay out need. */
export const PAYOUT_MODULE = CARD_TAKINGS;
