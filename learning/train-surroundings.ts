import { KIND_CODES } from '@iunctus/core';
import { softmax } from '../packages/core/src/matching/learned/softmax';
import {
  scoreOfShare,
  SURROUNDINGS,
  surroundingsOf,
} from '../packages/core/src/matching/learned/surroundings';
import { shuffled } from './shuffled';
import { KIND_AT, type Thinking } from './train-joint';
import type { Weights } from './train-rows';

const K = KIND_CODES.length;

const SETTINGS = { epochs: 5, rate: 0.05, decay: 2e-4 } as const;

/** A row whose kinds are known, with what stands around it. */
interface Seen {
  readonly places: readonly number[];
  readonly values: readonly number[];
  readonly scores: Float64Array;
  readonly right: readonly number[];
}

const seenIn = ({ keys, last, kinds }: Thinking): readonly Seen[] => {
  const { everywhere, look } = surroundingsOf(keys, last);
  return kinds.flatMap((own, at) => {
    const right = (own ?? []).flatMap((kind) => KIND_AT.get(kind) ?? []);
    const shares = last[at];
    if (right.length === 0 || shares === undefined) return [];
    const seen = everywhere.slice();
    look(at, (place, more) => {
      seen[place] = (seen[place] ?? 0) + more;
    });
    const places = [...seen.keys()].filter((place) => seen[place] !== 0);
    const values = places.map((place) => seen[place] ?? 0);
    return [{ places, values, scores: shares.map(scoreOfShare), right }];
  });
};

/** How far the shares are from any of the right kinds, for each kind. */
const pushOf = (shares: Float64Array, right: readonly number[]): Float64Array => {
  const sum = right.reduce((part, k) => part + (shares[k] ?? 0), 0) + 1e-300;
  const push = Float64Array.from(shares);
  for (const k of right) push[k] = (push[k] ?? 0) - (shares[k] ?? 0) / sum;
  return push;
};

/**
 * What stands around a row says for each kind, beyond what the rows were thought to be last: multinomial logistic
 * regression by AdaGrad, the same to the last bit at each run. Any of the right kinds will do.
 */
export const trainSurroundings = (lists: readonly Thinking[]): Weights => {
  const rows = lists.flatMap(seenIn);
  const weights = new Float64Array(SURROUNDINGS.length * K);
  const squares = new Float64Array(SURROUNDINGS.length * K).fill(1e-2);
  const learn = ({ places, values, scores, right }: Seen): void => {
    const found = Float64Array.from(scores);
    places.forEach((place, index) => {
      const value = values[index] ?? 0;
      for (let k = 0; k < K; k += 1)
        found[k] = (found[k] ?? 0) + value * (weights[place * K + k] ?? 0);
    });
    const push = pushOf(softmax(found), right);
    places.forEach((place, index) => {
      const value = values[index] ?? 0;
      for (let k = 0; k < K; k += 1) {
        const cell = place * K + k;
        const own = weights[cell] ?? 0;
        const slope = value * (push[k] ?? 0) + SETTINGS.decay * own;
        const square = (squares[cell] ?? 0) + slope * slope;
        squares[cell] = square;
        weights[cell] = own - (SETTINGS.rate * slope) / Math.sqrt(square);
      }
    });
  };
  for (let epoch = 0; epoch < SETTINGS.epochs; epoch += 1)
    for (const index of shuffled(rows.length, 7 + epoch)) {
      const row = rows[index];
      if (row !== undefined) learn(row);
    }
  return new Map(
    SURROUNDINGS.map((name, place) => [name, weights.slice(place * K, (place + 1) * K)]),
  );
};
