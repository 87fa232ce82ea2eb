import { elementOf, KIND_CODES, sectionOf } from '../../kinds/kinds';

/** The sections to which kinds lead; an element stands for those that lead to none. */
export const SECTIONS = [...new Set(KIND_CODES.map((kind) => sectionOf(kind) ?? elementOf(kind)))];
/** The place of the section to which each kind leads. */
export const SECTION_AT = KIND_CODES.map((kind) =>
  SECTIONS.indexOf(sectionOf(kind) ?? elementOf(kind)),
);
const S = SECTIONS.length;

/** How far apart rows stand whose order says something: the first and the last distance of each reach. */
const REACHES: readonly (readonly [first: number, last: number])[] = [
  [1, 3],
  [4, 12],
  [13, 40],
];
/** Each reach is looked at before a row and after it. */
export const ORDER_VOICES = 2 * REACHES.length;

/**
 * How much more often than by chance one section stands before another within each reach: a table for each, by the
 * earlier section and then the later one.
 */
export type Orders = readonly ArrayLike<number>[];

/** As many pairs are thought to be seen of each by chance, so that what is rare says little. */
const SEEN = 5;

/** Learns how sections follow one another, from lists whose rows' sections are known; `null` where one is not. */
export const learnOrders = (lists: readonly (readonly (number | null)[])[]): Orders =>
  REACHES.map(([first, last]) => {
    const pairs = new Float64Array(S * S);
    for (const sections of lists)
      sections.forEach((earlier, at) => {
        for (const later of sections.slice(at + first, at + last + 1))
          if (earlier !== null && later !== null)
            pairs[earlier * S + later] = (pairs[earlier * S + later] ?? 0) + 1;
      });
    const places = SECTIONS.map((_section, place) => place);
    const sum = (cells: readonly number[]): number =>
      cells.reduce((so, cell) => so + (pairs[cell] ?? 0), 0);
    const earlier = places.map((place) => sum(places.map((other) => place * S + other)));
    const later = places.map((place) => sum(places.map((other) => other * S + place)));
    const all = earlier.reduce((so, count) => so + count, 0);
    return Array.from(pairs, (count, cell) => {
      const row = earlier[Math.floor(cell / S)] ?? 0;
      const chance = (row * (later[cell % S] ?? 0)) / Math.max(1, all);
      return Number(((count + SEEN) / (chance + SEEN)).toFixed(3));
    });
  });

/** For each row, and behind the last, the sum of the shares of all rows before. */
const summedUp = (shares: Float64Array): Float64Array => {
  const sums = new Float64Array(shares.length + S);
  for (let cell = 0; cell < shares.length; cell += 1)
    sums[cell + S] = (sums[cell] ?? 0) + (shares[cell] ?? 0);
  return sums;
};

/** A section that is less likely than this among others says nothing of what follows it. */
const NOTHING = 1e-3;

/** Puts into `said` what stands before or after a row says for each section; false where nothing stands there. */
export type OrderVoice = (at: number, voice: number, said: Float64Array) => boolean;

/** What the order of a list says of its rows, by the shares of their sections, those of one row after the other. */
export const orderVoice = (shares: Float64Array, orders: Orders): OrderVoice => {
  const sums = summedUp(shares);
  const count = shares.length / S;
  return (at, voice, said) => {
    const reach = voice >> 1;
    const before = voice % 2 === 0;
    const [first = 1, last = 1] = REACHES[reach] ?? [];
    const table = orders[reach] ?? [];
    const from = before ? Math.max(0, at - last) : Math.min(count, at + first);
    const to = before ? Math.max(0, at - first + 1) : Math.min(count, at + last + 1);
    if (to <= from) return false;
    said.fill(NOTHING);
    for (let other = 0; other < S; other += 1) {
      const share = ((sums[to * S + other] ?? 0) - (sums[from * S + other] ?? 0)) / (to - from);
      if (share < NOTHING) continue;
      for (let own = 0; own < S; own += 1) {
        const cell = before ? other * S + own : own * S + other;
        said[own] = (said[own] ?? 0) + share * (table[cell] ?? 1);
      }
    }
    for (let own = 0; own < S; own += 1) said[own] = Math.log(said[own] ?? 1);
    return true;
  };
};
