import { countryOf, localized, spelledFor, type CountryCode } from '../../countries/countries';
import type { LegalForm } from '../../countries/legal-form';
import { CAPTIONS, type CaptionCode } from '../../kinds/caption';
import { KINDS, type KindCode } from '../../kinds/kinds';
import {
  GROUP_NAMES,
  RESULT_NAMES,
  SECTION_NAMES,
  SECTION_TOTAL_NAMES,
  SHEET_NAMES,
  TOTAL_NAMES,
} from '../names';
import { ISLES, KIND_TERMS, NON_PROFITS, NON_PROFITS_OF_THE_ISLES } from './by-country';
import { PLAIN } from './plain';
import type { OtherTerms, StatementTerms } from './statement-terms';

/** Terms with the names of kinds and of the captions on which they land. */
export interface Terms extends StatementTerms {
  readonly kinds: Readonly<Record<KindCode, string>>;
  readonly captions: Readonly<Record<CaptionCode, string>>;
}

/** Whose terms are asked for. `country` is ISO 3166-1 alpha-2. */
export interface TermsOf {
  readonly country: string;
  readonly legalForm: LegalForm;
  /** In plain words instead of the ledger's. */
  readonly plain?: boolean;
}

const OF_THE_ISLES: readonly CountryCode[] = ['GB', 'IE'];

const STANDARD: StatementTerms = {
  sheets: SHEET_NAMES,
  groups: GROUP_NAMES,
  sections: SECTION_NAMES,
  sectionTotals: SECTION_TOTAL_NAMES,
  totals: TOTAL_NAMES,
  results: RESULT_NAMES,
};

const laidOver = (terms: StatementTerms, other: OtherTerms): StatementTerms => ({
  sheets: { ...terms.sheets, ...other.sheets },
  groups: { ...terms.groups, ...other.groups },
  sections: { ...terms.sections, ...other.sections },
  sectionTotals: { ...terms.sectionTotals, ...other.sectionTotals },
  totals: { ...terms.totals, ...other.totals },
  results: { ...terms.results, ...other.results },
});

const named = <C extends string>(
  names: Readonly<Record<C, { readonly name: string }>>,
  said: (name: string) => string,
): Readonly<Record<C, string>> =>
  Object.fromEntries(
    (Object.keys(names) as C[]).map((code) => [code, said(names[code].name)]),
  ) as Record<C, string>;

const layersOf = (country: CountryCode, nonProfit: boolean): readonly OtherTerms[] => {
  const isles = OF_THE_ISLES.includes(country);
  if (nonProfit) return isles ? [ISLES, NON_PROFITS_OF_THE_ISLES] : [NON_PROFITS];
  return isles ? [ISLES] : [];
};

/** What is said to a client: in the words and the spelling of its country, those of non-profits, or plainly. */
export const termsFor = ({ country: code, legalForm, plain = false }: TermsOf): Terms => {
  const country = countryOf(code);
  const said = (name: string): string => {
    const own = KIND_TERMS[country]?.[name];
    return (
      own ?? spelledFor(localized({ name, guidance: '' }, { country, legalForm }).name, country)
    );
  };
  const layers = [...layersOf(country, legalForm === 'nonProfit'), ...(plain ? [PLAIN] : [])];
  return {
    ...layers.reduce(laidOver, STANDARD),
    kinds: named(KINDS, said),
    captions: named(CAPTIONS, said),
  };
};

/** What is said where no client is known. */
export const STANDARD_TERMS: Terms = {
  ...STANDARD,
  kinds: named(KINDS, (name) => name),
  captions: named(CAPTIONS, (name) => name),
};
