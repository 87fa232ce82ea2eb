import { hashOf } from '../packages/core/src/matching/learned/model';

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

/**
 * Weights as text: whole steps between −127 and 127, in base 64; what is smaller than `least` is left out once what most
 * kinds have in common is taken off.
 */
export const packFeatures = (
  weights: ReadonlyMap<string, ArrayLike<number>>,
  { step, least }: { readonly step: number; readonly least: number },
): string => {
  const byHash = new Map([...weights].map(([key, own]) => [hashOf(key), own]));
  const bytes: number[] = [];
  let before = 0;
  for (const hash of [...byHash.keys()].sort((a, b) => a - b)) {
    const own = byHash.get(hash) ?? [];
    const common = commonOf(own);
    const steps = Array.from(own, (weight) => {
      const left = weight - common;
      return Math.abs(left) < least ? 0 : Math.max(-127, Math.min(127, Math.round(left / step)));
    });
    const kinds = steps.flatMap((one, kind) => (one === 0 ? [] : [kind]));
    if (kinds.length === 0) continue;
    pushCount(bytes, hash - before);
    pushCount(bytes, kinds.length);
    for (const kind of kinds) bytes.push(kind, (steps[kind] ?? 0) & 255);
    before = hash;
  }
  return Buffer.from(bytes).toString('base64');
};
