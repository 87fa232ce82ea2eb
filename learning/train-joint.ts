import { KIND_CODES, type KindCode } from '@iunctus/core';
import { JOINT_COUNT, thinkAgain, weigh } from '../packages/core/src/matching/learned/joint';
import { learnOrders, SECTION_AT, type Orders } from '../packages/core/src/matching/learned/orders';
import type { Shares } from '../packages/core/src/matching/learned/parts';
import { softmax } from '../packages/core/src/matching/learned/softmax';
import {
  keysOfList,
  type ListKeys,
  type PlacedSaid,
} from '../packages/core/src/matching/learned/voices';
import { KIND_AT } from './train-rows';

const K = KIND_CODES.length;

/** A list with what its rows were thought to be by weights that never saw it, and what they are. */
export interface JointExample {
  readonly rows: readonly PlacedSaid[];
  readonly first: Shares;
  readonly kinds: readonly (readonly KindCode[] | null)[];
}

const SETTINGS = { rounds: 2, steps: 100, rate: 0.08, decay: 1e-4 } as const;

interface Weighed {
  readonly found: Float64Array;
  readonly right: readonly number[];
}

/** How far shares are from any of the right kinds, for each kind. */
export const pushToAny = (shares: Float64Array, right: readonly number[]): Float64Array => {
  const sum = right.reduce((part, k) => part + (shares[k] ?? 0), 0) + 1e-300;
  const push = Float64Array.from(shares);
  for (const k of right) push[k] = (push[k] ?? 0) - (shares[k] ?? 0) / sum;
  return push;
};

/** How the likelihood of the right kinds changes with each weight; any of the right kinds will do. */
const slopeOf = (rows: readonly Weighed[], weights: Float64Array): Float64Array => {
  const slope = new Float64Array(JOINT_COUNT);
  for (const { found, right } of rows) {
    const push = pushToAny(softmax(scoresBy(found, weights)), right);
    for (let place = 0; place < JOINT_COUNT; place += 1)
      for (let k = 0; k < K; k += 1)
        slope[place] =
          (slope[place] ?? 0) + ((push[k] ?? 0) * (found[place * K + k] ?? 0)) / rows.length;
  }
  return slope;
};

const trainRound = (rows: readonly Weighed[]): Float64Array => {
  const weights = new Float64Array(JOINT_COUNT);
  weights.fill(0.5, 0, 2);
  const squares = new Float64Array(JOINT_COUNT).fill(1e-8);
  for (let step = 0; step < SETTINGS.steps; step += 1) {
    const slope = slopeOf(rows, weights);
    for (let place = 0; place < JOINT_COUNT; place += 1) {
      const own = (slope[place] ?? 0) + SETTINGS.decay * (weights[place] ?? 0);
      squares[place] = (squares[place] ?? 0) + own * own;
      weights[place] =
        (weights[place] ?? 0) - (SETTINGS.rate * own) / Math.sqrt(squares[place] ?? 1);
    }
  }
  return weights;
};

/** A list with what its rows are thought to be so far. */
export interface Thinking extends JointExample {
  readonly keys: ListKeys;
  readonly last: Shares;
}

/** What is weighed for each labelled row: the scores are sums, so that each weight alone gives its own part of them. */
const weighedRows = (lists: readonly Thinking[], orders: Orders): readonly Weighed[] =>
  lists.flatMap(({ keys, first, last, kinds }) => {
    const rows = kinds.map((own) => ({
      found: new Float64Array(JOINT_COUNT * K),
      right: (own ?? []).flatMap((kind) => KIND_AT.get(kind) ?? []),
    }));
    for (let place = 0; place < JOINT_COUNT; place += 1) {
      const weights = new Float64Array(JOINT_COUNT);
      weights[place] = 1;
      weigh(
        keys,
        { first, last },
        {
          weights,
          orders,
          visit: (at, scores) => rows[at]?.found.set(scores, place * K),
        },
      );
    }
    return rows.filter(({ right }) => right.length > 0);
  });

/** The score of each kind where everything found is weighed. */
const scoresBy = (found: Float64Array, weights: Float64Array): Float64Array => {
  const scores = new Float64Array(K);
  for (let place = 0; place < JOINT_COUNT; place += 1) {
    const weight = weights[place] ?? 0;
    for (let k = 0; k < K; k += 1)
      scores[k] = (scores[k] ?? 0) + weight * (found[place * K + k] ?? 0);
  }
  return scores;
};

/** The section of each row whose kind is known. */
const sectionsOf = ({ kinds }: JointExample): readonly (number | null)[] =>
  kinds.map((own) => {
    const [best] = own ?? [];
    return best === undefined ? null : (SECTION_AT[KIND_AT.get(best) ?? 0] ?? null);
  });

/** How sections follow one another, the weights of all rounds, each learned on what the one before it made of the lists, and what the last made of them. */
export const trainJoint = (
  examples: readonly JointExample[],
): {
  readonly orders: Orders;
  readonly rounds: readonly Float64Array[];
  readonly lists: readonly Thinking[];
} => {
  const orders = learnOrders(examples.map(sectionsOf));
  let lists = examples.map((one): Thinking => ({
    ...one,
    keys: keysOfList(one.rows),
    last: one.first,
  }));
  const rounds = Array.from({ length: SETTINGS.rounds }, () => {
    const weights = trainRound(weighedRows(lists, orders));
    lists = lists.map((one) => ({ ...one, last: thinkAgain(one.keys, one, { weights, orders }) }));
    return weights;
  });
  return { orders, rounds, lists };
};
