// All proofs of a chart of 2,000 accounts after one edit, as the worker holds them against it: 500 of them, by 200 rules.
// Baseline: one roll-up of the same chart over its amounts, from nothing. The frame that they must fit into is said too.
import {
  advance,
  brokenBy,
  chartFrom,
  landingOf,
  proposedChart,
  rollUpOver,
  routesOf,
  trackOf,
  type Operation,
  type RouteItem,
} from '@iunctus/core';
import { largeChart } from './support/large-chart';
import { compare, median } from './support/report';

const ACCOUNTS = 2000;
const PROOFS = 500;
const RULES = 200;
const ROUNDS = 25;
const FRAME = 16;
const FILER = { legalForm: 'soleOwner', country: 'US' } as const;

const records = largeChart(ACCOUNTS);
const base = chartFrom(records);
const posting = records.filter(({ role }) => role === 'posting');
const ledger = new Map(records.map(({ id }, i) => [id, { balance: i, change: i, yearChange: i }]));

const at = (index: number): string => posting[(index * 7919) % posting.length]?.id ?? '';

const rules = Array.from({ length: RULES }, (_one, index): RouteItem => ({
  id: `rule-${index}`,
  content: {
    type: 'rule',
    place: index,
    how: 'contains',
    words: `payee number ${index} of the bank`,
    sign: null,
    least: null,
    most: null,
    source: null,
    accountId: at(index),
    taxCodeId: null,
  },
}));

const proofs = Array.from({ length: PROOFS }, (_one, index): RouteItem => {
  const rule = index % RULES;
  const landing = landingOf(base, at(rule), FILER);
  return {
    id: `proof-${index}`,
    content: {
      type: 'proof',
      name: `Proof ${index}`,
      sample: {
        by: 'line',
        text: `CARD 4471 PAYEE NUMBER ${rule} OF THE BANK ${index}`,
        amount: -100 - index,
        source: 'bank',
      },
      expected: {
        section: landing?.section ?? 'operatingExpenses',
        underId: landing?.path[0] ?? null,
        returnLine: landing?.returnLine ?? null,
      },
    },
  };
});

const routes = routesOf([...rules, ...proofs]);
const edit: Operation = { type: 'editField', id: at(1), field: 'name', value: 'Renamed' };
const outcome = advance(trackOf(base), [{ id: 'edit', operations: [edit] }]);
if (!outcome.ok) throw new Error(outcome.refusal.code);
const chart = proposedChart(outcome.track);

const proving = (): number => {
  const started = performance.now();
  brokenBy({ base, operations: [edit], chart }, { routes, filer: FILER });
  return performance.now() - started;
};

const rollingUp = (): number => {
  const started = performance.now();
  const rollUp = rollUpOver(ledger);
  base.roots.forEach(rollUp.total);
  return performance.now() - started;
};

const broken = brokenBy({ base, operations: [edit], chart }, { routes, filer: FILER }).length;
if (broken > 0) throw new Error(`${broken} proofs do not hold`);
const turns = Array.from({ length: ROUNDS + 5 }, () => [proving(), rollingUp()] as const).slice(5);
const [proved, rolled] = [0, 1].map((which) => median(turns.map((turn) => turn[which] ?? 0)));
compare({
  what: `${PROOFS} proofs by ${RULES} rules after an edit, ${ACCOUNTS} accounts, against one frame`,
  value: proved ?? 0,
  baseline: FRAME,
  unit: 'ms',
  aim: { atMost: 1 },
});
compare({
  what: 'the same against one roll-up of the chart',
  value: proved ?? 0,
  baseline: rolled ?? 0,
  unit: 'ms',
  aim: { atMost: 40 },
});
