import { ASSET_KINDS } from './asset-kinds';
import { CAPTIONS, statementOfSection, type SectionCode, type StatementCode } from './caption';
import { normalSideOf, type Element, type Side } from './element';
import { EQUITY_KINDS } from './equity-kinds';
import { EXPENSE_KINDS } from './expense-kinds';
import type { Kind } from './kind';
import { LIABILITY_KINDS } from './liability-kinds';
import { REVENUE_KINDS } from './revenue-kinds';

const MEMORANDUM_KINDS = {
  memorandum: {
    element: 'memorandum',
    name: 'Memorandum',
    shortName: 'Memorandum',
    sentence: 'Kept for the record and never on a statement: guarantees, hours, units.',
    caption: null,
    cashFlow: 'none',
  },
} as const satisfies Record<string, Kind>;

const ALL = {
  ...ASSET_KINDS,
  ...LIABILITY_KINDS,
  ...EQUITY_KINDS,
  ...REVENUE_KINDS,
  ...EXPENSE_KINDS,
  ...MEMORANDUM_KINDS,
} as const;

export type KindCode = keyof typeof ALL;

/** Every kind by its code. */
export const KINDS: Readonly<Record<KindCode, Kind>> = ALL;

/** Every kind code, in statement order. */
export const KIND_CODES = Object.keys(ALL) as [KindCode, ...KindCode[]];

/** The element of a kind. */
export const elementOf = (kind: KindCode): Element => KINDS[kind].element;

/** Whether a kind reduces its group. */
export const isContra = (kind: KindCode): boolean => KINDS[kind].contra === true;

/** The side on which accounts of a kind usually stand: a contra stands on the other side of its element. */
export const normalSideOfKind = (kind: KindCode): Side => {
  const side = normalSideOf(elementOf(kind));
  if (!isContra(kind)) return side;
  return side === 'debit' ? 'credit' : 'debit';
};

/** The section of the standard layouts that a kind leads to; `null` for memorandum. */
export const sectionOf = (kind: KindCode): SectionCode | null => {
  const caption = KINDS[kind].caption;
  return caption === null ? null : CAPTIONS[caption].section;
};

/** The statement that a kind leads to; `null` for memorandum. */
export const statementOf = (kind: KindCode): StatementCode | null => {
  const section = sectionOf(kind);
  return section === null ? null : statementOfSection(section);
};

/** The kinds of one element, in statement order. */
export const kindsOfElement = (element: Element): readonly KindCode[] =>
  KIND_CODES.filter((code) => elementOf(code) === element);
