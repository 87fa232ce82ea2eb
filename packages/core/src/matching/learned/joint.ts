import { KIND_CODES, normalSideOfKind } from '../../kinds/kinds';
import { ORDER_VOICES, orderVoice, SECTIONS, type Orders } from './orders';
import {
  addHeard,
  ELEMENTS_FROM,
  PARTS,
  partsOf,
  SECTIONS_FROM,
  type Parts,
  type Shares,
} from './parts';
import { softmax } from './softmax';
import { othersSpeaking, said, speakerFor, type Loudness, type Speaker } from './speakers';
import { rowAbove, rowsAt, rowsBeside, type ListKeys } from './voices';

const K = KIND_CODES.length;
const DEBIT = KIND_CODES.map((kind) => normalSideOfKind(kind) === 'debit');

const NEAR: readonly (readonly number[])[] = [[-1], [1], [-2, -3], [2, 3], [-4, -5, -6, 4, 5, 6]];

/** Everybody who may say something of a row, in a fixed order; whoever is not heard at all is left out. */
const speakersOf = (
  { rows, children, byKey }: ListKeys,
  parts: Parts,
  loudnessOf: (voice: number) => Loudness,
): readonly Speaker[] =>
  [
    ...byKey.map((keys) => (loud: Loudness) => othersSpeaking(parts, keys, loud)),
    ...[
      rowAbove(parts, rows),
      rowsAt(parts, (at) => children[at] ?? []),
      ...NEAR.map((steps) => rowsBeside(parts, steps)),
    ].map((voice) => (loud: Loudness) => speakerFor(voice, loud)),
  ].flatMap((speaking, voice) => {
    const loudness = loudnessOf(voice);
    return loudness.every((one) => one === 0) ? [] : [speaking(loudness)];
  });

const VOICES = 6 + 2 + NEAR.length;
/** What a voice says is heard three times: of the kind, of its section, of its element. */
const HEARD = 3;
/** Where the weights of what the order says begin, and that of the balance's side stands. */
const ORDERS_FROM = 2 + VOICES * HEARD;
const BALANCE_AT = ORDERS_FROM + ORDER_VOICES;
/** How many things are weighed against one another. */
export const JOINT_COUNT = BALANCE_AT + 1;

/** Of a row itself much less than what others say is knowledge. */
const LEAST_OWN = 1e-5;

/** Adds what a row says of itself. */
const addOwn = (scores: Float64Array, shares: Float64Array | undefined, weight: number): void => {
  if (weight === 0) return;
  for (let k = 0; k < K; k += 1)
    scores[k] = (scores[k] ?? 0) + weight * said(shares?.[k] ?? 0, LEAST_OWN);
};

/** The shares of the sections of each row, one row after the other. */
const sectionsOf = ({ count, from, part, share }: Parts): Float64Array => {
  const sections = new Float64Array(count * SECTIONS.length);
  for (let at = 0; at < count; at += 1)
    for (let place = from[at] ?? 0; place < (from[at + 1] ?? 0); place += 1) {
      const own = part[place] ?? 0;
      if (own >= SECTIONS_FROM && own < ELEMENTS_FROM)
        sections[at * SECTIONS.length + own - SECTIONS_FROM] = share[place] ?? 0;
    }
  return sections;
};

/** What the order of the list says of each row, near and far, before and after it. */
const orderSpeakers = (
  parts: Parts,
  orders: Orders,
  weightOf: (voice: number) => number,
): readonly Speaker[] => {
  const order = orderVoice(sectionsOf(parts), orders);
  const bySection = new Float64Array(SECTIONS.length);
  return Array.from({ length: ORDER_VOICES }, (_one, voice) => voice).flatMap((voice) => {
    const weight = weightOf(voice);
    const speak: Speaker = (at, heard) => {
      if (!order(at, voice, bySection)) return;
      for (let section = 0; section < SECTIONS.length; section += 1) {
        const part = SECTIONS_FROM + section;
        heard[part] = (heard[part] ?? 0) + weight * (bySection[section] ?? 0);
      }
    };
    return weight === 0 ? [] : [speak];
  });
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
  const weight = (place: number): number => weights[place] ?? 0;
  const parts = partsOf(last);
  const speakers = speakersOf(keys, parts, (voice) => {
    const place = 2 + voice * HEARD;
    return [weight(place), weight(place + 1), weight(place + 2)];
  });
  const ordered = orderSpeakers(parts, orders, (index) => weight(ORDERS_FROM + index));
  const [scores, heard] = [new Float64Array(K), new Float64Array(PARTS)];
  keys.rows.forEach(({ said: { balance } }, at) => {
    if (settled?.has(at) === true) return;
    scores.fill(0);
    addOwn(scores, first[at], weight(0));
    addOwn(scores, last[at], weight(1));
    heard.fill(0);
    for (const speak of speakers) speak(at, heard);
    for (const speak of ordered) speak(at, heard);
    addHeard(scores, heard);
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
