import { nameKey } from '../text/name-key';
import type { Element } from './element';

const BANDS: Readonly<Record<string, Element>> = {
  assets: 'asset',
  liabilities: 'liability',
  equity: 'equity',
  revenue: 'revenue',
  revenues: 'revenue',
  income: 'revenue',
  expense: 'expense',
  expenses: 'expense',
  expenditure: 'expense',
  costs: 'expense',
  'costs and expenses': 'expense',
  receipts: 'revenue',
  payments: 'expense',
  memorandum: 'memorandum',
};

/** The element that a line names instead of an account: “Assets”; `null` for anything else. */
export const bandOf = (name: string): Element | null => BANDS[nameKey(name)] ?? null;

/** Names of whole statements, which are no accounts either. */
const STATEMENTS = new Set([
  'balance sheet',
  'profit and loss',
  'income statement',
  'statement of financial position',
  'statement of activities',
]);

/** Whose equity it is: “Liabilities and members' equity”. */
const OWNERS =
  /\b(?:total )?(?:stock|share)?(?:owner|holder|member|partner|proprietor)(?:['’]?s|s['’])['’]? (?=equity$)/;

/** What stands for equity beside other elements: “Liabilities and net assets”. */
const BESIDE_OTHERS: ReadonlyMap<string, Element> = new Map(
  ['net assets', 'fund balance', 'fund balances', 'funds', 'capital', 'reserves'].map((words) => [
    words,
    'equity',
  ]),
);

/** Whether a line names a statement, or several elements: “Liabilities and equity”, “Income / expenditure”. */
export const isMixedBand = (name: string): boolean => {
  const key = nameKey(name);
  if (STATEMENTS.has(key)) return true;
  const parts = key
    .replace(/^other /, '')
    .replace(OWNERS, '')
    .split(/\s*[/&,]\s*|\s+and\s+/)
    .map((part) => bandOf(part) ?? BESIDE_OTHERS.get(part) ?? null);
  return parts.length > 1 && !parts.includes(null) && new Set(parts).size > 1;
};
