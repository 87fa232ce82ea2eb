import { isMixedBand } from '../kinds/band';
import { ELEMENTS, normalSideOf, type Element } from '../kinds/element';
import { elementOf, isContra, normalSideOfKind, type KindCode } from '../kinds/kinds';
import { inferKinds } from '../matching/infer-kind';
import { negate, sum, type Minor } from '../money/minor';
import type { ImportEntry } from './entry';
import type { RowsRead } from './read-rows';
import { isResult } from './result-lines';
import { elementOfTitle } from './section-titles';
import { meaningOfTypes } from './type-words';

/** How amounts of one column are meant: debits positive, or as statements print them, each on the side of its account. */
export const AMOUNT_SIDES = ['debit', 'usual'] as const;
export type AmountSides = (typeof AMOUNT_SIDES)[number];

const CREDIT: ReadonlySet<Element> = new Set(
  ELEMENTS.filter((element) => normalSideOf(element) === 'credit'),
);

/** From this confidence on a name says on which side its amounts stand. */
const CLEAR = 0.5;

/** The element of a line whose accounts stand in credit, by its type, the title before it or its name; `null` for any other. */
const creditElement = (
  { name, type }: ImportEntry,
  titled: Element | null,
  meanings: ReturnType<typeof meaningOfTypes>,
): Element | null => {
  const [guess] = inferKinds({ name });
  const clear = guess !== undefined && guess.confidence >= CLEAR && guess.reason.type === 'words';
  if (clear && isContra(guess.kind)) return null;
  const listed = type === null ? titled : (meanings.get(type)?.element ?? null);
  const element = listed ?? (clear ? elementOf(guess.kind) : null);
  return element !== null && CREDIT.has(element) ? element : null;
};

/** How many lines are looked at. */
const SAMPLE = 400;

/** How many amounts above and below zero there are of each element that stands in credit. */
const signsOf = (
  entries: readonly ImportEntry[],
): readonly { readonly above: number; readonly below: number }[] => {
  const meanings = meaningOfTypes(entries.flatMap(({ type }) => type ?? []));
  const signs = new Map<Element, { above: number; below: number }>();
  let title: Element | null = null;
  for (const entry of entries) {
    const named = elementOfTitle(entry.name);
    const balance = entry.balance ?? 0;
    if (balance === 0) title = isMixedBand(entry.name) ? null : (named ?? title);
    const element = balance === 0 ? null : creditElement(entry, named ?? title, meanings);
    if (element === null) continue;
    const own = signs.get(element) ?? { above: 0, below: 0 };
    own[balance > 0 ? 'above' : 'below'] += 1;
    signs.set(element, own);
  }
  return [...signs.values()];
};

/** So many amounts of an element tell how they are meant, where some are below zero; where none is, or a profit is printed, one does. */
const ENOUGH = 2;

/**
 * How the amounts of a list are meant: as printed where details are set in. With columns for debit and credit or for their
 * side, or where they come to nothing, debits are positive; without any below zero they are as printed; else the accounts that clearly stand in credit tell it by their sign, each element for itself: some statements
 * print what is owed with a minus, and income without.
 */
export const amountSidesOf = ({ entries, totals, columns }: RowsRead): AmountSides => {
  // Details are set in where a statement is printed.
  if (columns.has('innerBalance')) return 'usual';
  const held = entries.filter(({ balance }) => (balance ?? 0) !== 0);
  if (!columns.has('balance') || columns.has('side')) return 'debit';
  if (sum(held.map(({ balance }) => balance ?? 0)) === 0) return 'debit';
  // A list of balances has some in credit; without any each stands on the side of its account.
  if (held.every(({ balance }) => (balance ?? 0) > 0)) return 'usual';
  const printed = totals.some(({ name, balance }) => (balance ?? 0) > 0 && isResult(name));
  const least = held.some(({ balance }) => (balance ?? 0) < 0) && !printed ? ENOUGH : 1;
  const usual = signsOf(entries.slice(0, SAMPLE)).some(
    ({ above, below }) => above >= least && above > 2 * below,
  );
  return usual ? 'usual' : 'debit';
};

/** An amount of a printed statement, and what its account is. */
export interface Printed {
  readonly amount: Minor;
  readonly kind: KindCode;
}

/** A contra account stands on its own side, printed with a minus or without; any other on that of its element. */
const debitPositive = ({ amount, kind }: Printed, turned: ReadonlySet<Element>): Minor => {
  const credit = normalSideOfKind(kind) === 'credit';
  const size = isContra(kind) ? Math.abs(amount) : turnedBy(amount, turned.has(elementOf(kind)));
  return credit ? negate(size) : size;
};

const turnedBy = (amount: Minor, turned: boolean): Minor => (turned ? Math.abs(amount) : amount);

/** Elements with amounts that have a minus: what is owed, or spent, in brackets. */
const inBrackets = (printed: readonly Printed[], how: 'some' | 'every'): readonly Element[] =>
  ELEMENTS.filter((element) => {
    const own = printed.filter(
      ({ kind, amount }) => amount !== 0 && elementOf(kind) === element && !isContra(kind),
    );
    const below = own.filter(({ amount }) => amount < 0);
    return below.length > 0 && (how === 'some' || below.length === own.length);
  });

const subsets = <T>(all: readonly T[]): readonly (readonly T[])[] =>
  all.reduce<readonly (readonly T[])[]>(
    (some, one) => [...some, ...some.map((subset) => [...subset, one])],
    [[]],
  );

/**
 * The amounts of printed statements, debit positive. What an element has in brackets may be meant as it is usual, so that
 * the minus says nothing: where the whole then comes to nothing, else where it is all that is spent.
 */
export const debitsPositive = (printed: readonly Printed[]): readonly Minor[] => {
  const read = (turned: readonly Element[]): readonly Minor[] =>
    printed.map((one) => debitPositive(one, new Set(turned)));
  const balanced = subsets(inBrackets(printed, 'some')).find((turned) => sum(read(turned)) === 0);
  return read(balanced ?? inBrackets(printed, 'every').filter((element) => element === 'expense'));
};

/** So few amounts come to nothing by chance. */
const FEW = 3;

/** Whether amounts come to nothing as statements print them, and in no other way. */
export const balanceAsPrinted = (printed: readonly Printed[]): boolean => {
  const held = printed.filter(({ amount }) => amount !== 0);
  const apart = sum(held.map(({ amount }) => amount)) !== 0;
  return apart && held.length > FEW && sum(debitsPositive(held)) === 0;
};
