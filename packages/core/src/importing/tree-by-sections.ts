import type { Element } from '../kinds/element';
import type { ImportEntry } from './entry';
import type { RowsRead } from './read-rows';
import { elementOfTitle, sectionTitles, type SectionTitle } from './section-titles';
import { endBetween, sectionEnds } from './result-lines';
import { mostOf, type ElementOfEntry } from './element-of-entry';
import { unplacedRow, type TreeRow } from './tree-row';

interface Section {
  readonly at: number;
  readonly element: Element | null;
}

/** So many lines behind a title tell of what it is. */
const FIRST_LINES = 5;

/** What is added to a result belongs to nothing before it. */
const ADDED = /^add\b\s*:/i;

class SectionWalk {
  private wide: Section | null = null;
  private section: Section | null = null;

  constructor(
    private readonly entries: readonly ImportEntry[],
    private readonly titles: readonly (SectionTitle | null)[],
    private readonly elementOf: ElementOfEntry,
    /** The lines of the file at which all sections before them end. */
    private readonly ends: readonly number[],
  ) {}

  /** The place of what leads a line, a title or another; `null` for nothing. */
  leaderOf(at: number): number | null {
    const title = this.titles[at] ?? null;
    if (title === null) return this.leaderOfLine(at);
    const element = title.element ?? this.elementAfter(at, title);
    return this.leaderOfTitle(at, { ...title, element });
  }

  /** What a title does not say, the first lines behind it do; a statement is of no one element. */
  private elementAfter(at: number, { wide }: SectionTitle): Element | null {
    if (wide) return null;
    const next = this.titles.findIndex((title, place) => place > at && title !== null);
    const end = Math.min(at + 1 + FIRST_LINES, next < 0 ? Infinity : next);
    return mostOf(this.entries.slice(at + 1, end), this.elementOf);
  }

  private leaderOfTitle(at: number, { element, wide }: SectionTitle): number | null {
    const outer = this.wide;
    const within =
      outer !== null && (outer.element === null || element === null || outer.element === element);
    if (wide || !within) this.wide = wide ? { at, element } : null;
    this.section = wide ? null : { at, element };
    return wide || !within ? null : outer.at;
  }

  private leaderOfLine(at: number): number | null {
    if (ADDED.test(this.entries[at]?.name ?? '') || this.endsBefore(at)) this.section = null;
    const leader = this.section ?? this.wide;
    if (leader === null) return null;
    if (!this.isStranger(at, leader)) return leader.at;
    // One stranger with an amount stands alone, unless an element leads; with two, or before the next title, the section is over.
    const ends = this.isOver(at + 1, leader);
    if (leader === this.wide && !(ends && this.isStranger(at + 1, leader))) return leader.at;
    if (ends) [this.section, this.wide] = [null, null];
    return ends || (this.entries[at]?.balance ?? 0) !== 0 ? null : leader.at;
  }

  private endsBefore(at: number): boolean {
    return endBetween(this.ends, this.entries[at - 1], this.entries[at]);
  }

  /** Whether a line is clearly of another element than what would lead it. */
  private isStranger(at: number, { element }: Section): boolean {
    const entry = this.entries[at];
    if (entry === undefined || element === null || this.titles[at] != null) return false;
    const own = elementOfTitle(entry.name) ?? this.elementOf(entry);
    return own !== null && own !== element;
  }

  private isOver(at: number, leader: Section): boolean {
    return at >= this.entries.length || this.titles[at] != null || this.isStranger(at, leader);
  }
}

/**
 * Places rows below the title before them, and titles below the element or the statement that a title names. Rows
 * that are clearly of another element end a section: two of them, or one before the next title; and so does a result
 * among the totals: “Net current assets”.
 */
export const treeBySections = (
  { entries, totals }: Pick<RowsRead, 'entries' | 'totals'>,
  elementOf: ElementOfEntry,
): readonly TreeRow[] => {
  const titles = sectionTitles(entries);
  const walk = new SectionWalk(entries, titles, elementOf, sectionEnds(totals));
  return entries.map((entry, at) => {
    const parent = walk.leaderOf(at);
    // What only an element leads has no parent: its account stays where the chart has it.
    const stated = parent !== null && titles[parent]?.wide === false;
    const name = titles[at] == null ? entry.name : entry.name.replace(/\s*:$/, '');
    return { ...unplacedRow({ ...entry, name }), parent, stated };
  });
};
