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

const LEGAL_FORM_WORDS: Readonly<Record<LegalForm, string>> = {
  soleOwner: $localize`Sole owner`,
  partnership: $localize`Partnership`,
  oneMemberCompany: $localize`LLC of one member`,
  limitedCompany: $localize`Limited company`,
  corporation: $localize`Corporation`,
  sCorporation: $localize`S corporation`,
  nonProfit: $localize`Non-profit`,
};

/** What a legal form is called elsewhere than in most countries. */
const LEGAL_FORM_WORDS_IN: Partial<
  Readonly<Record<string, Partial<Readonly<Record<LegalForm, string>>>>>
> = {
  US: { limitedCompany: $localize`LLC of several members` },
  GB: { corporation: $localize`Public company`, nonProfit: $localize`Charity or club` },
  IE: { corporation: $localize`Public company`, nonProfit: $localize`Charity or club` },
  AU: { limitedCompany: $localize`Company` },
  NZ: { limitedCompany: $localize`Company` },
};

/** What a legal form is called in a country. */
export const legalFormWords = (form: LegalForm, country: string): string =>
  LEGAL_FORM_WORDS_IN[country]?.[form] ?? LEGAL_FORM_WORDS[form];

export const COUNTRY_WORDS: Readonly<Record<CountryCode, string>> = {
  US: $localize`United States`,
  GB: $localize`United Kingdom`,
  CA: $localize`Canada`,
  IE: $localize`Ireland`,
  AU: $localize`Australia`,
  NZ: $localize`New Zealand`,
};

/** What a client may have, as it is asked. */
export const TOPIC_WORDS: Readonly<Record<Topic, string>> = {
  stock: $localize`Stock of goods or materials`,
  wages: $localize`Employees and wages`,
  salesTax: $localize`Sales tax`,
  provincialTax: $localize`Sales in Quebec, or where the province has its own tax`,
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
      : [$localize`legal form ${legalFormWords(nature.legalForm, nature.country)}`]),
    ...(nature.country === client.country ? [] : [countryWords(nature.country)]),
  ];
  return $localize`Also kept of ${client.name}:name:: ${parts.join(', ')}.`;
};
