// A chart looked through by all rules, with two years of totals: five thousand accounts against one thousand, and after
// one edit against the first look. What is judged of kinds is kept by what it was judged from.
import {
  allFindings,
  applyAll,
  chartFrom,
  chartUse,
  lookAt,
  type Chart,
  type LookedAt,
  type MonthlyTuple,
} from '@iunctus/core';
import { placedJudge } from '@iunctus/core/learned';
import { largeChart } from './support/large-chart';
import { compare, say } from './support/report';

const MONTHS = 24;

const measured = (work: () => void): number => {
  const started = performance.now();
  work();
  return performance.now() - started;
};

/** Milliseconds for the first look, and for another after one edit. */
const looksAt = (count: number): { readonly first: number; readonly again: number } => {
  const records = largeChart(count);
  const chart = chartFrom(records);
  const rows = records.map(({ id }, at): MonthlyTuple => [
    id,
    ...Array.from({ length: MONTHS }, (_month, month) => ((at + month) % 7) * 100),
  ]);
  const judge = placedJudge();
  const look = (of: Chart): LookedAt =>
    lookAt(of, { judge, use: chartUse({ first: '2025-01', rows }, '2026-12') });
  const id = records[Math.floor(count / 2)]?.id ?? '';
  const edit = { type: 'editField', id, field: 'name', value: 'Hire of a shed' } as const;
  const outcome = applyAll(chart, [edit]);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return {
    first: measured(() => allFindings(look(chart))),
    again: measured(() => allFindings(look(outcome.chart))),
  };
};

looksAt(200);
const [small, large] = [looksAt(1000), looksAt(5000)];
say('All rules over a chart with two years of totals');
compare({
  what: '5,000 accounts against 1,000',
  value: large.first,
  baseline: small.first,
  unit: 'ms',
  aim: { atMost: 7 },
});
compare({
  what: 'after one edit against the first look',
  value: large.again,
  baseline: large.first,
  unit: 'ms',
  aim: { atMost: 0.5 },
});
