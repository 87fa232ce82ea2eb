import type { Minor } from '../money/minor';
import { RETURN_FORMS } from '../settings/return-forms';
import type { ReturnSheet } from './return-sheet';

/** A return as it is handed to tax software: amounts by form, line and copy, in minor units. */
export interface ReturnFile {
  readonly format: 'iunctus-return';
  readonly version: 1;
  readonly form: string;
  /** The tax year of the form's print; `null` where no form is known. */
  readonly formYear: number | null;
  readonly filer: string;
  readonly currency: string;
  /** First and last month of the fiscal year, both inside. */
  readonly first: string;
  readonly last: string;
  readonly amounts: readonly {
    readonly line: string;
    readonly copy: number;
    readonly amount: Minor;
  }[];
}

/** A return sheet as a file for tax software. */
export const returnFile = (
  sheet: ReturnSheet,
  about: Pick<ReturnFile, 'filer' | 'currency' | 'first' | 'last'>,
): ReturnFile => ({
  format: 'iunctus-return',
  version: 1,
  form: sheet.form,
  formYear: RETURN_FORMS[sheet.form]?.year ?? null,
  ...about,
  amounts: sheet.amounts
    .filter(({ line }) => line.elsewhere !== true)
    .map(({ line, copy, amount }) => ({ line: line.line, copy, amount })),
});
