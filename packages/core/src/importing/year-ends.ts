import type { Element } from '../kinds/element';
import type { KindCode } from '../kinds/kinds';
import { sum, type Minor } from '../money/minor';
import type { ImportEntry } from './entry';
import { isOutcome } from './result-lines';

/** What a year began with, by name; common practice, no source. */
const OPENING =
  /\b(?:opening|brought forward|b\/?f(?:wd)?|start|beginning)\b|\b1(?:st)?(?: of)? \p{L}{3,}|\b0?1[/.-]\d/iu;

/** Money in hand, which is an account where nothing else in the list has it. */
const MONEY = /\b(?:bank|cash|balances?)\b/i;

/** Where money is, which a name may say by itself. */
const SAYS_WHERE = /\b(?:bank|cash)\b/i;

/** What a year began with and ended with, behind what it comes to. */
export interface YearEnds {
  /** Of which element such a line is, by the line of the file. */
  readonly elements: ReadonlyMap<number, Element>;
  /** Of which kind one is that is called as money is and says no more, by the line of the file. */
  readonly kinds: ReadonlyMap<number, KindCode>;
  /** What it ended with, and what is left of it, where that only repeats what other lines come to. */
  readonly repeats: ReadonlySet<ImportEntry>;
}

interface Reconciled {
  readonly between: readonly ImportEntry[];
  readonly closing: ImportEntry;
}

/** Nobody takes off more lines than these from what a year came to. */
const REACH = 6;

const isPlain = (entry: ImportEntry | undefined): entry is ImportEntry & { balance: Minor } =>
  entry !== undefined && entry.number === null && entry.balance !== null && entry.balance !== 0;

/** The lines behind a result up to one that they add up to with it; what is taken off may stand without a minus. */
const reconciledBy = (
  lines: readonly ImportEntry[],
  at: number,
  isWorkedOut: (entry: ImportEntry) => boolean,
): Reconciled | null => {
  const result = lines[at];
  if (!isPlain(result)) return null;
  let moved = 0;
  for (let next = at + 1; next < Math.min(lines.length - 1, at + 1 + REACH); next += 1) {
    const [line, closing] = [lines[next], lines[next + 1]];
    if (!isPlain(line) || !isPlain(closing) || isWorkedOut(line)) return null;
    moved += line.balance;
    if (
      [moved + result.balance, moved - result.balance, result.balance - moved].includes(
        closing.balance,
      )
    )
      return { between: lines.slice(at + 1, next + 1), closing };
  }
  return null;
};

/** How lists call who gets how much of a result; common practice, no source. */
const SHARED = /\b(?:share|shares|appropriat\w*|allocat\w*|distribut\w*)\b/i;

/** A print names no more partners than these. */
const MOST_SHARES = 40;

/** Lines behind a result that share all of it out, by their names and to the last cent. */
const sharedOut = (lines: readonly ImportEntry[], at: number): readonly ImportEntry[] => {
  const [result, ...behind] = lines.slice(at, at + MOST_SHARES);
  const end = behind.findIndex((line) => !isPlain(line) || !SHARED.test(line.name));
  const shares = end < 0 ? behind : behind.slice(0, end);
  const all = sum(shares.map(({ balance }) => balance ?? 0));
  return shares.length > 1 && Math.abs(all) === Math.abs(result?.balance ?? 0) ? shares : [];
};

/** Whether lines before or behind come to an amount: a sum of theirs, or all behind together. */
const isHeldElsewhere = (
  { balance }: ImportEntry,
  others: readonly ImportEntry[],
  { behind, sums }: { behind: readonly ImportEntry[]; sums: (entry: ImportEntry) => boolean },
): boolean => {
  const total = sum(behind.filter((entry) => !sums(entry)).map((entry) => entry.balance ?? 0));
  return total === balance || others.some((entry) => entry.balance === balance);
};

/** How lists call what is left of a result: the second of two partners' shares adds up with the first, too. Common practice, no source. */
const LEFT =
  /\b(?:retained|left|remaining|remainder|carried|balance|surplus|deficit|after|transfer(?:red)?)\b/i;

/**
 * Finds what a year began with and ended with where a statement reconciles them with what the year comes to: “Surplus”,
 * “Bank balance at 1 April”, “Bank balance at 31 March”; and what is left once drawings are taken off, or shared out among
 * partners. What it began with is equity, for the list has its surplus by itself, and the money that it ended with is an
 * asset, unless other lines hold them. `isWorkedOut` tells results and sums.
 */
export const yearEndsOf = (
  lines: readonly ImportEntry[],
  isWorkedOut: (entry: ImportEntry) => boolean,
): YearEnds => {
  const elements = new Map<number, Element>();
  const kinds = new Map<number, KindCode>();
  const repeats = new Set<ImportEntry>();
  const reconcile = ({ between, closing }: Reconciled, behind: readonly ImportEntry[]): void => {
    const opening =
      between.length === 1 ? between.find(({ name }) => OPENING.test(name)) : undefined;
    const others = lines.filter((one) => one !== closing && one !== opening);
    // A balance sheet in the same list has the fund by its own name.
    const again = others.some(({ balance }) => balance === opening?.balance);
    if (opening !== undefined && again) repeats.add(opening);
    else if (opening !== undefined) {
      elements.set(opening.line, 'equity');
      if (MONEY.test(opening.name)) kinds.set(opening.line, 'openingBalanceEquity');
    }
    if (isWorkedOut(closing)) return;
    const holds =
      opening !== undefined &&
      MONEY.test(closing.name) &&
      !isHeldElsewhere(closing, others, { behind, sums: isWorkedOut });
    if (holds) elements.set(closing.line, 'asset');
    if (holds && !SAYS_WHERE.test(closing.name)) kinds.set(closing.line, 'bank');
    if (holds) return;
    if (opening !== undefined || LEFT.test(closing.name)) repeats.add(closing);
  };
  const held = lines.filter((line) => line.balance !== null);
  held.forEach((line, at) => {
    if (!isWorkedOut(line) || !isOutcome(line.name)) return;
    for (const share of sharedOut(held, at)) repeats.add(share);
    const found = reconciledBy(held, at, isWorkedOut);
    if (found !== null) reconcile(found, held.slice(held.indexOf(found.closing) + 1));
  });
  return { elements, kinds, repeats };
};
