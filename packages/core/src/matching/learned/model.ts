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

/** What was learned, as it is kept in a file. */
export interface LearnedFile {
  /** The kinds in the order in which the bytes name them. */
  readonly kinds: readonly string[];
  /** Weights are whole steps of this size. */
  readonly step: number;
  readonly rounds: readonly (readonly number[])[];
  readonly orders: readonly (readonly number[])[];
  /** For each feature the distance of its hash from the one before, how many kinds, and each kind with its weight; in base 64. */
  readonly features: string;
  /** As the features. */
  readonly surroundings: string;
}

/** A feature's key as a number of 32 bits (FNV-1a); collisions are rare and cost little. */
export const hashOf = (key: string): number => {
  let hash = 0x811c9dc5;
  for (let at = 0; at < key.length; at += 1) {
    hash ^= key.charCodeAt(at);
    hash = Math.imul(hash, 0x01000193);
  }
  return hash >>> 0;
};

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

const unpack = (
  packed: string,
  { step, kinds }: Pick<LearnedFile, 'step' | 'kinds'>,
): ReadonlyMap<number, Says> => {
  const bytes = fromBase64(packed);
  const places = kinds.map((kind) => KIND_CODES.indexOf(kind as KindCode));
  const found = new Map<number, Says>();
  let at = 0;
  const count = (): number => {
    let [value, times] = [0, 1];
    for (; (bytes[at] ?? 0) > 127; at += 1, times *= 128) value += ((bytes[at] ?? 0) - 128) * times;
    value += (bytes[at] ?? 0) * times;
    at += 1;
    return value;
  };
  for (let hash = 0; at < bytes.length;) {
    hash += count();
    const many = count();
    const own = { kinds: new Uint8Array(many), weights: new Float64Array(many) };
    for (let index = 0; index < many; index += 1, at += 2) {
      own.kinds[index] = places[bytes[at] ?? 0] ?? 0;
      own.weights[index] = (((bytes[at + 1] ?? 0) << 24) >> 24) * step;
    }
    const mean = own.weights.reduce((sum, weight) => sum + weight, 0) / kinds.length;
    found.set(hash, { ...own, mean });
  }
  return found;
};

/** What was learned, from its file. Kinds that were added since are there, and nothing speaks for them. */
export const readLearned = (file: LearnedFile): Learned => ({
  kinds: new Set(KIND_CODES.filter((kind) => file.kinds.includes(kind))),
  features: unpack(file.features, file),
  rounds: file.rounds,
  orders: file.orders,
  surroundings: unpack(file.surroundings, file),
});
