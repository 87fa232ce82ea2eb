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
