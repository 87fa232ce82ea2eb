import { KIND_CODES, type KindCode } from '@iunctus/core';
import { regress, type RegressionSettings, type Sample } from './regression';

const K = KIND_CODES.length;
const at = (kind: KindCode): number => KIND_CODES.indexOf(kind);
const SETTINGS: RegressionSettings = {
  epochs: 20,
  rate: 0.3,
  decay: 0,
  squares: 1e-2,
  kept: 5,
  seed: 3,
};

/** A row of which one thing holds, and what it is. */
const sample = (thing: number, kind: KindCode): Sample => ({
  places: [thing],
  values: [1],
  scores: new Float64Array(K),
  weight: 1,
  push: (shares) => shares.map((share, k) => share - (k === at(kind) ? 1 : 0)),
});

const spread = (weights: Float64Array | undefined, one: KindCode, other: KindCode): number =>
  (weights?.[at(one)] ?? 0) - (weights?.[at(other)] ?? 0);

describe('what things say of kinds, learned from rows', () => {
  it('speaks for the kind of the rows of which they hold', () => {
    const [till, rent] = regress(
      [sample(0, 'cashOnHand'), sample(1, 'operatingExpense'), sample(0, 'cashOnHand')],
      2,
      SETTINGS,
    );
    expect(spread(till, 'cashOnHand', 'operatingExpense')).toBeGreaterThan(1);
    expect(spread(rent, 'operatingExpense', 'cashOnHand')).toBeGreaterThan(1);
  });

  it('leans less to what came last the more of the last rounds are kept', () => {
    const rows = [
      sample(0, 'bank'),
      sample(0, 'inventory'),
      sample(0, 'bank'),
      sample(0, 'inventory'),
    ];
    const leaning = (kept: number): number => {
      const [weights] = regress(rows, 1, { ...SETTINGS, rate: 1, kept });
      return Math.abs(spread(weights, 'bank', 'inventory'));
    };
    expect(leaning(15)).toBeLessThan(leaning(1));
  });

  it('is the same to the last bit at each run', () => {
    const rows = [sample(0, 'bank'), sample(1, 'inventory'), sample(0, 'services')];
    expect(regress(rows, 2, SETTINGS)).toEqual(regress(rows, 2, SETTINGS));
  });
});
