/** The legal forms that a client can have. */
export const LEGAL_FORMS = [
  'soleOwner',
  'partnership',
  'oneMemberCompany',
  'limitedCompany',
  'corporation',
  'sCorporation',
  'nonProfit',
] as const;
export type LegalForm = (typeof LEGAL_FORMS)[number];
