import { KIND_CODES, type KindCode } from '@iunctus/core';
import {
  featureReader,
  type Feature,
  type RowSaid,
} from '../packages/core/src/matching/learned/row-features';
import { softmax } from '../packages/core/src/matching/learned/softmax';
import { shuffled } from './shuffled';

/** A row whose kinds are known, the best first. */
export interface Example {
  readonly row: RowSaid;
  readonly kinds: readonly KindCode[];
  readonly weight: number;
}

/** For each feature what it says for each kind. */
export type Weights = ReadonlyMap<string, Float64Array>;

const K = KIND_CODES.length;
const KIND_AT = new Map(KIND_CODES.map((kind, at) => [kind, at]));

const SETTINGS = { epochs: 14, rate: 0.25, decay: 2e-4, best: 0.88, least: 2 } as const;

const known = new WeakMap<RowSaid, readonly Feature[]>();
const read = featureReader();

/** The features of a row, worked out once. */
const featuresFor = (row: RowSaid): readonly Feature[] => {
  const found = known.get(row) ?? read(row);
  known.set(row, found);
  return found;
};

const targetOf = (kinds: readonly KindCode[]): Float64Array => {
  const target = new Float64Array(K);
  const others = (1 - SETTINGS.best) / Math.max(1, kinds.length - 1);
  kinds.forEach((kind, at) => {
    const best = kinds.length === 1 ? 1 : SETTINGS.best;
    target[KIND_AT.get(kind) ?? 0] = at === 0 ? best : others;
  });
  return target;
};

/** What the weights say of a row, for each kind. */
export const scoresOf = (weights: Weights, row: RowSaid): Float64Array => {
  const scores = new Float64Array(K);
  for (const { key, value } of featuresFor(row)) {
    const own = weights.get(key);
    if (own === undefined) continue;
    for (let k = 0; k < K; k += 1) scores[k] = (scores[k] ?? 0) + value * (own[k] ?? 0);
  }
  return scores;
};

/** Features that more than one row has, in a fixed order. */
const sharedKeys = (examples: readonly Example[]): readonly string[] => {
  const counts = new Map<string, number>();
  for (const { row } of examples)
    for (const { key } of featuresFor(row)) counts.set(key, (counts.get(key) ?? 0) + 1);
  return [...counts].flatMap(([key, count]) => (count >= SETTINGS.least ? [key] : [])).sort();
};

/** Multinomial logistic regression by AdaGrad, the same to the last bit at each run. */
export const trainRows = (examples: readonly Example[]): Weights => {
  const keys = sharedKeys(examples);
  const at = new Map(keys.map((key, index) => [key, index]));
  const weights = new Float64Array(keys.length * K);
  const squares = new Float64Array(keys.length * K).fill(1e-3);
  const rows = examples.map(({ row, kinds, weight }) => {
    const own = featuresFor(row).filter(({ key }) => at.has(key));
    return {
      places: Int32Array.from(own.map(({ key }) => at.get(key) ?? 0)),
      values: Float64Array.from(own.map(({ value }) => value)),
      target: targetOf(kinds),
      weight,
    };
  });
  const scores = new Float64Array(K);
  const learn = ({ places, values, target, weight }: (typeof rows)[number]): void => {
    scores.fill(0);
    places.forEach((place, index) => {
      const value = values[index] ?? 0;
      for (let k = 0; k < K; k += 1)
        scores[k] = (scores[k] ?? 0) + value * (weights[place * K + k] ?? 0);
    });
    const shares = softmax(scores);
    places.forEach((place, index) => {
      const value = (values[index] ?? 0) * weight;
      for (let k = 0; k < K; k += 1) {
        const cell = place * K + k;
        const own = weights[cell] ?? 0;
        const slope = value * ((shares[k] ?? 0) - (target[k] ?? 0)) + SETTINGS.decay * own;
        const square = (squares[cell] ?? 0) + slope * slope;
        squares[cell] = square;
        weights[cell] = own - (SETTINGS.rate * slope) / Math.sqrt(square);
      }
    });
  };
  for (let epoch = 0; epoch < SETTINGS.epochs; epoch += 1)
    for (const index of shuffled(rows.length, 17 + epoch)) {
      const row = rows[index];
      if (row !== undefined) learn(row);
    }
  return new Map(keys.map((key, index) => [key, weights.slice(index * K, (index + 1) * K)]));
};
