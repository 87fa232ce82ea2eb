import type { Element } from '../kinds/element';
import type { ImportEntry } from './entry';
import { elementOfTitle, sectionTitles, type SectionTitle } from './section-titles';
import { mostOf, type ElementOfEntry } from './element-of-entry';
import { unplacedRow, type TreeRow } from './tree-row';

interface Section {
  readonly at: number;
  readonly element: Element | null;
}

/** So many lines of another element, one after the other, end a section. */
const ENDS = 2;

/** So many lines behind a title tell of what it is. */
const FIRST_LINES = 5;

class SectionWalk {
  private wide: Section | null = null;
  private section: Section | null = null;
  private strangers = 0;

  constructor(
    private readonly entries: readonly ImportEntry[],
    private readonly titles: readonly (SectionTitle | null)[],
    private readonly elementOf: ElementOfEntry,
  ) {}

  /** The place of what leads a line, a title or another; `null` for nothing. */
  leaderOf(entry: ImportEntry, at: number): number | null {
    const title = this.titles[at] ?? null;
    return title === null
      ? this.leaderOfLine(entry)
      : this.leaderOfTitle(at, {
          ...title,
          element: title.element ?? this.elementAfter(at, title),
        });
  }

  /** What a title does not say, the first lines behind it do; a statement is of no one element. */
  private elementAfter(at: number, { wide }: SectionTitle): Element | null {
    if (wide) return null;
    const next = this.titles.findIndex((title, place) => place > at && title !== null);
    const end = Math.min(at + 1 + FIRST_LINES, next < 0 ? Infinity : next);
    return mostOf(this.entries.slice(at + 1, end), this.elementOf);
  }

  private leaderOfTitle(at: number, { element, wide }: SectionTitle): number | null {
    this.strangers = 0;
    const outer = this.wide;
    const within =
      outer !== null && (outer.element === null || element === null || outer.element === element);
    if (wide || !within) this.wide = wide ? { at, element } : null;
    this.section = wide ? null : { at, element };
    return wide || !within ? null : outer.at;
  }

  private leaderOfLine(entry: ImportEntry): number | null {
    const leader = this.section ?? this.wide;
    const own = elementOfTitle(entry.name) ?? this.elementOf(entry);
    const strange = leader?.element != null && own !== null && own !== leader.element;
    this.strangers = strange ? this.strangers + 1 : 0;
    if (this.strangers >= ENDS) [this.section, this.wide] = [null, null];
    return strange ? null : (leader?.at ?? null);
  }
}

/**
 * Places rows below the title before them, and titles below the element or the statement that a title names. A row
 * that is clearly of another element than its title stands alone; two of them end the section.
 */
export const treeBySections = (
  entries: readonly ImportEntry[],
  elementOf: ElementOfEntry,
): readonly TreeRow[] => {
  const titles = sectionTitles(entries);
  const walk = new SectionWalk(entries, titles, elementOf);
  return entries.map((entry, at) => {
    const parent = walk.leaderOf(entry, at);
    // What only an element leads has no parent: its account stays where the chart has it.
    const stated = parent !== null && titles[parent]?.wide === false;
    const name = titles[at] == null ? entry.name : entry.name.replace(/\s*:$/, '');
    return { ...unplacedRow({ ...entry, name }), parent, stated };
  });
};
