import { KIND_CODES, normalSideOfKind } from '../../kinds/kinds';
import { ORDER_VOICES, orderVoice, SECTION_AT, SECTIONS, type Orders } from './orders';
import { softmax } from './softmax';
import {
  ELEMENT_PART,
  ELEMENTS_FROM,
  othersBy,
  PARTS,
  partsOf,
  rowAbove,
  rowsAt,
  rowsBeside,
  SECTION_PART,
  SECTIONS_FROM,
  type ListKeys,
  type Shares,
  type Voice,
} from './voices';

const K = KIND_CODES.length;
const DEBIT = KIND_CODES.map((kind) => normalSideOfKind(kind) === 'debit');

const NEAR: readonly (readonly number[])[] = [[-1], [1], [-2, -3], [2, 3], [-4, -5, -6, 4, 5, 6]];

/** Everybody who may say something of a row, in a fixed order. */
const voicesOf = ({ rows, children, byKey }: ListKeys, shares: Shares): readonly Voice[] => [
  ...byKey.map((keys) => othersBy(shares, keys)),
  rowAbove(shares, rows),
  rowsAt(shares, (at) => children[at] ?? []),
  ...NEAR.map((steps) => rowsBeside(shares, steps)),
];

const VOICES = 6 + 2 + NEAR.length;
/** What a voice says is heard three times: of the kind, of its section, of its element. */
const HEARD = 3;
/** Where the weights of what the order says begin, and that of the balance's side stands. */
const ORDERS_FROM = 2 + VOICES * HEARD;
const BALANCE_AT = ORDERS_FROM + ORDER_VOICES;
/** How many things are weighed against one another. */
export const JOINT_COUNT = BALANCE_AT + 1;

/** A share below this is doubt, not knowledge; of a row itself much less is. */
const LEAST = 0.004;
const LEAST_OWN = 1e-5;
/** A part so small of the least share, which most are, needs no logarithm. */
const NOTHING = 0.01;

/** How much more than nothing a share says. What all kinds have in common says nothing, and is left out. */
const said = (share: number, least: number): number =>
  share < NOTHING * least ? 0 : Math.log(1 + share / least);

/** Adds what a row says of itself. */
const addOwn = (scores: Float64Array, shares: Float64Array | undefined, weight: number): void => {
  for (let k = 0; k < K; k += 1)
    scores[k] = (scores[k] ?? 0) + weight * said(shares?.[k] ?? 0, LEAST_OWN);
};

/** Adds what others say, of the kind itself, of its section and of its element; `parts` is changed. */
const addMean = (
  scores: Float64Array,
  parts: Float64Array,
  weights: readonly [kind: number, section: number, element: number],
): void => {
  const [kind, section, element] = weights;
  for (let part = 0; part < PARTS; part += 1) {
    const weight = part < SECTIONS_FROM ? kind : part < ELEMENTS_FROM ? section : element;
    parts[part] = weight * said(parts[part] ?? 0, LEAST);
  }
  for (let k = 0; k < K; k += 1)
    scores[k] =
      (scores[k] ?? 0) +
      (parts[k] ?? 0) +
      (parts[SECTION_PART[k] ?? 0] ?? 0) +
      (parts[ELEMENT_PART[k] ?? 0] ?? 0);
};

/** Adds what speaks for the section of a kind. */
const addSections = (scores: Float64Array, bySection: Float64Array, weight: number): void => {
  for (let k = 0; k < K; k += 1)
    scores[k] = (scores[k] ?? 0) + weight * (bySection[SECTION_AT[k] ?? 0] ?? 0);
};

/** What was thought of the rows by their own words, and last. */
export interface Thought {
  readonly first: Shares;
  readonly last: Shares;
}

/** How much each thing weighs, which rows need no judgement, and who is told the score of each kind for each row. */
export interface Weighing {
  readonly weights: ArrayLike<number>;
  readonly orders: Orders;
  readonly settled?: ReadonlySet<number>;
  /** `scores` is used anew for the next row. */
  visit(at: number, scores: Float64Array): void;
}

/**
 * Scores the kinds of each row that is not settled: by its own words, by what was thought of it last, by what
 * others say that have its type, parent, number or words in common or stand near, by what sections stand before and
 * after it, and by the side of its balance.
 */
export const weigh = (
  keys: ListKeys,
  { first, last }: Thought,
  { weights, orders, settled, visit }: Weighing,
): void => {
  const parts = last.map(partsOf);
  const voices = voicesOf(keys, parts);
  const order = orderVoice(
    parts.map((own) => own.subarray(SECTIONS_FROM, ELEMENTS_FROM)),
    orders,
  );
  const scores = new Float64Array(K);
  const mean = new Float64Array(PARTS);
  const bySection = new Float64Array(SECTIONS.length);
  const weight = (place: number): number => weights[place] ?? 0;
  keys.rows.forEach(({ said: { balance } }, at) => {
    if (settled?.has(at) === true) return;
    scores.fill(0);
    addOwn(scores, first[at], weight(0));
    addOwn(scores, last[at], weight(1));
    voices.forEach((voice, index) => {
      const place = 2 + index * HEARD;
      const own = [weight(place), weight(place + 1), weight(place + 2)] as const;
      if (own.some((one) => one !== 0) && voice(at, mean)) addMean(scores, mean, own);
    });
    for (let index = 0; index < ORDER_VOICES; index += 1) {
      const own = weight(ORDERS_FROM + index);
      if (own !== 0 && order(at, index, bySection)) addSections(scores, bySection, own);
    }
    if (balance !== 0)
      for (let k = 0; k < K; k += 1)
        if (DEBIT[k] === balance > 0) scores[k] = (scores[k] ?? 0) + weight(BALANCE_AT);
    visit(at, scores);
  });
};

/** What the rows are thought to be once everything is weighed; what is settled stays. */
export const thinkAgain = (
  keys: ListKeys,
  thought: Thought,
  weighing: Omit<Weighing, 'visit'>,
): Shares => {
  const shares = [...thought.first];
  weigh(keys, thought, {
    ...weighing,
    visit: (at, scores) => {
      shares[at] = softmax(scores);
    },
  });
  return shares;
};
