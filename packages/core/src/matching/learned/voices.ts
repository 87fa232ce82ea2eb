import { childrenByPlace } from '../../collections/children-by-place';
import { nameKey } from '../../text/name-key';
import { wordsOf } from '../words';
import { PARTS, PartSum, type Parts } from './parts';
import type { RowSaid } from './row-features';

/** A row of a list among the others. */
export interface PlacedSaid {
  readonly said: RowSaid;
  /** The place of the row above it; `null` for none. */
  readonly parent: number | null;
}

/** Puts into `sum`, which is empty, what others say of a row, a share for each part; false where nobody says anything. */
export type Voice = (at: number, sum: PartSum) => boolean;

/** What the rows that share a key are thought to be, added up. */
export interface Group {
  readonly sum: PartSum;
  readonly count: number;
}

/** The group of each row; `null` for one that has nobody beside it. */
export const groupsBy = (
  parts: Parts,
  keys: readonly (string | null)[],
): readonly (Group | null)[] => {
  const members = new Map<string, number[]>();
  keys.forEach((key, at) => {
    if (key === null) return;
    const own = members.get(key);
    if (own === undefined) members.set(key, [at]);
    else own.push(at);
  });
  const groups: (Group | null)[] = keys.map(() => null);
  for (const places of members.values()) {
    if (places.length < 2) continue;
    const group = { sum: new PartSum(), count: places.length };
    for (const at of places) {
      group.sum.addRow(parts, at, 1);
      groups[at] = group;
    }
  }
  return groups;
};

/** The rows that share a key, but for the row itself. */
export const othersBy = (parts: Parts, keys: readonly (string | null)[]): Voice => {
  const groups = groupsBy(parts, keys);
  const own = new Float64Array(PARTS);
  const setOwn = (at: number, times: number): void => {
    const end = parts.from[at + 1] ?? 0;
    for (let place = parts.from[at] ?? 0; place < end; place += 1)
      own[parts.part[place] ?? 0] = times * (parts.share[place] ?? 0);
  };
  return (at, sum) => {
    const group = groups[at] ?? null;
    if (group === null) return false;
    setOwn(at, 1);
    for (let index = 0; index < group.sum.count; index += 1) {
      const part = group.sum.touched[index] ?? 0;
      const others = (group.sum.share[part] ?? 0) - (own[part] ?? 0);
      sum.add(part, Math.max(0, others) / (group.count - 1));
    }
    setOwn(at, 0);
    return true;
  };
};

/** The rows at some places. */
export const rowsAt =
  (parts: Parts, placesOf: (at: number) => readonly number[]): Voice =>
  (at, sum) => {
    const places = placesOf(at);
    for (const place of places) sum.addRow(parts, place, 1 / places.length);
    return places.length > 0;
  };

/** The rows at some steps from a row. */
export const rowsBeside =
  (parts: Parts, steps: readonly number[]): Voice =>
  (at, sum) => {
    const there = (place: number): boolean => place >= 0 && place < parts.count;
    let count = 0;
    for (const step of steps) if (there(at + step)) count += 1;
    for (const step of steps) if (there(at + step)) sum.addRow(parts, at + step, 1 / count);
    return count > 0;
  };

/** The row above a row in the tree. */
export const rowAbove =
  (parts: Parts, rows: readonly PlacedSaid[]): Voice =>
  (at, sum) => {
    const above = rows[at]?.parent ?? null;
    if (above === null) return false;
    sum.addRow(parts, above, 1);
    return true;
  };

/** Numbers that begin alike and are as long; of those that begin with letters the letters are what counts. */
const numberKey = (number: string | null, kept: number): string | null => {
  const [, letters = '', digits = ''] = /^(\p{L}*)[-. ]?(\d*)/u.exec(number ?? '') ?? [];
  if (letters !== '') return `${letters} ${digits.slice(0, kept - 1)}`;
  return digits.length <= kept ? null : `${digits.length} ${digits.slice(0, kept)}`;
};

/** By what rows belong together, in the order in which they are heard. */
export const BELONGING = {
  type: 0,
  parent: 1,
  firstDigit: 2,
  firstDigits: 3,
  firstWord: 4,
  lastWord: 5,
} as const;

/** What of a list is asked again and again, worked out once. */
export interface ListKeys {
  readonly rows: readonly PlacedSaid[];
  readonly children: readonly (readonly number[])[];
  /** By `BELONGING`. */
  readonly byKey: readonly (readonly (string | null)[])[];
}

/** The keys by which rows belong together: type, parent, digits, first and last word. */
export const keysOfList = (rows: readonly PlacedSaid[]): ListKeys => {
  const words = rows.map(({ said }) => wordsOf(said.name));
  return {
    rows,
    children: childrenByPlace(rows),
    byKey: [
      rows.map(({ said }) => (said.type === '' ? null : nameKey(said.type))),
      rows.map(({ parent }) => (parent === null ? null : String(parent))),
      rows.map(({ said }) => numberKey(said.number, 1)),
      rows.map(({ said }) => numberKey(said.number, 2)),
      words.map((own) => own[0] ?? null),
      words.map((own) => own.at(-1) ?? null),
    ],
  };
};
