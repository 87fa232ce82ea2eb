import { cleanName } from '../operations/checks';
import { nameKey } from '../text/name-key';
import { mostOf, type ElementOfEntry } from './element-of-entry';
import type { ImportEntry } from './entry';
import { unplacedRow, type TreeRow } from './tree-row';

/** What may stand between the parts of a path, the plainest first. */
export const DASH = ' - ';
const SEPARATORS = [':', '>', '\\', '|', '→', '»', '/', DASH] as const;

/** A stroke between letters of an abbreviation parts nothing: “A/R”, “w/h”. */
const STROKE = /(?<=[\p{L}\p{N})]{2}\s?)\/(?=\s?\p{L}{2})/u;

const partsOf = (name: string, separator: string): readonly string[] =>
  name
    .split(separator === '/' ? STROKE : separator)
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

/** What stands before a sign: a row of its own, and those that begin with it. */
interface Leader {
  readonly own: ImportEntry | null;
  readonly led: readonly ImportEntry[];
}

const leadersIn = (
  entries: readonly ImportEntry[],
  separator: string,
): ReadonlyMap<string, Leader> => {
  const leaders = new Map<string, { own: ImportEntry | null; led: ImportEntry[] }>();
  const leaderFor = (parts: readonly string[]): { own: ImportEntry | null; led: ImportEntry[] } => {
    const key = keyOf(parts);
    const leader = leaders.get(key) ?? { own: null, led: [] };
    leaders.set(key, leader);
    return leader;
  };
  for (const entry of entries) {
    const parts = partsOf(entry.name, separator);
    leaderFor(parts).own ??= entry;
    for (let length = 1; length < parts.length; length += 1)
      leaderFor(parts.slice(0, length)).led.push(entry);
  }
  return leaders;
};

/** The rows that a leader leads: those of its element, or of that of most of them; two at least where it is no row. */
const ledBy = ({ own, led }: Leader, elementOf: ElementOfEntry): ReadonlySet<ImportEntry> => {
  const element = own === null ? mostOf(led, elementOf) : elementOf(own);
  const those = led.filter((one) => element === null || (elementOf(one) ?? element) === element);
  return new Set(own === null && those.length < 2 ? [] : those);
};

/**
 * Takes names apart where the part before the sign is a parent: a row of its own, or what several names begin with.
 * “Accum. amort. - goodwill” stays a name where nothing else stands below “Accum. amort.”, and “Interest - term
 * deposits”, which is income, where “Interest - margin loan” is an expense.
 */
const pathsOf = (
  entries: readonly ImportEntry[],
  separator: string,
  elementOf: ElementOfEntry,
): ((entry: ImportEntry) => readonly string[]) => {
  const led = new Map(
    [...leadersIn(entries, separator)].map(([key, leader]) => [key, ledBy(leader, elementOf)]),
  );
  const leads = (parts: readonly string[], entry: ImportEntry): boolean =>
    led.get(keyOf(parts))?.has(entry) === true;
  const paths = new Map<ImportEntry, readonly string[]>();
  const pathOf = (entry: ImportEntry): readonly string[] => {
    const parts = partsOf(entry.name, separator);
    let depth = parts.length - 1;
    while (depth > 0 && !leads(parts.slice(0, depth), entry)) depth -= 1;
    // A name that leads below a parent once is a path to its end; only a dash may also stand within a name.
    if (depth > 0 && separator !== DASH) return parts;
    return [...parts.slice(0, depth), parts.slice(depth).join(separator)];
  };
  for (const entry of entries) paths.set(entry, pathOf(entry));
  return (entry) => paths.get(entry) ?? [entry.name];
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
  side: null,
  budget: null,
  problems: [],
});

/**
 * Places rows by the paths that their names carry; what a path names and no row is becomes a heading. A row that is
 * clearly of another element than what would lead it keeps its whole name and stands alone.
 */
export const treeByPath = (
  entries: readonly ImportEntry[],
  separator: string,
  elementOf: ElementOfEntry,
): readonly TreeRow[] => {
  const rows: TreeRow[] = [];
  const known = new Map<string, number>();
  const pathOf = pathsOf(entries, separator, elementOf);
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
