// An edit on the bench: from the operation to the new impact, as the worker computes it.
// Baseline: the same edit in a chart a tenth the size. Only the path to the edit is computed again.
import { createStatementComputer } from '../apps/web/src/app/workspace/workers/statement-computer';
import {
  advance,
  chartFrom,
  recordOf,
  impactOf,
  proposedChart,
  rollUpOver,
  trackOf,
  type Operation,
  type ProposalStep,
} from '@iunctus/core';
import { largeChart } from './support/large-chart';
import { compare, median, say } from './support/report';

const EDITS = 400;
const ROUNDS = 15;

const step = (id: string, operation: Operation): ProposalStep => ({ id, operations: [operation] });

const edits = (ids: readonly string[]): readonly ProposalStep[] =>
  Array.from({ length: EDITS }, (_, index) => {
    const id = ids[(index * 7919) % ids.length] ?? '';
    return step(String(index), { type: 'editField', id, field: 'name', value: `Renamed ${index}` });
  });

const ledgerOf = (ids: readonly string[]) =>
  new Map(ids.map((id, i) => [id, { balance: i, change: i, yearChange: i }]));

/** Measures microseconds for one edit and its impact, each edit on the adopted chart, the roll-up warm. */
const impactOn = (count: number): (() => number) => {
  const records = largeChart(count);
  const ids = records.map(({ id }) => id);
  const base = chartFrom(records);
  const rollUp = rollUpOver(ledgerOf(ids));
  const track = trackOf(base);
  const before = { chart: base, rollUp };
  impactOf(before, before);
  base.roots.forEach(rollUp.total);
  const steps = edits(ids);
  return () => {
    const started = performance.now();
    for (const one of steps) {
      const outcome = advance(track, [one]);
      if (!outcome.ok) throw new Error(outcome.refusal.code);
      impactOf(before, { chart: proposedChart(outcome.track), rollUp });
    }
    return ((performance.now() - started) * 1000) / steps.length;
  };
};

/** Measures microseconds for the worker's whole answer, the statement at a depth of two included. */
const answerOn = (count: number): (() => number) => {
  const records = largeChart(count);
  const ids = records.map(({ id }) => id);
  const compute = createStatementComputer();
  compute({
    type: 'shown',
    shown: { code: 'profitAndLoss', depth: 2, zeroLines: true, proposed: true },
  });
  compute({
    type: 'chart',
    chart: recordOf(chartFrom(records)),
    steps: [],
  });
  compute({ type: 'amounts', amounts: ids.map((id, i) => [id, i, i, i] as const) });
  const steps = edits(ids);
  return () => {
    const started = performance.now();
    for (const one of steps) compute({ type: 'steps', steps: [one] });
    return ((performance.now() - started) * 1000) / EDITS;
  };
};

/** Both sizes in turn, so that whatever else the machine does strikes both; the first turns are not counted. */
const inTurn = (on: (count: number) => () => number): readonly [small: number, large: number] => {
  const [small, large] = [on(500), on(5000)];
  const rounds = Array.from({ length: ROUNDS + 2 }, () => [small(), large()] as const).slice(2);
  return [median(rounds.map(([one]) => one)), median(rounds.map(([, one]) => one))];
};

const [small, large] = inTurn(impactOn);
compare({
  what: 'edit → impact, 5,000 accounts against 500',
  value: large,
  baseline: small,
  unit: 'µs',
  aim: { atMost: 2 },
});
const [smallAnswer, largeAnswer] = inTurn(answerOn);
say(
  `         with the statement at depth 2, which is built anew: ratio ${(largeAnswer / smallAnswer).toFixed(2)} (no aim); ${largeAnswer.toFixed(0)} µs against ${smallAnswer.toFixed(0)} µs`,
);
