import { countBelow } from './count-below';

/** Best entry over all keys up to a bound; both steps take logarithmic time. */
export interface PrefixBest<T> {
  /** Notes an entry under a key. */
  add(key: number, entry: T): void;
  /** The entry worth most among the keys up to and including `key`; `null` when there is none. */
  upTo(key: number): T | null;
}

/** Keys are whole numbers: those up to one lie below the next. */
const placeOf = (keys: readonly number[], key: number): number => countBelow(keys, key + 1);

/**
 * A tree of prefix maxima over the keys that may occur.
 * Source: P. M. Fenwick, “A new data structure for cumulative frequency tables”, 1994 (from memory).
 */
export const prefixBest = <T>(
  possible: readonly number[],
  worth: (entry: T) => number,
): PrefixBest<T> => {
  const keys = [...new Set(possible)].sort((a, b) => a - b);
  const best: (T | null)[] = Array.from({ length: keys.length + 1 }, () => null);
  const better = (a: T | null, b: T | null): T | null => {
    if (a === null || b === null) return a ?? b;
    return worth(b) > worth(a) ? b : a;
  };
  return {
    add(key, entry) {
      for (let at = placeOf(keys, key); at < best.length; at += at & -at)
        best[at] = better(best[at] ?? null, entry);
    },
    upTo(key) {
      let found: T | null = null;
      for (let at = placeOf(keys, key); at > 0; at -= at & -at)
        found = better(found, best[at] ?? null);
      return found;
    },
  };
};
