import type { Element } from '../kinds/element';
import { elementOf, KIND_CODES, KINDS, type KindCode } from '../kinds/kinds';
import { inferKinds } from '../matching/infer-kind';
import { nameKey } from '../text/name-key';

/** What a type in somebody else's words says: the element at least, the kind where it is that exact. */
export interface TypeMeaning {
  readonly element: Element;
  readonly kind: KindCode | null;
  readonly confidence: number;
}

const BY_KIND: ReadonlyMap<string, KindCode> = new Map(
  KIND_CODES.flatMap((code) => [
    [nameKey(KINDS[code].name), code] as const,
    [code.toLowerCase(), code] as const,
  ]),
);

const ELEMENT_WORDS: Readonly<Record<Element, string>> = {
  asset:
    'asset, assets, current asset, current assets, non-current asset, non-current assets, noncurrent asset',
  liability:
    'liability, liabilities, current liability, current liabilities, non-current liability, non-current liabilities, creditors',
  equity: 'equity, capital, capital and reserves, owner equity, owners equity, net worth, funds',
  revenue: 'revenue, revenues, income, incomes, sales and income, operating income',
  expense:
    'expense, expenses, costs, cost, expenditure, costs and expenses, profit and loss charges',
  memorandum: 'memorandum, memo, statistical, off balance sheet, non-posting, nonposting',
};

const BY_ELEMENT: ReadonlyMap<string, Element> = new Map(
  (Object.entries(ELEMENT_WORDS) as [Element, string][]).flatMap(([element, words]) =>
    words.split(', ').map((word) => [word, element] as const),
  ),
);

/** Types that name a kind in other words. Usage of the trade: common practice, no source. */
const KIND_WORDS: Partial<Readonly<Record<KindCode, string>>> = {
  cashOnHand: 'cash, petty cash',
  bank: 'bank account, bank accounts, cash at bank, cash and bank, cash equivalents',
  tradeReceivable: 'accounts receivable, debtors, receivable, receivables, trade debtors',
  otherCurrentAsset: 'other current assets, other asset, other assets',
  inventory: 'stock, inventories, inventory asset',
  propertyAndEquipment:
    'fixed asset, fixed assets, property plant and equipment, capital assets, plant and equipment, long-lived asset, tangible assets',
  otherNonCurrentAsset: 'other non-current assets, long term asset, long-term asset',
  tradePayable: 'accounts payable, payable, trade creditors, payables',
  cardPayable: 'credit card, credit cards, card',
  otherCurrentLiability: 'other current liabilities, other liability',
  longTermBorrowing:
    'long term liability, long-term liability, long-term liabilities, long term debt, loan, loans',
  retainedEarnings: 'accumulated profit, retained profit, retained profits',
  saleOfGoods: 'sales, trading income, turnover, sales revenue',
  otherOperatingRevenue: 'other income, other revenue, non-operating income',
  costOfSales:
    'cogs, cost of goods sold, direct cost, direct costs, direct expenses, purchases, cost of revenue, cost of goods',
  operatingExpense:
    'overhead, overheads, administrative expenses, indirect expenses, operating expenses, operating costs, general expenses',
  otherExpense: 'other expense, other expenses, non-operating expense',
  incomeTax: 'tax expense, taxation, income taxes',
};

const BY_WORDS: ReadonlyMap<string, KindCode> = new Map(
  (Object.entries(KIND_WORDS) as [KindCode, string][]).flatMap(([kind, words]) =>
    words.split(', ').map((word) => [word, kind] as const),
  ),
);

/** Letters for elements: E is equity where something else (X) is expense, and expense elsewhere. */
const letterOf = (letter: string, all: ReadonlySet<string>): Element | null => {
  const equity = ['q', 'c', 'o'].some((one) => all.has(one));
  const byLetter: Readonly<Record<string, Element>> = {
    a: 'asset',
    l: 'liability',
    q: 'equity',
    c: 'equity',
    o: 'equity',
    r: 'revenue',
    i: 'revenue',
    x: 'expense',
    e: all.has('x') && !equity ? 'equity' : 'expense',
  };
  return byLetter[letter] ?? null;
};

const meantByWords = (key: string): TypeMeaning | null => {
  const exact = BY_KIND.get(key);
  if (exact !== undefined) return { element: elementOf(exact), kind: exact, confidence: 1 };
  const named = BY_WORDS.get(key);
  if (named !== undefined) return { element: elementOf(named), kind: named, confidence: 0.9 };
  const element = BY_ELEMENT.get(key);
  return element === undefined ? null : { element, kind: null, confidence: 0.9 };
};

/** The smallest confidence with which a guess from the words of a type is believed. */
const BELIEVED = 0.4;

/** What each of the types of a list means; those that mean nothing are not there. */
export const meaningOfTypes = (types: Iterable<string>): ReadonlyMap<string, TypeMeaning> => {
  const distinct = [...new Set(types)].filter((text) => text.trim() !== '');
  const keys = new Set(distinct.map(nameKey));
  const letters = distinct.every((text) => nameKey(text).length === 1) && keys.size > 1;
  return new Map(
    distinct.flatMap((text): [string, TypeMeaning][] => {
      const key = nameKey(text).replace(/[.:]+$/, '');
      const letter = letters ? letterOf(key, keys) : null;
      if (letter !== null) return [[text, { element: letter, kind: null, confidence: 0.7 }]];
      const known = meantByWords(key);
      if (known !== null) return [[text, known]];
      const [guess] = inferKinds({ name: text });
      if (guess === undefined || guess.confidence < BELIEVED) return [];
      const { kind, confidence } = guess;
      return [[text, { element: elementOf(kind), kind, confidence: confidence * 0.9 }]];
    }),
  );
};
