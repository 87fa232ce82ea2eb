import {
  foldedUp,
  hashOf,
  signOf,
  type PackedSays,
} from '../packages/core/src/matching/learned/model';

/** The smallest number of bytes that hold a whole number, seven bits each. */
const pushCount = (bytes: number[], count: number): void => {
  let rest = count;
  for (; rest > 127; rest = Math.floor(rest / 128)) bytes.push((rest % 128) | 128);
  bytes.push(rest);
};

/**
 * What a feature says of most kinds. Shares are the same whatever is added to the scores of all kinds, so that it can be
 * taken off: what then is left of a feature is mostly nothing, and need not be kept.
 */
const commonOf = (weights: ArrayLike<number>): number =>
  Array.from(weights).sort((a, b) => a - b)[weights.length >> 1] ?? 0;

/** The most steps to either side. */
const MOST = 127;

/**
 * Weights as text: whole steps between −127 and 127; what is smaller than `least` is left out once what most kinds have in
 * common is taken off.
 */
export const packFeatures = (
  weights: ReadonlyMap<string, ArrayLike<number>>,
  { step, least }: { readonly step: number; readonly least: number },
): PackedSays => {
  const byHash = new Map([...weights].map(([key, own]) => [hashOf(key), own]));
  const bytes: number[] = [];
  const signs = { counts: '', kinds: '', weights: '' };
  let before = 0;
  for (const hash of [...byHash.keys()].sort((a, b) => a - b)) {
    const own = byHash.get(hash) ?? [];
    const common = commonOf(own);
    const steps = Array.from(own, (weight) => {
      const left = weight - common;
      return Math.abs(left) < least ? 0 : Math.max(-MOST, Math.min(MOST, Math.round(left / step)));
    });
    const kinds = steps.flatMap((one, kind) => (one === 0 ? [] : [kind]));
    if (kinds.length === 0) continue;
    pushCount(bytes, hash - before);
    signs.counts += signOf(kinds.length);
    for (const kind of kinds) {
      signs.kinds += signOf(kind);
      signs.weights += signOf(foldedUp(steps[kind] ?? 0));
    }
    before = hash;
  }
  return { step, hashes: Buffer.from(bytes).toString('base64'), ...signs };
};
