// Renumbering a disordered chart with the fewest changes. Baseline: a fifth of the accounts, and
// what n log n would cost for the larger chart.
import {
  chartFrom,
  crosswalkTo,
  plainAccount,
  usualPlan,
  USUAL_SETTINGS,
  type AccountRecord,
} from '@iunctus/core';
import { compare, median } from './support/report';

const PLAN = { ...usualPlan(7), levels: [4, 2, 1] };
const SUBS = 40;

/** Main accounts with forty sub-accounts each; every seventh number is out of its place. */
const disordered = (count: number): readonly AccountRecord[] =>
  Array.from({ length: count }, (_, index) => {
    const head = Math.floor(index / (SUBS + 1));
    const place = index % (SUBS + 1);
    const block = 6_000_000 + head * 1000;
    const stray = index % 7 === 3 ? 1_000_000 + index : null;
    const number = String(stray ?? block + place * 10);
    const name = `Account ${index}`;
    return {
      ...plainAccount({ id: `a${index}`, number, name, kind: 'operatingExpense' }),
      parentId: place === 0 ? null : `a${index - place}`,
    };
  });

/** Milliseconds for the whole crosswalk. */
const timeFor = (count: number): number => {
  const chart = chartFrom(disordered(count), { settings: { ...USUAL_SETTINGS, plan: PLAN } });
  const request = { plan: PLAN, movable: null, keep: true };
  return median(
    Array.from({ length: 5 }, () => {
      const started = performance.now();
      const { rows, unplaced } = crosswalkTo(chart, request);
      const took = performance.now() - started;
      if (unplaced.length > 0 || rows.length === 0) throw new Error('the chart is not as meant');
      return took;
    }),
  );
};

timeFor(1000);
timeFor(5000);
const [small, middle, large] = [timeFor(1000), timeFor(5000), timeFor(25_000)];
const nLogN = (from: number, to: number): number => (to * Math.log2(to)) / (from * Math.log2(from));
compare({
  what: 'renumbering 5,000 accounts against 1,000, over n log n',
  value: middle,
  baseline: small * nLogN(1000, 5000),
  unit: 'ms',
  aim: { atMost: 1.5 },
});
compare({
  what: 'renumbering 25,000 accounts against 5,000, over n log n',
  value: large,
  baseline: middle * nLogN(5000, 25_000),
  unit: 'ms',
  aim: { atMost: 1.5 },
});
