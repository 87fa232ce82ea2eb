// An edit on the bench: from the operation to the new impact, as the worker computes it.
// Baseline: the same edit in a chart a tenth the size. Only the path to the edit is computed again.
import { createBenchComputer } from '../apps/web/src/app/bench/workers/bench-computer';
import {
  advance,
  chartFrom,
  impactOf,
  proposedChart,
  rollUpOver,
  trackOf,
  USUAL_SETTINGS,
  type Operation,
  type ProposalStep,
} from '@iunctus/core';
import { largeChart } from './support/large-chart';
import { compare, median, say } from './support/report';

const EDITS = 400;
const ROUNDS = 7;

const step = (id: string, operation: Operation): ProposalStep => ({ id, operations: [operation] });

const edits = (ids: readonly string[]): readonly ProposalStep[] =>
  Array.from({ length: EDITS }, (_, index) => {
    const id = ids[(index * 7919) % ids.length] ?? '';
    return step(String(index), { type: 'editField', id, field: 'name', value: `Renamed ${index}` });
  });

const ledgerOf = (ids: readonly string[]) =>
  new Map(ids.map((id, i) => [id, { balance: i, change: i, yearChange: i }]));

/** Microseconds for one edit and its impact, each edit on the adopted chart, the roll-up warm. */
const impactTime = (count: number): number => {
  const records = largeChart(count);
  const ids = records.map(({ id }) => id);
  const base = chartFrom(records);
  const rollUp = rollUpOver(ledgerOf(ids));
  const track = trackOf(base);
  const before = { chart: base, rollUp };
  impactOf(before, before);
  base.roots.forEach(rollUp.total);
  const run = (steps: readonly ProposalStep[]): number => {
    const started = performance.now();
    for (const one of steps) {
      const outcome = advance(track, [one]);
      if (!outcome.ok) throw new Error(outcome.refusal.code);
      impactOf(before, { chart: proposedChart(outcome.track), rollUp });
    }
    return ((performance.now() - started) * 1000) / steps.length;
  };
  run(edits(ids));
  return median(Array.from({ length: ROUNDS }, () => run(edits(ids))));
};

/** Microseconds for the worker's whole answer, the statement at a depth of two included. */
const answerTime = (count: number): number => {
  const records = largeChart(count);
  const ids = records.map(({ id }) => id);
  const compute = createBenchComputer();
  compute({
    type: 'shown',
    shown: { code: 'profitAndLoss', depth: 2, zeroLines: true, proposed: true },
  });
  compute({
    type: 'chart',
    settings: USUAL_SETTINGS,
    accounts: records,
    posted: [],
    merged: [],
    splits: [],
    usedValues: [],
    steps: [],
  });
  compute({ type: 'amounts', amounts: ids.map((id, i) => [id, i, i, i] as const) });
  const run = (): number => {
    const started = performance.now();
    for (const one of edits(ids)) compute({ type: 'steps', steps: [one] });
    return ((performance.now() - started) * 1000) / EDITS;
  };
  run();
  return median(Array.from({ length: ROUNDS }, run));
};

// Both sizes once unmeasured, so that neither is measured on code that is not yet compiled.
impactTime(500);
impactTime(5000);
const [small, large] = [impactTime(500), impactTime(5000)];
compare({
  what: 'edit → impact, 5,000 accounts against 500',
  value: large,
  baseline: small,
  unit: 'µs',
  aim: { atMost: 2 },
});
answerTime(500);
answerTime(5000);
const [smallAnswer, largeAnswer] = [answerTime(500), answerTime(5000)];
say(
  `         with the statement at depth 2, which is built anew: ratio ${(largeAnswer / smallAnswer).toFixed(2)} (no aim); ${largeAnswer.toFixed(0)} µs against ${smallAnswer.toFixed(0)} µs`,
);
