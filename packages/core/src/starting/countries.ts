import type { KindCode } from '../kinds/kinds';
import type { DateOrder } from '../dates/read-date';
import type { LegalForm } from '../settings/legal-form';
import type { StartingAccount, StartingModule } from './starting-chart';

/** The countries whose spelling, trade words and taxes are known, ISO 3166-1 alpha-2. */
export const COUNTRIES = ['US', 'GB', 'CA'] as const;
export type CountryCode = (typeof COUNTRIES)[number];

/** The country whose words serve for a client; the first one where its own are not known. */
export const countryOf = (country: string): CountryCode =>
  COUNTRIES.find((code) => code === country) ?? 'US';

/** Whether a country writes the day or the month first. Common practice, no source; in Canada both are in use. */
export const dateOrderOf = (country: string): DateOrder =>
  country === 'US' ? 'monthFirst' : 'dayFirst';

/** The legal forms that a country has. */
export const legalFormsIn = (country: CountryCode, all: readonly LegalForm[]): readonly LegalForm[] =>
  country === 'US' ? all : all.filter((form) => form !== 'sCorporation'); // prettier-ignore

/** Spellings of the modules, which are British, and what they are elsewhere. */
const SPELLINGS: Readonly<Record<Exclude<CountryCode, 'GB'>, readonly (readonly [RegExp, string])[]>> = {
  US: [
    [/\blabour\b/g, 'labor'],
    [/\bLabour\b/g, 'Labor'],
    [/\b([Ll])icence(s?)\b/g, '$1icense$2'],
    [/\b([Pp])rogramme(s?)\b/g, '$1rogram$2'],
    [/\b([Tt])yre(s?)\b/g, '$1ire$2'],
    [/\b([Cc])heque(s?)\b/g, '$1heck$2'],
    [/\b([Aa])mortisation\b/g, '$1mortization'],
    [/\b([Ff])ertiliser\b/g, '$1ertilizer'],
    [/\b([Ee])nrolment\b/g, '$1nrollment'],
    [/\b([Jj])ewellery\b/g, '$1ewelry'],
  ],
  CA: [
    [/\b([Pp])rogramme(s?)\b/g, '$1rogram$2'],
    [/\b([Tt])yre(s?)\b/g, '$1ire$2'],
    [/\b([Aa])mortisation\b/g, '$1mortization'],
    [/\b([Ff])ertiliser\b/g, '$1ertilizer'],
    [/\b([Ee])nrolment\b/g, '$1nrollment'],
  ],
}; // prettier-ignore

interface Term {
  readonly name: string;
  readonly guidance?: string;
}

/** What accounts are called where the trade or the tax office calls them otherwise. Common practice, no source. */
const TERMS: Readonly<Record<CountryCode, Readonly<Record<string, Term>>>> = {
  US: { 'Share capital': { name: 'Common stock', guidance: 'The par value of shares issued.' } },
  GB: {
    'Sales tax payable': { name: 'VAT payable', guidance: 'VAT charged on sales, owed to HMRC. Never revenue.' },
    'Payroll taxes': { name: 'Employer’s National Insurance', guidance: 'The employer’s own share. What is withheld from wages is owed, not spent.' },
    'Payroll taxes payable': { name: 'PAYE and National Insurance payable', guidance: 'Withheld from wages, and the employer’s share, until paid to HMRC.' },
    'Income tax payable': { name: 'Corporation tax payable', guidance: 'Owed on the company’s profit.' },
    'Income tax expense': { name: 'Corporation tax', guidance: 'Tax on the company’s profit for the period.' },
    'Retained earnings': { name: 'Retained profits' },
    'Additional paid-in capital': { name: 'Share premium' },
    'Property taxes': { name: 'Business rates' },
  },
  CA: {
    'Sales tax payable': { name: 'GST/HST payable', guidance: 'GST and HST charged on sales, owed to the CRA. Never revenue.' },
    'Payroll taxes': { name: 'CPP and EI, employer’s share', guidance: 'The employer’s own share. What is withheld from wages is owed, not spent.' },
    'Payroll taxes payable': { name: 'Source deductions payable', guidance: 'Withheld from wages, and the employer’s share, until paid to the CRA.' },
    'Additional paid-in capital': { name: 'Contributed surplus' },
  },
}; // prettier-ignore

const RECOVERABLE: KindCode = 'salesTaxRecoverable';

/** Taxes on purchases that come back, where a country has them. Source: VAT in the UK, GST/HST input tax credits in Canada; common practice. */
export const COUNTRY_MODULES: Readonly<Record<CountryCode, StartingModule | null>> = {
  US: null,
  GB: {
    name: 'VAT',
    accounts: [{ slot: 'prepaid', name: 'VAT recoverable', kind: RECOVERABLE, guidance: 'VAT paid on purchases, which HMRC gives back.' }],
  },
  CA: {
    name: 'GST/HST',
    accounts: [{ slot: 'prepaid', name: 'GST/HST recoverable', kind: RECOVERABLE, guidance: 'Input tax credits: GST and HST paid on purchases, which the CRA gives back.' }],
  },
}; // prettier-ignore

/** A text of the modules in the spelling of a country. */
export const spelledFor = (text: string, country: CountryCode): string =>
  country === 'GB'
    ? text
    : SPELLINGS[country].reduce((so, [pattern, word]) => so.replace(pattern, word), text);

/** An account as a country calls it. */
export const localized = <T extends Pick<StartingAccount, 'name' | 'guidance'>>(
  account: T,
  country: CountryCode,
): T => {
  const term = TERMS[country][account.name];
  const name = term?.name ?? account.name;
  const guidance = term?.guidance ?? account.guidance;
  return { ...account, name: spelledFor(name, country), guidance: spelledFor(guidance, country) };
};
