import { childrenByPlace } from '../../collections/children-by-place';
import { ELEMENTS } from '../../kinds/element';
import { elementOf, KIND_CODES } from '../../kinds/kinds';
import { nameKey } from '../../text/name-key';
import { wordsOf } from '../words';
import { SECTION_AT, SECTIONS } from './orders';
import type { RowSaid } from './row-features';

const K = KIND_CODES.length;
const ELEMENT_AT = KIND_CODES.map((kind) => ELEMENTS.indexOf(elementOf(kind)));
/** Shares of kinds, then of the sections to which they lead, then of elements. */
export const [SECTIONS_FROM, ELEMENTS_FROM] = [K, K + SECTIONS.length];
export const PARTS = ELEMENTS_FROM + ELEMENTS.length;
export const SECTION_PART = SECTION_AT.map((place) => SECTIONS_FROM + place);
export const ELEMENT_PART = ELEMENT_AT.map((place) => ELEMENTS_FROM + place);

/** A row of a list among the others. */
export interface PlacedSaid {
  readonly said: RowSaid;
  /** The place of the row above it; `null` for none. */
  readonly parent: number | null;
}

/** What the rows of a list are thought to be: for each row a share for each kind. */
export type Shares = readonly Float64Array[];

/** The shares of the kinds, sections and elements of each row. */
export const partsOf = (shares: Float64Array): Float64Array => {
  const parts = new Float64Array(PARTS);
  for (let k = 0; k < K; k += 1) {
    const share = shares[k] ?? 0;
    parts[k] = share;
    for (const part of [SECTION_PART[k] ?? 0, ELEMENT_PART[k] ?? 0])
      parts[part] = (parts[part] ?? 0) + share;
  }
  return parts;
};

/** Puts into `mean` what others say of a row, a share for each part; false where nobody says anything. */
export type Voice = (at: number, mean: Float64Array) => boolean;

const addTo = (sum: Float64Array, more: Float64Array | undefined, times = 1): void => {
  if (more === undefined) return;
  for (let part = 0; part < PARTS; part += 1)
    sum[part] = (sum[part] ?? 0) + times * (more[part] ?? 0);
};

/** The rows that share a key, but for the row itself. */
export const othersBy = (shares: Shares, keys: readonly (string | null)[]): Voice => {
  const groups = new Map<string, { readonly sum: Float64Array; count: number }>();
  keys.forEach((key, at) => {
    if (key === null) return;
    const group = groups.get(key) ?? { sum: new Float64Array(PARTS), count: 0 };
    addTo(group.sum, shares[at]);
    group.count += 1;
    groups.set(key, group);
  });
  return (at, mean) => {
    const group = groups.get(keys[at] ?? '');
    if (group === undefined || group.count < 2) return false;
    const own = shares[at];
    for (let part = 0; part < PARTS; part += 1)
      mean[part] = Math.max(0, (group.sum[part] ?? 0) - (own?.[part] ?? 0)) / (group.count - 1);
    return true;
  };
};

/** The rows at some places. */
export const rowsAt =
  (shares: Shares, placesOf: (at: number) => readonly number[]): Voice =>
  (at, mean) => {
    const places = placesOf(at);
    mean.fill(0);
    for (const place of places) addTo(mean, shares[place], 1 / places.length);
    return places.length > 0;
  };

/** The rows at some steps from a row. */
export const rowsBeside =
  (shares: Shares, steps: readonly number[]): Voice =>
  (at, mean) => {
    let count = 0;
    for (const step of steps) if (shares[at + step] !== undefined) count += 1;
    mean.fill(0);
    for (const step of steps) addTo(mean, shares[at + step], 1 / count);
    return count > 0;
  };

/** The row above a row in the tree. */
export const rowAbove =
  (shares: Shares, rows: readonly PlacedSaid[]): Voice =>
  (at, mean) => {
    const above = shares[rows[at]?.parent ?? -1];
    if (above === undefined) return false;
    mean.set(above);
    return true;
  };

/** Numbers that begin alike and are as long; of those that begin with letters the letters are what counts. */
const numberKey = (number: string | null, kept: number): string | null => {
  const [, letters = '', digits = ''] = /^(\p{L}*)[-. ]?(\d*)/u.exec(number ?? '') ?? [];
  if (letters !== '') return `${letters} ${digits.slice(0, kept - 1)}`;
  return digits.length <= kept ? null : `${digits.length} ${digits.slice(0, kept)}`;
};

/** What of a list is asked again and again, worked out once. */
export interface ListKeys {
  readonly rows: readonly PlacedSaid[];
  readonly children: readonly (readonly number[])[];
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
