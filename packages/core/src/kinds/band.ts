import { nameKey } from '../text/name-key';
import type { Element } from './element';

const BANDS: Readonly<Record<string, Element>> = {
  assets: 'asset',
  liabilities: 'liability',
  equity: 'equity',
  revenue: 'revenue',
  revenues: 'revenue',
  income: 'revenue',
  expenses: 'expense',
  costs: 'expense',
  'costs and expenses': 'expense',
  memorandum: 'memorandum',
};

/** The element that a line names instead of an account: “Assets”; `null` for anything else. */
export const bandOf = (name: string): Element | null => BANDS[nameKey(name)] ?? null;

/** Lines over both halves of a statement, which are no accounts either. */
const MIXED = new Set([
  'liabilities and equity',
  'equity and liabilities',
  'liabilities & equity',
  'balance sheet',
  'profit and loss',
  'income statement',
]);

/** Whether a line names a statement, or more than one element: “Liabilities and equity”. */
export const isMixedBand = (name: string): boolean => MIXED.has(nameKey(name));
