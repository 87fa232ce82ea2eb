import type { StartingModule } from '../../countries/starting-account';
import type { Industry } from '../starting-chart';
import { CARD_TAKINGS, COUNTER } from './selling';
import { DEPOSITS, PRACTICE, SIDE_GOODS } from './shared';

const feesOf = (name: string, guidance: string): StartingModule => ({
  name: 'Fees',
  accounts: [{ slot: 'sales', name, kind: 'services', guidance }],
});

const CHAIRS: StartingModule = {
  name: 'Salon',
  accounts: [
    { slot: 'equipment', name: 'Salon equipment', kind: 'propertyAndEquipment', guidance: 'Chairs, basins, dryers.' },
    { slot: 'sales', name: 'Salon services', kind: 'services', guidance: 'Cuts, colour, treatments, without tips.' },
    { slot: 'otherSales', name: 'Chair rent', kind: 'otherOperatingRevenue', guidance: 'Paid by the self-employed for a chair.' },
    { slot: 'cost', name: 'Salon supplies', kind: 'costOfSales', use: 'materials', guidance: 'Used up in services: colour, wax, towels.' },
    { slot: 'cost', name: 'Stylists’ pay', kind: 'costOfSales', use: 'directWages', guidance: 'Wages and commissions of those who serve.' },
  ],
}; // prettier-ignore

const DENTAL: StartingModule = {
  name: 'Dental work',
  accounts: [
    { slot: 'cost', name: 'Laboratory fees', kind: 'costOfSales', use: 'otherDirect', guidance: 'Crowns, bridges, dentures made outside.' },
    { slot: 'cost', name: 'Associates’ pay', kind: 'costOfSales', use: 'directContractors', guidance: 'Dentists paid by what they treat.' },
  ],
}; // prettier-ignore

const ANIMALS: StartingModule = {
  name: 'Animal care',
  accounts: [
    { slot: 'sales', name: 'Boarding and grooming', kind: 'services', guidance: 'Animals kept or groomed.' },
    { slot: 'cost', name: 'Drugs and vaccines', kind: 'costOfSales', use: 'materials', guidance: 'Used in treatment or dispensed.' },
    { slot: 'cost', name: 'Laboratory and cremation', kind: 'costOfSales', use: 'otherDirect', guidance: 'Done by others.' },
  ],
}; // prettier-ignore

const LAW: StartingModule = {
  name: 'Law office',
  accounts: [
    { slot: 'cash', name: 'Client trust account', kind: 'restrictedCash', guidance: 'Clients’ money, never the office’s own. It equals what is owed to clients.' },
    { slot: 'payables', name: 'Client funds held in trust', kind: 'otherCurrentLiability', guidance: 'Owed to clients, and equal to the trust account.' },
    { slot: 'receivables', name: 'Costs advanced for clients', kind: 'otherReceivable', guidance: 'Court fees and outlays to be billed on.' },
    { slot: 'sales', name: 'Legal fees', kind: 'services', guidance: 'By the hour, fixed or contingent, once earned.' },
    { slot: 'cost', name: 'Outside counsel and experts', kind: 'costOfSales', use: 'directContractors', guidance: 'On clients’ matters.' },
    { slot: 'office', name: 'Research and bar dues', kind: 'operatingExpense', guidance: 'Databases, books, memberships.' },
  ],
}; // prettier-ignore

const SOFTWARE: StartingModule = {
  name: 'Software',
  accounts: [
    { slot: 'accrued', name: 'Subscriptions billed in advance', kind: 'deferredRevenue', guidance: 'Licences and service for months to come; revenue month by month.' },
    { slot: 'longTerm', name: 'Software developed', kind: 'intangibleAsset', guidance: 'Where development is capitalised.' },
    { slot: 'longTerm', name: 'Accumulated amortisation', kind: 'accumulatedAmortisation', guidance: 'The part of its cost used up so far.' },
    { slot: 'wear', name: 'Amortisation of software', kind: 'depreciation', use: 'softwareWear', guidance: 'This period’s part of the cost of software developed.' },
    { slot: 'sales', name: 'Subscriptions', kind: 'services', guidance: 'The part of customers’ subscriptions that belongs to this period.' },
    { slot: 'sales', name: 'Set-up and services', kind: 'services', guidance: 'Implementation, training, custom work.' },
    { slot: 'cost', name: 'Hosting', kind: 'costOfSales', use: 'otherDirect', guidance: 'Servers and storage that customers use.' },
    { slot: 'cost', name: 'Payment and app store fees', kind: 'costOfSales', use: 'otherDirect', guidance: 'Kept by processors and stores.' },
    { slot: 'cost', name: 'Support wages', kind: 'costOfSales', use: 'directWages', guidance: 'Pay of those who help customers.' },
    { slot: 'people', name: 'Development wages', kind: 'operatingExpense', use: 'wages', guidance: 'Pay of those who build the product.' },
    { slot: 'office', name: 'Development tools', kind: 'operatingExpense', use: 'office', guidance: 'Licences and services for building.' },
  ],
}; // prettier-ignore

const CAMPAIGNS: StartingModule = {
  name: 'Agency work',
  accounts: [
    { slot: 'receivables', name: 'Media costs to be billed', kind: 'otherReceivable', guidance: 'Bought for clients and not yet billed. It is no money held for them.' },
    { slot: 'cash', name: 'Client media funds', kind: 'restrictedCash', guidance: 'Paid ahead by clients for media, and not the agency’s own.' },
    { slot: 'payables', name: 'Client media funds held', kind: 'otherCurrentLiability', guidance: 'Owed to clients until their media are paid, and equal to the funds.' },
    { slot: 'sales', name: 'Agency fees', kind: 'services', guidance: 'Concept, design, management.' },
    { slot: 'sales', name: 'Media and production billed', kind: 'services', guidance: 'Bought in and billed on.' },
    { slot: 'cost', name: 'Media bought', kind: 'costOfSales', use: 'otherDirect', guidance: 'Space and time for clients.' },
    { slot: 'cost', name: 'Freelancers', kind: 'costOfSales', use: 'directContractors', guidance: 'On clients’ work.' },
    { slot: 'cost', name: 'Production', kind: 'costOfSales', use: 'otherDirect', guidance: 'Print, film, photographs for clients.' },
  ],
}; // prettier-ignore

/** A salon. */
export const SALON: Industry = {
  name: 'Salon or spa',
  sentence: 'Cuts, colours and treats, with tips, products and perhaps rented chairs.',
  naics: ['8121'],
  words: 'hairdresser barber nails beauty spa massage tattoo',
  modules: [COUNTER, CARD_TAKINGS, CHAIRS, SIDE_GOODS],
};

/** A clinic. */
export const CLINIC: Industry = {
  name: 'Clinic',
  sentence: 'Treats patients and bills them or their insurers.',
  naics: ['621', '623'],
  words: 'doctor physician therapist physiotherapy chiropractor counselling home care nurse',
  modules: [PRACTICE, feesOf('Patient fees', 'Treatment billed, before what insurers do not allow.'), CARD_TAKINGS],
}; // prettier-ignore

/** A dentist. */
export const DENTIST: Industry = {
  name: 'Dentist',
  sentence: 'Treats teeth, with a laboratory outside and insurers who pay part.',
  naics: ['6212'],
  words: 'dentist dental orthodontist hygienist',
  modules: [PRACTICE, feesOf('Dental fees', 'Treatment of teeth billed, before what insurers do not allow.'), DENTAL, CARD_TAKINGS],
}; // prettier-ignore

/** A veterinary practice. */
export const VET: Industry = {
  name: 'Veterinary practice',
  sentence: 'Treats animals, dispenses drugs, boards and grooms.',
  naics: ['54194'],
  words: 'vet veterinary animal hospital pets',
  modules: [PRACTICE, feesOf('Veterinary fees', 'Treatment billed.'), ANIMALS, SIDE_GOODS, CARD_TAKINGS],
}; // prettier-ignore

/** A law office. */
export const LAWYER: Industry = {
  name: 'Law office',
  sentence: 'Advises and represents, and holds clients’ money in trust.',
  naics: ['5411'],
  words: 'lawyer attorney solicitor notary legal',
  modules: [LAW],
};

/** A maker of software. */
export const SOFTWARE_MAKER: Industry = {
  name: 'Software maker',
  sentence: 'Builds software and sells it by subscription or licence.',
  naics: ['5112', '518', '5415'],
  words: 'software app saas developer startup web hosting it',
  modules: [SOFTWARE],
};

/** An agency. */
export const AGENCY: Industry = {
  name: 'Agency',
  sentence: 'Designs and runs campaigns for clients, and buys media for them.',
  naics: ['5418', '5414', '512', '7113'],
  words: 'advertising marketing design agency public relations media film photography studio',
  modules: [CAMPAIGNS, DEPOSITS],
};
