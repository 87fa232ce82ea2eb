import { ELEMENTS } from '../../kinds/element';
import { elementOf, KIND_CODES } from '../../kinds/kinds';
import { SECTION_AT, SECTIONS } from './orders';

const K = KIND_CODES.length;
/** Shares of kinds, then of the sections to which they lead, then of elements. */
export const [SECTIONS_FROM, ELEMENTS_FROM] = [K, K + SECTIONS.length];
export const PARTS = ELEMENTS_FROM + ELEMENTS.length;
const SECTION_PART = SECTION_AT.map((place) => SECTIONS_FROM + place);
const ELEMENT_PART = KIND_CODES.map((kind) => ELEMENTS_FROM + ELEMENTS.indexOf(elementOf(kind)));

/** Adds to the score of each kind what was heard of it, of its section and of its element. */
export const addHeard = (scores: Float64Array, heard: Float64Array): void => {
  for (let k = 0; k < K; k += 1)
    scores[k] =
      (scores[k] ?? 0) +
      (heard[k] ?? 0) +
      (heard[SECTION_PART[k] ?? 0] ?? 0) +
      (heard[ELEMENT_PART[k] ?? 0] ?? 0);
};

/** What the rows of a list are thought to be: for each row a share for each kind. */
export type Shares = readonly Float64Array[];

/** A share below this is not worth hearing; of the many kinds that a row might be, few are above it. */
const HEARD = 2e-4;

/** Shares of kinds, sections and elements, only those worth hearing: those of a row stand from its place in `from` up to the next. */
export interface Parts {
  readonly count: number;
  readonly from: Int32Array;
  readonly part: Uint8Array;
  readonly share: Float64Array;
}

/** Shares of parts that are added up one by one; those that were touched are known, so that nobody looks at all. */
export class PartSum {
  readonly share = new Float64Array(PARTS);
  readonly touched = new Uint8Array(PARTS);
  count = 0;
  private readonly holds = new Uint8Array(PARTS);

  clear(): void {
    for (let index = 0; index < this.count; index += 1) {
      const part = this.touched[index] ?? 0;
      this.share[part] = 0;
      this.holds[part] = 0;
    }
    this.count = 0;
  }

  add(part: number, share: number): void {
    if (this.holds[part] === 0) {
      this.holds[part] = 1;
      this.touched[this.count] = part;
      this.count += 1;
    }
    this.share[part] = (this.share[part] ?? 0) + share;
  }

  /** Adds what a row is thought to be, so many times. */
  addRow({ from, part, share }: Parts, at: number, times: number): void {
    const end = from[at + 1] ?? 0;
    for (let place = from[at] ?? 0; place < end; place += 1)
      this.add(part[place] ?? 0, times * (share[place] ?? 0));
  }
}

/** The shares of the kinds, sections and elements of each row. */
export const partsOf = (rows: Shares): Parts => {
  const from = new Int32Array(rows.length + 1);
  // A row has at most all kinds, and for each of them a section and an element.
  let room = rows.length * 24 + PARTS;
  let [part, share] = [new Uint8Array(room), new Float64Array(room)];
  const sum = new PartSum();
  let put = 0;
  const widen = (): void => {
    room *= 2;
    const [widerPart, widerShare] = [new Uint8Array(room), new Float64Array(room)];
    widerPart.set(part);
    widerShare.set(share);
    [part, share] = [widerPart, widerShare];
  };
  rows.forEach((shares, at) => {
    sum.clear();
    for (let k = 0; k < K; k += 1) {
      const own = shares[k] ?? 0;
      if (own < HEARD) continue;
      sum.add(k, own);
      sum.add(SECTION_PART[k] ?? 0, own);
      sum.add(ELEMENT_PART[k] ?? 0, own);
    }
    if (put + sum.count > room) widen();
    for (let index = 0; index < sum.count; index += 1, put += 1) {
      part[put] = sum.touched[index] ?? 0;
      share[put] = sum.share[sum.touched[index] ?? 0] ?? 0;
    }
    from[at + 1] = put;
  });
  return { count: rows.length, from, part, share };
};
