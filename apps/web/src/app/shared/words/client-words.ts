import type { ClientAnswer, ClientNature } from '@iunctus/contract';
import {
  COUNTRIES,
  INDUSTRIES,
  type CountryCode,
  type IndustryCode,
  type LegalForm,
  type PayoutRecording,
  type Topic,
} from '@iunctus/core';

export const LEGAL_FORM_WORDS: Readonly<Record<LegalForm, string>> = {
  soleOwner: 'Sole owner',
  partnership: 'Partnership',
  limitedCompany: 'Limited company (LLC)',
  corporation: 'Corporation',
  sCorporation: 'S corporation',
  nonProfit: 'Non-profit',
};

export const COUNTRY_WORDS: Readonly<Record<CountryCode, string>> = {
  US: 'United States',
  GB: 'United Kingdom',
  CA: 'Canada',
};

/** What a client may have, as it is asked. */
export const TOPIC_WORDS: Readonly<Record<Topic, string>> = {
  stock: 'Stock of goods or materials',
  wages: 'Employees and wages',
  salesTax: 'Sales tax',
  tips: 'Tips',
  deposits: 'Deposits and prepayments by customers',
  vehicles: 'Vehicles',
  loans: 'Loans',
  fixedAssets: 'Equipment used for years',
  foreignCurrency: 'Foreign currency',
  donations: 'Donations and funds',
};

/** How takings that are paid out later are recorded, and what that needs. */
export const PAYOUT_WORDS: Readonly<Record<PayoutRecording, { name: string; sentence: string }>> = {
  none: { name: 'None', sentence: 'No cards, no marketplaces: customers pay the client itself.' },
  each: {
    name: 'At each payout',
    sentence: 'Sale and fee are recorded when the payout arrives: fee accounts, nothing held.',
  },
  monthly: {
    name: 'Monthly',
    sentence: 'From the monthly statement: an account for what is held, and one for fees.',
  },
};

/** The name of an industry, or that none was chosen. */
export const industryWords = (industry: IndustryCode | null): string =>
  industry === null ? 'Other trade' : INDUSTRIES[industry].name;

const countryWords = (country: string): string => {
  const known = COUNTRIES.find((code) => code === country);
  return known === undefined ? country : COUNTRY_WORDS[known];
};

/** What is kept of a client together with a proposal: only what is otherwise than it was. */
export const natureWords = (nature: ClientNature, client: ClientAnswer): string => {
  const parts = [
    ...(nature.industry === client.industry ? [] : [`trade ${industryWords(nature.industry)}`]),
    ...(nature.legalForm === client.legalForm
      ? []
      : [`legal form ${LEGAL_FORM_WORDS[nature.legalForm]}`]),
    ...(nature.country === client.country ? [] : [countryWords(nature.country)]),
  ];
  return `Also kept of ${client.name}: ${parts.join(', ')}.`;
};
