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
  type PostedWords,
  type Spelling,
} from '@iunctus/core';
import { placedJudge } from '@iunctus/core/learned';
import { readSpelling } from '@iunctus/exchange/dictionaries';
import { largeChart } from './support/large-chart';
import { compare, say } from './support/report';

const MONTHS = 24;

const measured = (work: () => void): number => {
  const started = performance.now();
  work();
  return performance.now() - started;
};

/** What is said of postings: a few things over and over, each in many accounts. */
const SAID = [
  'kiln repair',
  'van hire',
  'window cleaning',
  'harbour light and power',
  'tea and milk',
];

const postedTo = (ids: readonly string[]): PostedWords => ({
  upTo: 1,
  accounts: ids.map((id, at) => ({
    id,
    said: SAID.map((words, place) => ({
      words: `${words} ${(at * 7 + place) % 97}`,
      count: 3 + (at % 4),
      amount: 100 * (1 + ((at + place) % 9)),
    })),
  })),
});

/** Milliseconds for the first look, and for another after one edit. */
const looksAt = (
  count: number,
  spelling: Spelling | null,
): { readonly first: number; readonly again: number } => {
  const records = largeChart(count);
  const chart = chartFrom(records);
  const rows = records.map(({ id }, at): MonthlyTuple => [
    id,
    ...Array.from({ length: MONTHS }, (_month, month) => ((at + month) % 7) * 100),
  ]);
  const judge = placedJudge();
  const posted = postedTo(records.map(({ id }) => id));
  const look = (of: Chart): LookedAt =>
    lookAt(of, { judge, spelling, posted, use: chartUse({ first: '2025-01', rows }, '2026-12') });
  const id = records[Math.floor(count / 2)]?.id ?? '';
  const edit = { type: 'editField', id, field: 'name', value: 'Hire of a shed' } as const;
  const outcome = applyAll(chart, [edit]);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return {
    first: measured(() => allFindings(look(chart))),
    again: measured(() => allFindings(look(outcome.chart))),
  };
};

const spelling = await readSpelling('US');
looksAt(200, spelling);
const [small, large] = [looksAt(1000, spelling), looksAt(5000, spelling)];
say('All rules over a chart with two years of totals, a dictionary, and what was said of postings');
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
