import { KIND_CODES, type KindCode } from '../../kinds/kinds';
import type { Orders } from './orders';

/** What a feature says for some kinds; all others hear nothing of it. */
export interface Says {
  /** Places of the kinds among all kinds. */
  readonly kinds: Uint8Array;
  readonly weights: Float64Array;
  /** The mean over all kinds. */
  readonly mean: number;
}

/** Adds to the scores of all kinds what something says for some, so many times. */
export const addSays = (scores: Float64Array, { kinds, weights }: Says, times: number): void => {
  for (let index = 0; index < kinds.length; index += 1) {
    const k = kinds[index] ?? 0;
    scores[k] = (scores[k] ?? 0) + times * (weights[index] ?? 0);
  }
};

/** What was learned from labelled lists. */
export interface Learned {
  /** The kinds of which something was learned; those that were added since are not among them. */
  readonly kinds: ReadonlySet<KindCode>;
  /** By the hash of a feature's key. */
  readonly features: ReadonlyMap<number, Says>;
  /** How much each thing weighs when a list is judged as a whole, round by round. */
  readonly rounds: readonly (readonly number[])[];
  readonly orders: Orders;
  /** What stands around a row says for each kind, by the hash of its name. */
  readonly surroundings: ReadonlyMap<number, Says>;
}

/** What features say, part by part: each packs best among its like. */
export interface PackedSays {
  /** Weights are whole steps of this size. */
  readonly step: number;
  /** For each feature the distance of its hash from the one before, in seven bits a byte; in base 64. */
  readonly hashes: string;
  /** For each feature a sign for the number of kinds for which it speaks. */
  readonly counts: string;
  /** For each feature, one after the other, a sign for each of these kinds. */
  readonly kinds: string;
  /** In the same order a sign for each weight in steps, those below nothing at every other place. */
  readonly weights: string;
}

/** What was learned, as it is kept in a file. */
export interface LearnedFile {
  /** The kinds in the order in which the signs name them. */
  readonly kinds: readonly string[];
  readonly rounds: readonly (readonly number[])[];
  readonly orders: readonly (readonly number[])[];
  readonly features: PackedSays;
  readonly surroundings: PackedSays;
}

/** Of 32 bits so many are enough for some ten thousands of features. */
const DROPPED = 6;

/** A feature's key as a number of 26 bits (the first of FNV-1a); collisions are rare and cost little. */
export const hashOf = (key: string): number => {
  let hash = 0x811c9dc5;
  for (let at = 0; at < key.length; at += 1) {
    hash ^= key.charCodeAt(at);
    hash = Math.imul(hash, 0x01000193);
  }
  return hash >>> DROPPED;
};

/** The signs from here on stand for small numbers; the backslash behind them is none of them. */
const FIRST_SIGN = 35;
const SIGNS = 57;
const FIRST_BEYOND = 256;

/** One sign for a whole number from 0 on. */
export const signOf = (value: number): string =>
  String.fromCharCode(value < SIGNS ? FIRST_SIGN + value : FIRST_BEYOND + value);

const valueAt = (signs: string, at: number): number => {
  const code = signs.charCodeAt(at);
  return code < FIRST_BEYOND ? code - FIRST_SIGN : code - FIRST_BEYOND;
};

/** A number from 0 on for one on either side of 0, and back: 0, -1, 1, -2 … */
export const foldedUp = (value: number): number => (value < 0 ? -2 * value - 1 : 2 * value);
const unfolded = (value: number): number => (value % 2 === 1 ? -(value + 1) / 2 : value / 2);

const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/';

/** The bytes of a text in base 64; the core has nothing else that reads it. */
export const fromBase64 = (text: string): Uint8Array => {
  const values = new Map([...ALPHABET].map((letter, value) => [letter, value]));
  const bare = text.replace(/=+$/, '');
  const bytes = new Uint8Array(Math.floor((bare.length * 3) / 4));
  let [bits, held, put] = [0, 0, 0];
  for (const letter of bare) {
    held = ((held << 6) | (values.get(letter) ?? 0)) & 0xffffff;
    bits += 6;
    if (bits < 8) continue;
    bits -= 8;
    bytes[put] = (held >> bits) & 255;
    put += 1;
  }
  return bytes;
};

/** The distances of hashes from one another. */
const distancesIn = (text: string): readonly number[] => {
  const found: number[] = [];
  let [value, times] = [0, 1];
  for (const byte of fromBase64(text)) {
    value += (byte & 127) * times;
    times *= 128;
    if (byte > 127) continue;
    found.push(value);
    [value, times] = [0, 1];
  }
  return found;
};

const unpack = (
  { step, hashes, counts, kinds: signs, weights }: PackedSays,
  kinds: LearnedFile['kinds'],
): ReadonlyMap<number, Says> => {
  const places = kinds.map((kind) => KIND_CODES.indexOf(kind as KindCode));
  const found = new Map<number, Says>();
  let [hash, at] = [0, 0];
  for (const [feature, distance] of distancesIn(hashes).entries()) {
    hash += distance;
    const many = valueAt(counts, feature);
    const own = { kinds: new Uint8Array(many), weights: new Float64Array(many) };
    for (let index = 0; index < many; index += 1, at += 1) {
      own.kinds[index] = places[valueAt(signs, at)] ?? 0;
      own.weights[index] = unfolded(valueAt(weights, at)) * step;
    }
    const mean = own.weights.reduce((sum, weight) => sum + weight, 0) / kinds.length;
    found.set(hash, { ...own, mean });
  }
  return found;
};

/** What was learned, from its file. Kinds that were added since are there, and nothing speaks for them. */
export const readLearned = (file: LearnedFile): Learned => ({
  kinds: new Set(KIND_CODES.filter((kind) => file.kinds.includes(kind))),
  features: unpack(file.features, file.kinds),
  rounds: file.rounds,
  orders: file.orders,
  surroundings: unpack(file.surroundings, file.kinds),
});
