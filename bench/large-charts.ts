// What was slow on large charts: adding, taking back, merging, taking merges apart, and replaying over what landed.
// Baseline: the same with a quarter as many accounts; four times as many may take about four times as long.
import {
  applyAll,
  emptyChart,
  inverseOf,
  plainAccount,
  replay,
  type Chart,
  type Landed,
  type Operation,
} from '../packages/core/src/index';
import { compare } from './support/report';

const [FEW, MANY] = [4_250, 17_000];

const additions = (count: number): Operation[] =>
  Array.from({ length: count }, (_, at) => ({
    type: 'addAccount',
    account: plainAccount({
      id: `a${at}`,
      number: String(100_000 + at),
      name: `Account ${at}`,
      kind: 'bank',
    }),
    parentId: at < 100 ? null : `a${at % 100}`,
    afterId: at === 0 || (at >= 100 && at < 200) ? null : at < 100 ? `a${at - 1}` : `a${at - 100}`,
  }));

const applied = (chart: Chart, operations: readonly Operation[]) => {
  const outcome = applyAll(chart, operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome;
};

const timed = <T>(work: () => T): [T, number] => {
  const began = performance.now();
  const made = work();
  return [made, performance.now() - began];
};

const asSteps = (operations: readonly Operation[]) =>
  operations.map((operation, at) => ({ id: `s${at}`, operations: [operation] }));

/** Milliseconds of each sort of work on a chart of so many accounts. */
const measure = (count: number): Readonly<Record<string, number>> => {
  const [added, adding] = timed(() => applied(emptyChart(), additions(count)));
  const back = asSteps(inverseOf(added.landed));
  const [, undoing] = timed(() => replay(added.chart, back, []));
  const landed = added.landed.map((_, at): Landed => ({
    operation: { type: 'editField', id: `a${at}`, field: 'notes', value: 'x' },
    inverse: { type: 'editField', id: `a${at}`, field: 'notes', value: '' },
  }));
  const renames = asSteps(
    added.landed.map((_, at) => ({
      type: 'editField',
      id: `a${at}`,
      field: 'guidance',
      value: 'y',
    })),
  );
  const [, replaying] = timed(() => replay(added.chart, renames, landed));
  const merges = Array.from({ length: Math.floor(count / 4) }, (_, at): Operation => ({
    type: 'merge',
    id: `a${count - 1 - at}`,
    into: 'a0',
    acrossKinds: false,
  }));
  const [merged, merging] = timed(() => applied(added.chart, merges));
  const [, unmerging] = timed(() => applied(merged.chart, inverseOf(merged.landed)));
  return { adding, undoing, replaying, merging, unmerging };
};

measure(1000);
const [few, many] = [measure(FEW), measure(MANY)];
for (const [what, value] of Object.entries(many))
  compare({
    what: `${what}, ${MANY} accounts against ${FEW}`,
    value,
    baseline: few[what] ?? Number.NaN,
    unit: 'ms',
    // Taking merges apart still goes with the square of how many there are: each is looked for among the others.
    aim: { atMost: what === 'unmerging' ? 16 : 8 },
  });
