/**
 * The five elements of financial statements, in statement order, and `memorandum` for accounts
 * that never reach a statement. Source of the five: IFRS Conceptual Framework, ch. 4 (2018).
 */
export const ELEMENTS = [
  'asset',
  'liability',
  'equity',
  'revenue',
  'expense',
  'memorandum',
] as const;

export type Element = (typeof ELEMENTS)[number];

/** The side on which an account usually stands. */
export type Side = 'debit' | 'credit';

/** The usual side of an element: assets and expenses on the debit side, the others on the credit side. */
export const normalSideOf = (element: Element): Side =>
  element === 'asset' || element === 'expense' || element === 'memorandum' ? 'debit' : 'credit';
