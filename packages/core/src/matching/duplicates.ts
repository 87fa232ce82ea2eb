import { DUPLICATE_WEIGHTS } from './duplicate-weights';
import { NamePairs, type Lookalike, type PairFeatures } from './pair-features';

/** That one account of a list says the same as an earlier one, by their places, and how surely from 0 to 1. */
export interface Duplicate {
  readonly at: number;
  readonly of: number;
  readonly likeness: number;
}

/** From this likeness on two are pointed out: so many of them are right on lists that were left out when learning. */
const ALIKE = 0.4;
/** What is said in so many names tells no two of them from all others. */
const EVERYWHERE = 24;

/** What a pair's features say together for its being one account, by the weights given. */
export const scoreOf = (
  features: PairFeatures,
  weights: Readonly<Record<string, number>>,
): number => {
  let score = weights['bias'] ?? 0;
  for (const [name, value] of Object.entries(features)) score += (weights[name] ?? 0) * value;
  return 1 / (1 + Math.exp(-score));
};

/**
 * Every pair of a list that could be one account, the later first, with what speaks for it; those alone whose later one
 * stands at `from` or after it.
 */
export const pairsAmong = (
  accounts: readonly Lookalike[],
  from = 0,
): readonly { readonly at: number; readonly of: number; readonly features: PairFeatures }[] => {
  const names = new NamePairs(accounts);
  const seen = new Set<number>();
  const pairs = [];
  for (const places of names.together()) {
    if (places.length > EVERYWHERE) continue;
    for (const at of places)
      for (const of of at < from ? [] : places) {
        const key = at * accounts.length + of;
        if (of >= at || seen.has(key)) continue;
        seen.add(key);
        const features = names.features(at, of);
        if (features !== null) pairs.push({ at, of, features });
      }
  }
  return pairs;
};

/**
 * The accounts of a list that say the same as an earlier one: same or near names, other spellings and word
 * order, short forms, and words of the trade that mean the same (phone and telephone). Accounts of different
 * sorts are never alike, and numbers in names tell them apart. How much each clue counts was learned from lists
 * that say which of their accounts repeat others.
 */
export const duplicatesAmong = (accounts: readonly Lookalike[]): readonly Duplicate[] => {
  const best = new Map<number, Duplicate>();
  for (const { at, of, features } of pairsAmong(accounts)) {
    const likeness = scoreOf(features, DUPLICATE_WEIGHTS);
    if (likeness >= ALIKE && likeness > (best.get(at)?.likeness ?? 0))
      best.set(at, { at, of, likeness });
  }
  return [...best.values()].sort((a, b) => a.at - b.at);
};

/**
 * Which of some accounts of one kind says the same as a name, the likest of them, by its place; `null` for none. `least`
 * is from which likeness on.
 */
export const likestOf = (name: string, others: readonly string[], least = ALIKE): number | null => {
  const all = [...others, name].map((one) => ({ name: one, sort: '' }));
  let best: { readonly of: number; readonly likeness: number } | null = null;
  for (const { of, features } of pairsAmong(all, others.length)) {
    // It stands last here because it is asked about.
    const likeness = scoreOf({ ...features, addedLater: 0 }, DUPLICATE_WEIGHTS);
    if (likeness >= least && likeness > (best?.likeness ?? 0)) best = { of, likeness };
  }
  return best?.of ?? null;
};
