// How well kinds are judged on lists that taught nothing: learned on all folds but one, held against that one.
import { KIND_CODES, elementOf } from '@iunctus/core';
import {
  keysOfList,
  softmax,
  thinkAgain,
  type Shares,
} from '../packages/core/src/matching/learned/joint';
import { examplesOf, publishedRows, readList } from './examples';
import { labelledLists } from './labelled-lists';
import { trainJoint, type JointExample } from './train-joint';
import { scoresOf, trainRows } from './train-rows';

const FOLDS = Number(process.argv[2] ?? 5);
const lists = (await labelledLists('learning/lists')).map(readList);
const published = publishedRows().map((one) => ({
  ...one,
  weight: Number(process.env['PUB'] ?? 0.5),
}));
const say = (text: string): void => void process.stdout.write(`${text}\n`);

const inFold = (fold: number) => (_list: unknown, index: number) => index % FOLDS === fold;
const outOfFold = (fold: number) => (_list: unknown, index: number) => index % FOLDS !== fold;

const firsts: Shares[] = [];
for (let fold = 0; fold < FOLDS; fold += 1) {
  const weights = trainRows([...lists.filter(outOfFold(fold)).flatMap(examplesOf), ...published]);
  lists.forEach((list, index) => {
    if (inFold(fold)(list, index))
      firsts[index] = list.rows.map((row) => softmax(scoresOf(weights, row)));
  });
}
const examples = lists.map((list, index): JointExample => ({
  rows: list.rows.map((said, at) => ({ said, parent: list.tree[at]?.parent ?? null })),
  first: firsts[index] ?? [],
  kinds: list.labels.map((label) => (label === null || label.heading ? null : label.kinds)),
}));

interface Judged {
  readonly share: number;
  readonly first: boolean;
  readonly three: boolean;
  readonly element: boolean;
}
const judged = (shares: Shares, { kinds }: JointExample): Judged[] =>
  kinds.flatMap((right, at) => {
    const own = shares[at];
    if (right === null || own === undefined) return [];
    const order = [...own.keys()]
      .sort((a, b) => (own[b] ?? 0) - (own[a] ?? 0))
      .map((k) => KIND_CODES[k] ?? 'memorandum');
    const [best = 'memorandum'] = order;
    return [
      {
        share: Math.max(...own),
        first: right.includes(best),
        three: order.slice(0, 3).some((kind) => right.includes(kind)),
        element: right.some((kind) => elementOf(kind) === elementOf(best)),
      },
    ];
  });
const told = (name: string, all: readonly Judged[]): void => {
  const part = (test: (one: Judged) => boolean) =>
    ((100 * all.filter(test).length) / all.length).toFixed(1);
  say(
    `${name}: first ${part((one) => one.first)} three ${part((one) => one.three)} element ${part((one) => one.element)} of ${all.length}`,
  );
};
told(
  'words alone',
  examples.flatMap((one) => judged(one.first, one)),
);
if (process.env['ROWS'] === undefined) {
  const done = examples.map((): Shares => []);
  for (let fold = 0; fold < FOLDS; fold += 1) {
    const rounds = trainJoint(examples.filter(outOfFold(fold)));
    examples.forEach((one, index) => {
      if (!inFold(fold)(one, index)) return;
      const keys = keysOfList(one.rows);
      done[index] = rounds.reduce<Shares>(
        (last, weights) => thinkAgain(keys, { first: one.first, last }, { weights }),
        one.first,
      );
    });
  }
  const all = examples.flatMap((one, index) => judged(done[index] ?? [], one));
  told('together', all);
  for (const least of [0.5, 0.8, 0.9, 0.95, 0.98]) {
    const sure = all.filter(({ share }) => share >= least);
    say(
      `from ${least}: ${((100 * sure.length) / all.length).toFixed(1)} % of rows, ${((100 * sure.filter(({ first }) => first).length) / sure.length).toFixed(1)} % right`,
    );
  }
}
