import type { DateOrder } from '../dates/read-date';
import type { Activity } from './activity';
import type { LegalForm } from './legal-form';
import type { StartingModule } from './starting-account';

/** What an account or a group is called in a country, and what is said of it there. */
export interface Term {
  readonly name: string;
  readonly guidance?: string;
}

/** The paper on which something is printed. */
export type Paper = 'letter' | 'a4';

/** The dictionaries by which names are spelled, by the language tag of BCP 47, in small letters. */
export const DICTIONARY_CODES = ['en', 'en-gb', 'en-ca', 'en-au'] as const;
export type DictionaryCode = (typeof DICTIONARY_CODES)[number];

/** Everything in which one country differs from the others. */
export interface Country {
  /** Patterns of the modules' spelling, which is British, and what they are here; applied in turn. */
  readonly spellings: readonly (readonly [RegExp, string])[];
  /** By the name in the modules. */
  readonly terms: Readonly<Partial<Record<string, Term>>>;
  /** The terms of those who neither sell nor make a profit; they come before the others. */
  readonly nonProfitTerms: Readonly<Partial<Record<string, Term>>>;
  /** Accounts that everybody there needs: what comes back of sales tax, what goes with wages. */
  readonly modules: readonly StartingModule[];
  /** The legal forms that there are, and the equity, pay of owners and tax of each. */
  readonly legalForms: Readonly<Partial<Record<LegalForm, StartingModule>>>;
  /** Why nothing of the sales tax that such a trade pays comes back. */
  readonly exempt: Readonly<Partial<Record<Activity, string>>>;
  /** The returns by legal form, and those of activities that have their own. Others get the general sheet. */
  readonly returns: Readonly<Partial<Record<LegalForm, string>>>;
  readonly activityReturns: Readonly<
    Partial<Record<Activity, Readonly<Partial<Record<LegalForm, string>>>>>
  >;
  /** ISO 4217. */
  readonly currency: string;
  readonly paper: Paper;
  readonly dictionary: DictionaryCode;
  readonly dateOrder: DateOrder;
}
