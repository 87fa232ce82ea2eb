import { nameKey } from '../text/name-key';
import type { ColumnUse } from './source';

/** What columns are headed with in lists of accounts. Usage of the trade: common practice, no source. */
const HEADED: Readonly<Record<ColumnUse, string>> = {
  number:
    'number, no, nr, account number, account no, acct no, account code, code, gl code, ledger code, account id, gl account, account #, #, acct #, id',
  name: 'name, account name, description, account description, account, ledger, title, ledger account, label, designation, full name, acct name',
  numberAndName: 'number and name, code and name, account number and name',
  parent:
    'parent, parent account, parent number, parent code, parent no, sub account of, belongs to, rolls up to, summary account, under',
  level: 'level, depth, indent, outline level, hierarchy level',
  type: 'kind, type, account type, class, category, classification, element, account class, group type, account category',
  finerType: 'subtype, sub type, detail, sub category, subcategory',
  role: 'role, account role, header detail, heading or posting, posting type, header, is header, group, is group, usage, posting allowed, postable',
  shortLabel: 'short label, short name, abbreviation, short description',
  guidance: 'guidance, use for, what belongs here, instructions, explanation',
  notes: 'notes, note, memo, remarks, comment, comments',
  retired: 'retired on, retired, status, active, inactive, is active, closed on, closed, archived',
  balance:
    'balance, amount, actual, total, closing balance, ending balance, opening balance, current balance, balance total, net, ytd',
  innerBalance: 'detail amount, inner amount',
  debit: 'debit, debits, dr, debit balance, debit amount, debit total',
  credit: 'credit, credits, cr, credit balance, credit amount, credit total',
  side: 'side, dr cr, cr dr, d c, dc, debit credit, debit or credit, dr cr indicator, dc indicator, balance side, balance type, normal balance, normal side, soll haben, s h',
  budget: 'budget, annual budget, yearly budget, budget amount, plan amount, budget total',
};

/** A heading as it compares: words alone, small. */
export const plainHeading = (text: string): string =>
  nameKey(text)
    .replace(/[^\p{L}\p{N}#]+/gu, ' ')
    .trim();

const EXACT: ReadonlyMap<string, ColumnUse> = new Map(
  (Object.entries(HEADED) as [ColumnUse, string][]).flatMap(([use, phrases]) =>
    phrases.split(', ').map((phrase) => [phrase, use] as const),
  ),
);

/** Headings that only hold a phrase: “Amount USD”, “Balance at 31 Oct”. */
const HELD: readonly (readonly [RegExp, ColumnUse])[] = [
  [/\bparent\b/, 'parent'],
  [/\bbudget\b/, 'budget'],
  [/\bdebits?\b/, 'debit'],
  [/\bcredits?\b/, 'credit'],
  [/\b(balance|amount)\b/, 'balance'],
  [/\b(sub ?type|detail)\b/, 'finerType'],
  [/\b(type|class|category)\b/, 'type'],
  [/\b(number|code|no)\b/, 'number'],
  [/\bname\b/, 'name'],
  [/\b(notes?|remarks?|comments?)\b/, 'notes'],
];

/** What a heading says of its column, and how surely from 0 to 1; `null` when it says nothing. */
export const useOfHeading = (
  heading: string,
): { readonly use: ColumnUse; readonly sure: number } | null => {
  const words = plainHeading(heading);
  const exact = EXACT.get(words);
  if (exact !== undefined) return { use: exact, sure: 1 };
  const held = HELD.find(([pattern]) => pattern.test(words));
  return held === undefined ? null : { use: held[1], sure: 0.6 };
};
