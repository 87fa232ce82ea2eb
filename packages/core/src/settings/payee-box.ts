/**
 * The boxes in which payments to a payee are reported in the United States. Source: IRS Forms
 * 1099-NEC and 1099-MISC, tax year 2024 (from memory; non-employee compensation is box 1 of
 * 1099-NEC since tax year 2020).
 */
export const PAYEE_BOXES = {
  nec1: '1099-NEC box 1, non-employee compensation',
  misc1: '1099-MISC box 1, rents',
  misc2: '1099-MISC box 2, royalties',
  misc3: '1099-MISC box 3, other income',
  misc6: '1099-MISC box 6, medical and health care payments',
  misc10: '1099-MISC box 10, gross proceeds paid to an attorney',
} as const;
export type PayeeBox = keyof typeof PAYEE_BOXES;
