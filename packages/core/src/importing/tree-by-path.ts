import { cleanName } from '../operations/checks';
import { nameKey } from '../text/name-key';
import type { ImportEntry } from './entry';
import { unplacedRow, type TreeRow } from './tree-row';

/** What may stand between the parts of a path, the plainest first. */
const DASH = ' - ';
const SEPARATORS = [':', '>', '\\', '|', '→', '»', '/', DASH] as const;

const partsOf = (name: string, separator: string): readonly string[] =>
  name
    .split(separator)
    .map(cleanName)
    .filter((part) => part !== '');

/** How many names lead below something that another name is, or begins with. */
const speaksFor = (entries: readonly ImportEntry[], separator: string): number => {
  const whole = new Set(entries.map(({ name }) => nameKey(name)));
  const above = new Map<string, number>();
  const paths = entries.flatMap(({ name }) => {
    const parts = partsOf(name, separator);
    return parts.length < 2 ? [] : [parts.slice(0, -1).map(nameKey).join(separator)];
  });
  for (const path of paths) above.set(path, (above.get(path) ?? 0) + 1);
  return paths.filter((path) => whole.has(path) || (above.get(path) ?? 0) > 1).length;
};

/** The sign between the parts of the names' paths; `null` where names are no paths. */
export const separatorOf = (entries: readonly ImportEntry[]): string | null => {
  let best: { separator: string; count: number } | null = null;
  for (const separator of SEPARATORS) {
    const count = speaksFor(entries, separator);
    if (count > (best?.count ?? 0)) best = { separator, count };
  }
  return best !== null && best.count >= Math.max(2, entries.length * 0.1) ? best.separator : null;
};

const keyOf = (parts: readonly string[]): string => parts.map(nameKey).join('\u0000');

/**
 * Takes names apart where the part before the sign is a parent: a row of its own, or what several names begin with.
 * “Accum. amort. - goodwill” stays a name where nothing else stands below “Accum. amort.”.
 */
const pathsOf = (
  entries: readonly ImportEntry[],
  separator: string,
): ((entry: ImportEntry) => readonly string[]) => {
  const own = new Set(entries.map(({ name }) => keyOf(partsOf(name, separator))));
  const below = new Map<string, number>();
  for (const { name } of entries) {
    const parts = partsOf(name, separator);
    for (let length = 1; length < parts.length; length += 1) {
      const key = keyOf(parts.slice(0, length));
      below.set(key, (below.get(key) ?? 0) + 1);
    }
  }
  const leads = (parts: readonly string[]): boolean =>
    own.has(keyOf(parts)) || (below.get(keyOf(parts)) ?? 0) > 1;
  return ({ name }) => {
    const parts = partsOf(name, separator);
    let depth = parts.length - 1;
    while (depth > 0 && !leads(parts.slice(0, depth))) depth -= 1;
    // A name that leads below a parent once is a path to its end; only a dash may also stand within a name.
    if (depth > 0 && separator !== DASH) return parts;
    return [...parts.slice(0, depth), parts.slice(depth).join(separator)];
  };
};

/**
 * The names of rows that paths place: what stands last, or the whole text where another path ends alike, so that
 * “Capital - Ines” and “Current account - Ines” are told apart.
 */
const namesOf = (
  entries: readonly ImportEntry[],
  pathOf: (entry: ImportEntry) => readonly string[],
): ((entry: ImportEntry) => string) => {
  const ends = new Map<string, Set<string>>();
  const endOf = (entry: ImportEntry): string => pathOf(entry).at(-1) ?? entry.name;
  for (const entry of entries) {
    const end = nameKey(endOf(entry));
    ends.set(end, (ends.get(end) ?? new Set()).add(keyOf(pathOf(entry))));
  }
  return (entry) => {
    const end = endOf(entry);
    const alone = (ends.get(nameKey(end))?.size ?? 0) < 2 || pathOf(entry).length < 2;
    return alone ? end : cleanName(entry.name);
  };
};

/** A heading that only paths name; it has the line of the first row below it. */
const madeHeading = (like: ImportEntry, name: string): ImportEntry => ({
  ...like,
  number: null,
  name,
  parent: null,
  role: 'heading',
  shortLabel: null,
  guidance: null,
  notes: null,
  retired: null,
  balance: null,
  budget: null,
  problems: [],
});

/** Places rows by the paths that their names carry; what a path names and no row is becomes a heading. */
export const treeByPath = (
  entries: readonly ImportEntry[],
  separator: string,
): readonly TreeRow[] => {
  const rows: TreeRow[] = [];
  const known = new Map<string, number>();
  const pathOf = pathsOf(entries, separator);
  const nameOf = namesOf(entries, pathOf);
  const own = new Set(entries.map((entry) => keyOf(pathOf(entry))));
  const later = new Map<number, string>();
  const placeFor = (parts: readonly string[], like: ImportEntry): number | string | null => {
    if (parts.length === 0) return null;
    const key = keyOf(parts);
    const at = known.get(key);
    if (at !== undefined) return at;
    if (own.has(key)) return key;
    const above = placeFor(parts.slice(0, -1), like);
    const made = unplacedRow(madeHeading(like, parts.at(-1) ?? ''));
    known.set(key, rows.length);
    if (typeof above === 'string') later.set(rows.length, above);
    rows.push({ ...made, made: true, parent: typeof above === 'number' ? above : null });
    return rows.length - 1;
  };
  for (const entry of entries) {
    const parts = pathOf(entry);
    const above = placeFor(parts.slice(0, -1), entry);
    const key = keyOf(parts);
    if (!known.has(key)) known.set(key, rows.length);
    if (typeof above === 'string') later.set(rows.length, above);
    const named = unplacedRow({ ...entry, name: nameOf(entry) });
    rows.push({ ...named, parent: typeof above === 'number' ? above : null });
  }
  return rows.map((row, at) => {
    const key = later.get(at);
    return key === undefined ? row : { ...row, parent: known.get(key) ?? null };
  });
};
