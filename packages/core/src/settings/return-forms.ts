import { statementOf, type KindCode } from '../kinds/kinds';
import { knownReturn } from '../countries/countries';
import type { LegalForm } from '../countries/legal-form';
import type { ReturnUse } from '../countries/starting-account';
import type { ReturnForm, ReturnLineChoice } from './return-form';
import { FORM_1065 } from './forms/form-1065';
import { FORM_1120 } from './forms/form-1120';
import { FORM_1120S } from './forms/form-1120s';
import { FORM_1065_LETTING, FORM_1120S_LETTING } from './forms/form-8825';
import { FORM_990 } from './forms/form-990';
import { COMPANY_ACCOUNTS } from './forms/company-accounts';
import { GIFI } from './forms/gifi';
import { SA103F } from './forms/sa103f';
import { SA800 } from './forms/sa800';
import { SCHEDULE_C } from './forms/schedule-c';
import { T2125 } from './forms/t2125';
import { GENERAL_SHEET } from './forms/general-sheet';
import { SA105 } from './forms/sa105';
import { SCHEDULE_E } from './forms/schedule-e';
import { SCHEDULE_F } from './forms/schedule-f';
import { T2042 } from './forms/t2042';
import { T5013 } from './forms/t5013';
import { T776 } from './forms/t776';

const KNOWN = {
  scheduleC: SCHEDULE_C,
  form1065: FORM_1065,
  form1120: FORM_1120,
  form1120S: FORM_1120S,
  form1065Letting: FORM_1065_LETTING,
  form1120SLetting: FORM_1120S_LETTING,
  form990: FORM_990,
  sa103f: SA103F,
  sa800: SA800,
  companyAccounts: COMPANY_ACCOUNTS,
  t2125: T2125,
  gifi: GIFI,
  scheduleE: SCHEDULE_E,
  scheduleF: SCHEDULE_F,
  sa105: SA105,
  t776: T776,
  t2042: T2042,
  t5013: T5013,
  general: GENERAL_SHEET,
};

/** Every return that is known, by its code; whatever else is asked for is not there. */
export const RETURN_FORMS: Readonly<Partial<Record<string, ReturnForm>>> = Object.assign(
  Object.create(null) as object,
  KNOWN,
);

/** What decides which return a client files. `country` is ISO 3166-1 alpha-2. */
export interface Filer {
  readonly legalForm: LegalForm;
  readonly country: string;
  /** The code of the trade: landlords and farmers have returns of their own. */
  readonly industry?: string | null;
}

/** The code of the return that a client files; that of the general sheet where none is known. */
export const returnFormOf = ({ legalForm, country, industry = null }: Filer): string =>
  knownReturn(country, { legalForm, industry }) ?? 'general';

/** Whether a form has lines for a balance sheet; the trade of a sole owner has none in some countries. */
export const hasBalanceSheet = (form: string): boolean =>
  RETURN_FORMS[form]?.lines.some(({ kinds }) =>
    kinds?.some((kind) => statementOf(kind) === 'balanceSheet'),
  ) ?? false;

/** Whether a form has the line. */
export const hasReturnLine = ({ form, line }: Pick<ReturnLineChoice, 'form' | 'line'>): boolean =>
  RETURN_FORMS[form]?.lines.some((one) => one.line === line) ?? false;

/** The line of the client's return on which accounts of a kind usually land; `null` for none. */
export const usualReturnLine = (kind: KindCode, filer: Filer): ReturnLineChoice | null => {
  const form = returnFormOf(filer);
  const usual = RETURN_FORMS[form]?.lines.find(({ kinds }) => kinds?.includes(kind));
  return usual === undefined ? null : { form, line: usual.line, copy: 1 };
};

/** The line of a form for what an account is used for; `null` where its kind says it all. */
export const lineOfUse = (use: ReturnUse | undefined, form: string): ReturnLineChoice | null => {
  const line =
    use === undefined
      ? undefined
      : RETURN_FORMS[form]?.lines.find(({ uses }) => uses?.includes(use))?.line;
  return line === undefined ? null : { form, line, copy: 1 };
};

/** The line of a form in words: “Schedule C line 8, Advertising”. */
export const returnLineWords = ({ form, line, copy }: ReturnLineChoice): string => {
  const known = RETURN_FORMS[form];
  const words = known?.lines.find((one) => one.line === line)?.words;
  const which = copy === 1 ? '' : `, copy ${copy}`;
  return `${known?.name ?? form} line ${line}${words === undefined ? '' : `, ${words}`}${which}`;
};
