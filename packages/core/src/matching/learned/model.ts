import { KIND_CODES, type KindCode } from '../../kinds/kinds';

/** What a feature says for some kinds; all others hear nothing of it. */
export interface Says {
  /** Places of the kinds among all kinds. */
  readonly kinds: Uint8Array;
  readonly weights: Float64Array;
}

/** What was learned from labelled lists. */
export interface Learned {
  /** By the hash of a feature's key. */
  readonly features: ReadonlyMap<number, Says>;
  /** How much each thing weighs when a list is judged as a whole, round by round. */
  readonly rounds: readonly (readonly number[])[];
}

/** What was learned, as it is kept in a file. */
export interface LearnedFile {
  /** The kinds in the order in which the bytes name them. */
  readonly kinds: readonly string[];
  /** Weights are whole steps of this size. */
  readonly step: number;
  readonly rounds: readonly (readonly number[])[];
  /** For each feature the distance of its hash from the one before, how many kinds, and each kind with its weight; in base 64. */
  readonly features: string;
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

/** Bytes as text that any file can hold. */
export const toBase64 = (bytes: ArrayLike<number>): string => {
  let text = '';
  for (let at = 0; at < bytes.length; at += 3) {
    const three = ((bytes[at] ?? 0) << 16) | ((bytes[at + 1] ?? 0) << 8) | (bytes[at + 2] ?? 0);
    for (let part = 0; part < 4; part += 1)
      text += at + part > bytes.length ? '=' : (ALPHABET[(three >> (18 - 6 * part)) & 63] ?? '');
  }
  return text;
};

/** The bytes again. */
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

/** The smallest number of bytes that hold a whole number, seven bits each. */
const pushCount = (bytes: number[], count: number): void => {
  let rest = count;
  for (; rest > 127; rest = Math.floor(rest / 128)) bytes.push((rest % 128) | 128);
  bytes.push(rest);
};

/** Weights as bytes: whole steps between −127 and 127; what is smaller than `least` is left out. */
export const packFeatures = (
  weights: ReadonlyMap<string, ArrayLike<number>>,
  { step, least }: { readonly step: number; readonly least: number },
): string => {
  const byHash = new Map([...weights].map(([key, own]) => [hashOf(key), own]));
  const bytes: number[] = [];
  let before = 0;
  for (const hash of [...byHash.keys()].sort((a, b) => a - b)) {
    const own = byHash.get(hash) ?? [];
    const steps = Array.from(own, (weight) =>
      Math.abs(weight) < least ? 0 : Math.max(-127, Math.min(127, Math.round(weight / step))),
    );
    const kinds = steps.flatMap((one, kind) => (one === 0 ? [] : [kind]));
    if (kinds.length === 0) continue;
    pushCount(bytes, hash - before);
    pushCount(bytes, kinds.length);
    for (const kind of kinds) bytes.push(kind, (steps[kind] ?? 0) & 255);
    before = hash;
  }
  return toBase64(bytes);
};

const unpackFeatures = ({ features, step, kinds }: LearnedFile): ReadonlyMap<number, Says> => {
  const bytes = fromBase64(features);
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
    found.set(hash, own);
  }
  return found;
};

/** What was learned, from its file. Kinds that were added since are there and heard for nothing. */
export const readLearned = (file: LearnedFile): Learned => ({
  features: unpackFeatures(file),
  rounds: file.rounds,
});
