import { INDUSTRIES, type IndustryCode, type LegalForm } from '@iunctus/core';

export const LEGAL_FORM_WORDS: Readonly<Record<LegalForm, string>> = {
  soleOwner: 'Sole owner',
  partnership: 'Partnership',
  corporation: 'Corporation',
};

/** The name of an industry, or that none was chosen. */
export const industryWords = (industry: IndustryCode | null): string =>
  industry === null ? 'Other trade' : INDUSTRIES[industry].name;
