import { elementOf, isContra } from '../kinds/kinds';
import type { Element } from '../kinds/element';
import { negate, sum, type Minor } from '../money/minor';
import type { ImportEntry } from './entry';
import type { RowKind } from './import-kinds';
import { profitOf } from './result-lines';
import type { TreeRow } from './tree-row';

/** Surer kinds than this are not doubted for a sum. */
const SURE = 0.9;
/** Of more lines in doubt some come to anything. */
const MOST_IN_DOUBT = 12;
const MOST_WRONG = 3;
/** A print has no more results than these; a list made to have more takes no longer. */
const RESULTS = 40;

/** A line of a statement on its way to a result, by its place among the rows. */
interface Line {
  readonly at: number;
  readonly line: number;
  readonly element: Element;
  /** What it adds to the profit. */
  readonly adds: Minor;
  readonly isDoubtful: boolean;
}

const linesOf = (rows: readonly TreeRow[], kinds: readonly RowKind[]): readonly Line[] => {
  const leaders = new Set(rows.map(({ parent }) => parent));
  return rows.flatMap(({ entry, parent }, at): Line[] => {
    const kind = kinds[at];
    const element = kind === undefined ? null : elementOf(kind.kind);
    const counts = element === 'revenue' || element === 'expense';
    if (kind === undefined || !counts || (entry.balance ?? 0) === 0) return [];
    const alone = parent === null && !leaders.has(at) && !isContra(kind.kind);
    const isDoubtful = alone && !kind.stated && kind.confidence < SURE;
    return [{ at, line: entry.line, element, adds: negate(entry.balance ?? 0), isDoubtful }];
  });
};

/** The sets of so many of some lines. */
const setsOf = (lines: readonly Line[], count: number): readonly (readonly Line[])[] =>
  count === 0
    ? [[]]
    : lines.flatMap((line, at) =>
        setsOf(lines.slice(at + 1), count - 1).map((others) => [line, ...others]),
      );

/** The fewest lines that, taken for the other side, make up for what is apart; none where others would do as well. */
const turnedOver = (doubtful: readonly Line[], apart: Minor): readonly Line[] => {
  if (apart === 0 || doubtful.length > MOST_IN_DOUBT) return [];
  for (let count = 1; count <= MOST_WRONG; count += 1) {
    const [found, ...others] = setsOf(doubtful, count).filter(
      (lines) => -2 * sum(lines.map(({ adds }) => adds)) === apart,
    );
    if (found !== undefined) return others.length === 0 ? found : [];
  }
  return [];
};

const otherOf = (element: Element): Element => (element === 'revenue' ? 'expense' : 'revenue');

/**
 * Lines that a printed result shows to be on the other side than they were taken for: what stands before “Gross profit” or
 * “Net profit” comes to it only if one line in doubt, or a few, are income instead of expenses, or the other way round.
 * @param rows   the rows, amounts debit positive
 * @param totals lines that are worked out
 * @returns the elements of such lines, and of all others in doubt that a result bears out, by place among the rows; none
 *   where every line was taken for its own side
 */
export const toldByResults = (
  rows: readonly TreeRow[],
  kinds: readonly RowKind[],
  totals: readonly ImportEntry[],
): ReadonlyMap<number, Element> => {
  let lines = linesOf(rows, kinds);
  const told = new Map<number, Element>();
  const turned = new Set<number>();
  const results = totals.map((total) => ({ line: total.line, profit: profitOf(total) ?? 0 }));
  for (const { line: end, profit } of results.filter((one) => one.profit !== 0).slice(0, RESULTS)) {
    const before = lines.filter(({ line }) => line < end);
    const doubtful = before.filter(({ isDoubtful }) => isDoubtful);
    const apart = profit - sum(before.map(({ adds }) => adds));
    const wrong = new Set(turnedOver(doubtful, apart));
    if (apart !== 0 && wrong.size === 0) continue;
    for (const { at } of wrong) turned.add(at);
    lines = lines.map((line) => (wrong.has(line) ? { ...line, adds: negate(line.adds) } : line));
    for (const { at, element } of doubtful)
      told.set(at, turned.has(at) ? otherOf(element) : element);
  }
  return turned.size > 0 ? told : new Map();
};
