import type { DateOrder } from '../dates/read-date';
import { activityOf } from './activity';
import { AUSTRALIA } from './australia';
import { CANADA } from './canada';
import type { Country, DictionaryCode, Paper, Term } from './country';
import { IRELAND } from './ireland';
import { LEGAL_FORMS, type LegalForm } from './legal-form';
import { NEW_ZEALAND } from './new-zealand';
import type { StartingAccount, StartingModule, Topic } from './starting-account';
import { UNITED_KINGDOM } from './united-kingdom';
import { UNITED_STATES } from './united-states';

/** The countries whose spelling, trade words, taxes, forms and paper are known, by ISO 3166-1 alpha-2. */
const KNOWN = {
  US: UNITED_STATES,
  GB: UNITED_KINGDOM,
  CA: CANADA,
  IE: IRELAND,
  AU: AUSTRALIA,
  NZ: NEW_ZEALAND,
} as const satisfies Record<string, Country>;

export type CountryCode = keyof typeof KNOWN;

/** The codes of the known countries, in the order in which they are offered. */
export const COUNTRIES = Object.keys(KNOWN) as [CountryCode, ...CountryCode[]];

/** Where else people print on Letter. Source: common practice, no source. */
const ALSO_ON_LETTER = ['MX'];

const knownCountry = (country: string): Country | null => {
  const code = COUNTRIES.find((one) => one === country);
  return code === undefined ? null : KNOWN[code];
};

/** The country whose words serve for a client; the first one where its own are not known. */
export const countryOf = (country: string): CountryCode =>
  COUNTRIES.find((code) => code === country) ?? 'US';

/** Whether a country writes the day or the month first. Common practice, no source; in Canada both are in use. */
export const dateOrderOf = (country: string): DateOrder =>
  knownCountry(country)?.dateOrder ?? 'dayFirst';

/** The paper of a country (ISO 3166-1 alpha-2): Letter in North America, A4 elsewhere. */
export const paperOf = (country: string): Paper =>
  knownCountry(country)?.paper ?? (ALSO_ON_LETTER.includes(country) ? 'letter' : 'a4');

/** The dictionary of a country; `null` where its spelling is not known. */
export const dictionaryOf = (country: string): DictionaryCode | null =>
  knownCountry(country)?.dictionary ?? null;

/** The currency of a known country. */
export const currencyOf = (country: CountryCode): string => KNOWN[country].currency;

/** The legal forms that a country has, in the order of all. */
export const legalFormsIn = (country: CountryCode): readonly LegalForm[] =>
  LEGAL_FORMS.filter((form) => form in KNOWN[country].legalForms);

/** Companies of one sort or another, the likeliest first. */
const COMPANIES: readonly LegalForm[] = ['limitedCompany', 'corporation'];

/** The legal form of a country that comes nearest to one: itself, or the company that there is. */
export const legalFormFor = (form: LegalForm, country: CountryCode): LegalForm => {
  const there = legalFormsIn(country);
  return [form, ...COMPANIES].find((one) => there.includes(one)) ?? 'soleOwner';
};

/** The accounts of a legal form in a country, or of the one that comes nearest. */
export const legalFormModule = (form: LegalForm, country: CountryCode): StartingModule => {
  const { legalForms }: Country = KNOWN[country];
  return legalForms[legalFormFor(form, country)] ?? { name: '', accounts: [] };
};

/** What everybody in a country needs. */
export const countryModules = (country: CountryCode): readonly StartingModule[] =>
  KNOWN[country].modules;

/** Why nothing of the sales tax that a trade pays comes back in a country; `null` where it does. */
export const exemptionOf = (industry: string, country: CountryCode): string | null => {
  const { exempt }: Country = KNOWN[country];
  const activity = activityOf(industry);
  return activity === null ? null : (exempt[activity] ?? null);
};

/** The code of the return that a client of a country files; `null` where none is known. */
export const knownReturn = (
  country: string,
  { legalForm, industry }: { readonly legalForm: LegalForm; readonly industry: string | null },
): string | null => {
  const known = knownCountry(country);
  const activity = activityOf(industry);
  const own = activity === null ? undefined : known?.activityReturns[activity]?.[legalForm];
  return own ?? known?.returns[legalForm] ?? null;
};

/** The questions that are asked in a country. */
export const isAskedIn = (topic: Topic, country: CountryCode): boolean =>
  topic !== 'provincialTax' || country === 'CA';

/** A text of the modules in the spelling of a country. */
export const spelledFor = (text: string, country: CountryCode): string =>
  KNOWN[country].spellings.reduce((so, [pattern, word]) => so.replace(pattern, word), text);

/** What is said otherwise of those who have no owners, wherever they are. */
const WITHOUT_OWNERS: Readonly<Partial<Record<string, Term>>> = {
  Wages: {
    name: 'Wages',
    guidance: 'Gross pay of employees. What volunteers are paid back is no wage.',
  },
};

/** An account as a country calls it, with the words of non-profits where it is one of theirs. */
export const localized = <T extends Pick<StartingAccount, 'name' | 'guidance'>>(
  account: T,
  { country, legalForm }: { readonly country: CountryCode; readonly legalForm: LegalForm },
): T => {
  const { terms, nonProfitTerms }: Country = KNOWN[country];
  const own =
    legalForm === 'nonProfit'
      ? (nonProfitTerms[account.name] ?? WITHOUT_OWNERS[account.name])
      : undefined;
  const term = own ?? terms[account.name];
  const name = term?.name ?? account.name;
  const guidance = term?.guidance ?? account.guidance;
  return { ...account, name: spelledFor(name, country), guidance: spelledFor(guidance, country) };
};
