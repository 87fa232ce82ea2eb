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
  soleOwner: $localize`Sole owner`,
  partnership: $localize`Partnership`,
  limitedCompany: $localize`Limited company (LLC)`,
  corporation: $localize`Corporation`,
  sCorporation: $localize`S corporation`,
  nonProfit: $localize`Non-profit`,
};

export const COUNTRY_WORDS: Readonly<Record<CountryCode, string>> = {
  US: $localize`United States`,
  GB: $localize`United Kingdom`,
  CA: $localize`Canada`,
};

/** What a client may have, as it is asked. */
export const TOPIC_WORDS: Readonly<Record<Topic, string>> = {
  stock: $localize`Stock of goods or materials`,
  wages: $localize`Employees and wages`,
  salesTax: $localize`Sales tax`,
  tips: $localize`Tips`,
  deposits: $localize`Deposits and prepayments by customers`,
  vehicles: $localize`Vehicles`,
  loans: $localize`Loans`,
  fixedAssets: $localize`Equipment used for years`,
  foreignCurrency: $localize`Foreign currency`,
  donations: $localize`Donations and funds`,
};

/** How takings that are paid out later are recorded, and what that needs. */
export const PAYOUT_WORDS: Readonly<Record<PayoutRecording, { name: string; sentence: string }>> = {
  none: {
    name: $localize`None`,
    sentence: $localize`No cards, no marketplaces: customers pay the client itself.`,
  },
  each: {
    name: $localize`At each payout`,
    sentence: $localize`Sale and fee are recorded when the payout arrives: fee accounts, nothing held.`,
  },
  monthly: {
    name: $localize`Monthly`,
    sentence: $localize`From the monthly statement: an account for what is held, and one for fees.`,
  },
};

/** The name of an industry, or that none was chosen. */
export const industryWords = (industry: IndustryCode | null): string =>
  industry === null ? $localize`Other trade` : INDUSTRIES[industry].name;

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
      : [$localize`legal form ${LEGAL_FORM_WORDS[nature.legalForm]}`]),
    ...(nature.country === client.country ? [] : [countryWords(nature.country)]),
  ];
  return $localize`Also kept of ${client.name}:name:: ${parts.join(', ')}.`;
};
