import { KIND_CODES } from '@iunctus/core';
import { softmax } from '../packages/core/src/matching/learned/softmax';
import { shuffled } from './shuffled';

const K = KIND_CODES.length;

/** What holds of a row, each thing by its place among all, and how much; `scores` is what is known of it beforehand. */
export interface Sample {
  readonly places: ArrayLike<number>;
  readonly values: ArrayLike<number>;
  readonly scores: Float64Array;
  /** How much the row teaches. */
  readonly weight: number;
  /** How far shares are from what is right, for each kind. */
  push(shares: Float64Array): Float64Array;
}

export interface RegressionSettings {
  readonly epochs: number;
  readonly rate: number;
  readonly decay: number;
  /** What the sums of squares begin with: the more, the smaller the first steps. */
  readonly squares: number;
  /** The weights are the mean of those after so many last rounds: one round alone follows its last rows too closely. */
  readonly kept: number;
  /** Where the order of the rows begins. */
  readonly seed: number;
}

/**
 * Multinomial logistic regression by AdaGrad, the same to the last bit at each run. Gives what each of `count` things
 * says for each kind, one after the other.
 */
export const regress = (
  samples: readonly Sample[],
  count: number,
  { epochs, rate, decay, squares: first, kept, seed }: RegressionSettings,
): readonly Float64Array[] => {
  const weights = new Float64Array(count * K);
  const squares = new Float64Array(count * K).fill(first);
  const means = new Float64Array(count * K);
  const scores = new Float64Array(K);
  const learn = ({ places, values, scores: known, weight, push }: Sample): void => {
    scores.set(known);
    for (let index = 0; index < places.length; index += 1) {
      const [from, value] = [(places[index] ?? 0) * K, values[index] ?? 0];
      for (let k = 0; k < K; k += 1)
        scores[k] = (scores[k] ?? 0) + value * (weights[from + k] ?? 0);
    }
    const pushed = push(softmax(scores));
    for (let index = 0; index < places.length; index += 1) {
      const [from, value] = [(places[index] ?? 0) * K, (values[index] ?? 0) * weight];
      for (let k = 0; k < K; k += 1) {
        const cell = from + k;
        const own = weights[cell] ?? 0;
        const slope = value * (pushed[k] ?? 0) + decay * own;
        const square = (squares[cell] ?? 0) + slope * slope;
        squares[cell] = square;
        weights[cell] = own - (rate * slope) / Math.sqrt(square);
      }
    }
  };
  for (let epoch = 0; epoch < epochs; epoch += 1) {
    for (const index of shuffled(samples.length, seed + epoch)) {
      const sample = samples[index];
      if (sample !== undefined) learn(sample);
    }
    if (epoch >= epochs - kept)
      for (let cell = 0; cell < means.length; cell += 1)
        means[cell] = (means[cell] ?? 0) + (weights[cell] ?? 0) / kept;
  }
  return Array.from({ length: count }, (_one, at) => means.slice(at * K, (at + 1) * K));
};
