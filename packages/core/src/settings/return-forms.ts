import { statementOf, type KindCode } from '../kinds/kinds';
import type { LegalForm } from './legal-form';
import type { ReturnForm, ReturnLineChoice } from './return-form';
import { FORM_1065 } from './forms/form-1065';
import { FORM_1120 } from './forms/form-1120';
import { FORM_1120S } from './forms/form-1120s';
import { FORM_990 } from './forms/form-990';
import { COMPANY_ACCOUNTS } from './forms/company-accounts';
import { GIFI } from './forms/gifi';
import { SA103F } from './forms/sa103f';
import { SA800 } from './forms/sa800';
import { SCHEDULE_C } from './forms/schedule-c';
import { T2125 } from './forms/t2125';

const KNOWN = {
  scheduleC: SCHEDULE_C,
  form1065: FORM_1065,
  form1120: FORM_1120,
  form1120S: FORM_1120S,
  form990: FORM_990,
  sa103f: SA103F,
  sa800: SA800,
  companyAccounts: COMPANY_ACCOUNTS,
  t2125: T2125,
  gifi: GIFI,
};

/** Every return that is known, by its code; whatever else is asked for is not there. */
export const RETURN_FORMS: Readonly<Partial<Record<string, ReturnForm>>> = Object.assign(
  Object.create(null) as object,
  KNOWN,
);

const FORMS_OF: Readonly<Record<string, Partial<Readonly<Record<LegalForm, string>>>>> = {
  US: {
    soleOwner: 'scheduleC',
    partnership: 'form1065',
    limitedCompany: 'form1065',
    corporation: 'form1120',
    sCorporation: 'form1120S',
    nonProfit: 'form990',
  },
  GB: {
    soleOwner: 'sa103f',
    partnership: 'sa800',
    limitedCompany: 'companyAccounts',
    corporation: 'companyAccounts',
  },
  CA: { soleOwner: 't2125', limitedCompany: 'gifi', corporation: 'gifi' },
};

/** What decides which return a client files. `country` is ISO 3166-1 alpha-2. */
export interface Filer {
  readonly legalForm: LegalForm;
  readonly country: string;
}

/** The code of the return that a client files; `null` where none is known for its country. */
export const returnFormOf = ({ legalForm, country }: Filer): string | null =>
  FORMS_OF[country]?.[legalForm] ?? null;

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
  const lines = form === null ? [] : (RETURN_FORMS[form]?.lines ?? []);
  const usual = lines.find(({ kinds }) => kinds?.includes(kind));
  return form === null || usual === undefined ? null : { form, line: usual.line, copy: 1 };
};

/** The line of a form in words: “Schedule C line 8, Advertising”. */
export const returnLineWords = ({ form, line, copy }: ReturnLineChoice): string => {
  const known = RETURN_FORMS[form];
  const words = known?.lines.find((one) => one.line === line)?.words;
  const which = copy === 1 ? '' : `, copy ${copy}`;
  return `${known?.name ?? form} line ${line}${words === undefined ? '' : `, ${words}`}${which}`;
};
