import { subjectsOf, type Operation } from './operation';
import type { Landed } from './rules';

/** What landed, findable by the accounts, neighbours, splits and dimensions that it is about. */
export interface LandedIndex {
  readonly landed: readonly Landed[];
  /** Places in `landed`, ascending, by what is mentioned there. */
  readonly places: ReadonlyMap<string, readonly number[]>;
}

/** The plan is one thing that every change of it is about. */
const PLAN = 'plan';

/** What a change is about, and by what it can meet another one. */
const mentionsOf = (operation: Operation): readonly string[] => {
  if (operation.type === 'setPlan') return [PLAN];
  if (operation.type === 'setDimension') return [operation.id];
  const subjects = subjectsOf(operation);
  if (operation.type === 'split' || operation.type === 'unsplit')
    return [...subjects, operation.split.id];
  const afterId = 'afterId' in operation ? operation.afterId : null;
  return afterId === null ? subjects : [...subjects, afterId];
};

/** Reads what landed once, so that each pending operation need only be held against what may concern it. */
export const indexLanded = (landed: readonly Landed[]): LandedIndex => {
  const places = new Map<string, number[]>();
  for (const [at, { operation }] of landed.entries())
    for (const one of new Set(mentionsOf(operation))) {
      const known = places.get(one);
      if (known === undefined) places.set(one, [at]);
      else known.push(at);
    }
  return { landed, places };
};

const firstFrom = (places: readonly number[], from: number): number => {
  let [low, high] = [0, places.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((places[middle] ?? 0) < from) low = middle + 1;
    else high = middle;
  }
  return places[low] ?? Infinity;
};

/**
 * The place of the first thing from `from` on that an operation may meet; past the end when there is none.
 * Law: whatever stands between leaves the operation as it is (`rebase` gives `keep` with the same).
 */
export const nextMet = (
  { landed, places }: LandedIndex,
  operation: Operation,
  from: number,
): number => {
  let next = landed.length;
  for (const one of mentionsOf(operation)) {
    const known = places.get(one);
    if (known !== undefined) next = Math.min(next, firstFrom(known, from));
  }
  return next;
};
