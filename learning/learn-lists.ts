import { KIND_CODES } from '@iunctus/core';
import {
  readLearned,
  type Learned,
  type LearnedFile,
} from '../packages/core/src/matching/learned/model';
import { softmax } from '../packages/core/src/matching/learned/softmax';
import type { Shares } from '../packages/core/src/matching/learned/parts';
import {
  commonRows,
  examplesOf,
  publishedRows,
  readList,
  startingRows,
  type ReadList,
} from './examples';
import type { LabelledList } from './labelled-lists';
import { packFeatures } from './pack-features';
import { trainJoint } from './train-joint';
import { scoresOf, trainRows, type Weights } from './train-rows';
import { trainSurroundings } from './train-surroundings';

/** Weights are kept in whole steps; what is smaller than the least says too little for its place in the file. */
const KEPT = { step: 1 / 8, least: 0.2 } as const;
/** What stands around a row says less, and of more kinds. */
const KEPT_AROUND = { step: 1 / 16, least: 1 / 32 } as const;

/** Lists are judged by weights that never saw them while the joint judgement is learned. */
const FOLDS = 5;

const published = publishedRows().map((one) => ({ ...one, weight: 0.5 }));
/** Our own names are tidier than those of lists, and teach less. */
const starting = startingRows().map((one) => ({ ...one, weight: 0.3 }));
const common = commonRows().map((one) => ({ ...one, weight: 0.5 }));
const rowsFrom = (lists: readonly ReadList[]): Weights =>
  trainRows([...lists.flatMap(examplesOf), ...published, ...starting, ...common]);

const judgedUnseen = (lists: readonly ReadList[]): readonly Shares[] => {
  const firsts: Shares[] = [];
  for (let fold = 0; fold < FOLDS; fold += 1) {
    const weights = rowsFrom(lists.filter((_list, index) => index % FOLDS !== fold));
    lists.forEach(({ rows }, index) => {
      if (index % FOLDS === fold)
        firsts[index] = rows.map((row) => softmax(scoresOf(weights, row)));
    });
  }
  return firsts;
};

/** Everything that labelled lists teach, as it is kept in a file. */
export const learnFrom = (lists: readonly ReadList[]): LearnedFile => {
  const firsts = judgedUnseen(lists);
  const {
    orders,
    rounds,
    lists: agreed,
  } = trainJoint(
    lists.map(({ rows, tree, labels }, index) => ({
      rows: rows.map((said, at) => ({ said, parent: tree[at]?.parent ?? null })),
      first: firsts[index] ?? [],
      kinds: labels.map((label) => (label === null || label.heading ? null : label.kinds)),
    })),
  );
  return {
    kinds: KIND_CODES,
    rounds: rounds.map((weights) => Array.from(weights, (weight) => Number(weight.toFixed(4)))),
    orders: orders.map((table) => Array.from(table)),
    features: packFeatures(rowsFrom(lists), KEPT),
    surroundings: packFeatures(trainSurroundings(agreed), KEPT_AROUND),
  };
};

/** For each list what all lists but those of its fold teach, so that none is judged by what it taught itself. */
export const crossLearned = (
  lists: readonly LabelledList[],
  folds: number,
): ((index: number) => Learned) => {
  const read = lists.map(readList);
  const byFold = Array.from({ length: folds }, (_one, fold) =>
    readLearned(learnFrom(read.filter((_list, index) => index % folds !== fold))),
  );
  return (index) => {
    const learned = byFold[index % folds];
    if (learned === undefined) throw new Error('there is nothing to learn from');
    return learned;
  };
};
