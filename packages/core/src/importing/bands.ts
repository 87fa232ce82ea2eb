import { childrenByPlace } from '../collections/children-by-place';
import { bandOf, isMixedBand } from '../kinds/band';
import type { Element } from '../kinds/element';
import { elementOfTitle } from './section-titles';
import { endBetween } from './result-lines';
import type { TreeRow } from './tree-row';

/** Rows without those that only name an element, and the element that those name for what is below. */
export interface BandsLifted {
  readonly rows: readonly TreeRow[];
  /** Places of the rows that are no accounts. */
  readonly bands: ReadonlySet<number>;
  /** The element under which a main account stood, by place. */
  readonly under: ReadonlyMap<number, Element>;
}

const isBare = ({ entry }: TreeRow): boolean =>
  entry.number === null && entry.type === null && (entry.balance ?? 0) === 0;

/** A line that says nothing but the name of an element, or of several. */
const namesElement = (row: TreeRow): boolean =>
  isBare(row) && (bandOf(row.entry.name) !== null || isMixedBand(row.entry.name));

/** Bands of a tree: main rows, or rows below another band, that have others below them or come before a title. */
const bandsOfTree = (rows: readonly TreeRow[]): ReadonlySet<number> => {
  const children = childrenByPlace(rows);
  const bands = new Set<number>();
  /** A line without anything of its own over titles of several elements. */
  const leadsElements = (at: number): boolean => {
    const row = rows[at];
    const below = (children[at] ?? []).flatMap((child) => {
      const leads = (children[child]?.length ?? 0) > 0;
      return leads ? (elementOfTitle(rows[child]?.entry.name ?? '') ?? []) : [];
    });
    return row !== undefined && isBare(row) && new Set(below).size > 1;
  };
  /** A title of its element, or of several, with nothing but the next title below it, which is not set in. */
  const precedesTitle = (at: number): boolean => {
    const [row, next] = [rows[at], rows[at + 1]];
    if (row === undefined || next?.parent !== row.parent || (children[at + 1]?.length ?? 0) === 0)
      return false;
    const own = bandOf(row.entry.name);
    const others = elementOfTitle(next.entry.name);
    return isMixedBand(row.entry.name) || (own !== null && (others ?? own) === own);
  };
  // A band may stand under another one that comes later: until nothing more is found.
  for (let found = -1; found !== bands.size;) {
    found = bands.size;
    rows.forEach((row, at) => {
      const top = row.parent === null || bands.has(row.parent);
      const leads = (children[at]?.length ?? 0) > 0;
      const heads = leads
        ? namesElement(row) || leadsElements(at)
        : isBare(row) && precedesTitle(at);
      if (top && heads) bands.add(at);
    });
  }
  return bands;
};

/** What says only which part of its element a title leads; common practice, no source. */
const PART = /^(?:current|non[- ]?current|long[- ]term|fixed|other)$/i;

/** A title that is half a name, with the band's name behind it: “CURRENT ASSETS”. */
const wholeTitle = (row: TreeRow, band: string): TreeRow =>
  PART.test(row.entry.name.trim())
    ? { ...row, entry: { ...row.entry, name: `${row.entry.name.trim()} ${band.trim()}` } }
    : row;

/** The band that each row belongs to, by place: it stands below it, or behind one that has nothing below it. */
const bandsAbove = (
  rows: readonly TreeRow[],
  bands: ReadonlySet<number>,
): ReadonlyMap<number, number> => {
  const found = new Map<number, number>();
  const leading = new Set(rows.map(({ parent }) => parent));
  let open: number | null = null;
  rows.forEach((row, at) => {
    if (row.parent !== null && bands.has(row.parent)) found.set(at, row.parent);
    if (row.parent !== null) return;
    const own = bandOf(rows[open ?? -1]?.entry.name ?? '');
    const others = elementOfTitle(row.entry.name);
    if (bands.has(at)) open = leading.has(at) ? null : at;
    else if (own === null || (others ?? own) !== own) open = null;
    else if (open !== null) found.set(at, open);
  });
  return found;
};

const liftFromTree = (rows: readonly TreeRow[]): BandsLifted => {
  const bands = bandsOfTree(rows);
  const above = bandsAbove(rows, bands);
  const under = new Map<number, Element>();
  const lifted = rows.map((row, at): TreeRow => {
    const band = rows[above.get(at) ?? -1]?.entry.name;
    if (band === undefined) return row;
    const element = bandOf(band);
    if (element === null) return { ...row, parent: null };
    under.set(at, element);
    return { ...wholeTitle(row, band), parent: null };
  });
  return { rows: lifted, bands, under };
};

/** In a list without a tree a band is followed by what belongs to it, up to the next one or to a result. */
const liftFromList = (rows: readonly TreeRow[], ends: readonly number[]): BandsLifted => {
  const bands = new Set<number>();
  const under = new Map<number, Element>();
  let element: Element | null = null;
  rows.forEach((row, at) => {
    if (endBetween(ends, rows[at - 1]?.entry, row.entry)) element = null;
    if (namesElement(row)) {
      bands.add(at);
      element = bandOf(row.entry.name);
    } else if (element !== null && row.parent === null) under.set(at, element);
  });
  return { rows, bands, under };
};

/**
 * Takes rows that only name an element (“Assets”, without number, type and balance) out of the list: they
 * are no accounts. What is below them, or in a list without a tree behind them, stands for itself and is
 * of that element. `ends` are the lines of the file at which all before them ends.
 */
export const liftBands = (rows: readonly TreeRow[], ends: readonly number[]): BandsLifted =>
  rows.some(({ parent }) => parent !== null) ? liftFromTree(rows) : liftFromList(rows, ends);
