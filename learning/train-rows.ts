import { KIND_CODES, type KindCode } from '@iunctus/core';
import {
  featureReader,
  type Feature,
  type RowSaid,
} from '../packages/core/src/matching/learned/row-features';
import { regress, type Sample } from './regression';

/** A row whose kinds are known, the best first. */
export interface Example {
  readonly row: RowSaid;
  readonly kinds: readonly KindCode[];
  readonly weight: number;
}

/** For each feature what it says for each kind. */
export type Weights = ReadonlyMap<string, Float64Array>;

const K = KIND_CODES.length;
/** The place of each kind among all. */
export const KIND_AT = new Map(KIND_CODES.map((kind, at) => [kind, at]));

const SETTINGS = { best: 0.88, least: 2 } as const;
const REGRESSION = {
  epochs: 10,
  rate: 0.12,
  decay: 2e-5,
  squares: 1e-3,
  kept: 6,
  seed: 17,
} as const;

const known = new WeakMap<RowSaid, readonly Feature[]>();
const read = featureReader();

/** The features of a row, worked out once. */
const featuresFor = (row: RowSaid): readonly Feature[] => {
  const found = known.get(row) ?? read(row).flat();
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

/** What rows say of their kinds by themselves. */
export const trainRows = (examples: readonly Example[]): Weights => {
  const keys = sharedKeys(examples);
  const at = new Map(keys.map((key, index) => [key, index]));
  const nothing = new Float64Array(K);
  const samples = examples.map(({ row, kinds, weight }): Sample => {
    const own = featuresFor(row).filter(({ key }) => at.has(key));
    const target = targetOf(kinds);
    return {
      places: Int32Array.from(own.map(({ key }) => at.get(key) ?? 0)),
      values: Float64Array.from(own.map(({ value }) => value)),
      scores: nothing,
      weight,
      push: (shares) => shares.map((share, k) => share - (target[k] ?? 0)),
    };
  });
  const weights = regress(samples, keys.length, REGRESSION);
  return new Map(keys.map((key, index) => [key, weights[index] ?? nothing]));
};
