import fc from 'fast-check';
import { getIn } from '../collections/persistent-map';
import { chartFrom } from '../chart/build';
import type { Chart } from '../chart/chart';
import { nameKey } from '../text/name-key';
import {
  accountOf,
  eachNode,
  mergedAccounts,
  parentIdOf,
  recordsOf,
  splitsOf,
  standsFor,
} from '../chart/queries';
import { elementOf } from '../kinds/kinds';
import { rollUpOver, sectionAmounts } from '../ledger/amounts';
import {
  balancedLedger,
  closeDraw,
  draws,
  randomChart,
  runDraws,
  type Applied,
} from '../testing/random';
import { planUnmerge } from '../planning/plan-merge';
import { apply, applyAll, invert, inverseOf, rebase } from './apply';
import type { Operation } from './operation';
import { indexLanded, nextMet } from './landed-index';
import type { Landed } from './rules';

const stateOf = (chart: Chart) => ({
  records: recordsOf(chart),
  counted: [...eachNode(chart.roots)].map(({ absorbed, splits }) => ({ absorbed, splits })),
  splits: new Map(splitsOf(chart).map((split) => [split.id, split])),
  merged: new Map(
    mergedAccounts(chart).map(({ account, into }) => [account.id, { account, into }]),
  ),
  settings: chart.settings,
});

const expectSame = (a: Chart, b: Chart): void => expect(stateOf(a)).toEqual(stateOf(b));

const expectWhole = (chart: Chart): void => {
  const records = recordsOf(chart);
  expect(chart.parents.size).toBe(records.length);
  expect(new Set(records.map((r) => r.number)).size).toBe(records.length);
  for (const record of records) {
    expect(getIn(chart.numbers, record.number ?? '')).toBe(record.id);
    expect(getIn(chart.names, nameKey(record.name))).toBe(record.id);
    const parentId = parentIdOf(chart, record.id);
    const parent = parentId === null ? undefined : accountOf(chart, parentId);
    if (parent !== undefined) {
      expect(elementOf(parent.kind)).toBe(elementOf(record.kind));
      expect(parent.retiredOn !== null && record.retiredOn === null).toBe(false);
    }
  }
  expectSame(
    chart,
    chartFrom(records, {
      settings: chart.settings,
      posted: chart.posted,
      merged: mergedAccounts(chart),
      splits: splitsOf(chart),
    }),
  );
};

/** The chart after one operation and then, rebased, another; `null` where both cannot be had. */
const after = (first: Applied, second: Operation): Chart | null => {
  const { operation, before } = first;
  const rebased = rebase(second, { operation, inverse: invert(operation, before) });
  if (rebased.type === 'conflict') return null;
  if (rebased.type === 'done') return first.after;
  const outcome = apply(first.after, rebased.operation);
  return outcome.ok ? outcome.chart : null;
};

/** What a chart holds but for the order of siblings, which two movers to one place may settle either way. */
const accountsOf = (chart: Chart) => ({
  records: [...recordsOf(chart)].sort((a, b) => a.id.localeCompare(b.id)),
  merged: mergedAccounts(chart)
    .map(({ account: { id } }) => `${id} ${standsFor(chart, id)}`)
    .sort(),
  splits: splitsOf(chart)
    .map(({ id, from, into }) => `${id} ${from} ${into}`)
    .sort(),
  plan: chart.settings.plan,
  dimensions: [...chart.settings.dimensions].sort((a, b) => a.id.localeCompare(b.id)),
});

describe('the laws of operations', () => {
  it('gives back the first chart when a whole run is undone, with merges taken out of chains amid it', () => {
    fc.assert(
      fc.property(randomChart(30), draws(60), fc.nat(), (start, recipes, at) => {
        const done = runDraws(start, recipes, 'new').map(({ operation, before }) =>
          invert(operation, before),
        );
        let chart = runDraws(start, recipes, 'new').at(-1)?.after ?? start;
        const merged = mergedAccounts(chart);
        for (let count = 0; count < Math.min(3, merged.length); count += 1) {
          const { id } = merged[(at + count) % merged.length]?.account ?? { id: '' };
          const taken = planUnmerge(chart, id);
          const outcome = taken === null ? null : apply(chart, taken);
          if (taken === null || outcome?.ok !== true) continue;
          done.push(invert(taken, chart));
          ({ chart } = outcome);
        }
        const undone = applyAll(chart, done.reverse());
        expect(undone.ok ? null : undone.refusal).toBeNull();
        if (undone.ok) expectSame(undone.chart, start);
      }),
      { numRuns: 300 },
    );
  });

  it('gives back the chart when an operation is followed by its inverse', () => {
    fc.assert(
      fc.property(randomChart(40), draws(200), (start, recipes) => {
        for (const { operation, before, after } of runDraws(start, recipes, 'new')) {
          const undone = apply(after, invert(operation, before));
          expect(undone.ok).toBe(true);
          if (undone.ok) expectSame(undone.chart, before);
        }
      }),
    );
  });

  it('gives the changed chart again when the inverse is inverted', () => {
    fc.assert(
      fc.property(randomChart(40), draws(30), (start, recipes) => {
        for (const { operation, before, after } of runDraws(start, recipes, 'new')) {
          const inverse = invert(operation, before);
          const again = apply(before, invert(inverse, after));
          expect(again.ok).toBe(true);
          if (again.ok) expectSame(again.chart, after);
        }
      }),
    );
  });

  it('takes a whole batch back in reverse', () => {
    fc.assert(
      fc.property(randomChart(30), draws(200), (start, recipes) => {
        const operations = runDraws(start, recipes, 'new').map((applied) => applied.operation);
        const batch = applyAll(start, operations);
        if (!batch.ok) throw new Error('the batch was accepted one by one');
        const back = applyAll(batch.chart, inverseOf(batch.landed));
        expect(back.ok).toBe(true);
        if (back.ok) expectSame(back.chart, start);
      }),
    );
  });

  it('keeps the tree whole, numbers and names unique, and elements together, whatever happens', () => {
    fc.assert(
      fc.property(randomChart(40), draws(200), (start, recipes) => {
        const applied = runDraws(start, recipes, 'new');
        expectWhole(applied.at(-1)?.after ?? start);
      }),
    );
  });

  it('never changes the chart that it was given', () => {
    fc.assert(
      fc.property(randomChart(30), draws(30), (start, recipes) => {
        const records = recordsOf(start);
        runDraws(start, recipes, 'new');
        expect(recordsOf(start)).toEqual(records);
      }),
    );
  });

  it('means the same after a trip through JSON', () => {
    fc.assert(
      fc.property(randomChart(30), draws(20), (start, recipes) => {
        for (const { operation, before, after } of runDraws(start, recipes, 'new')) {
          const copy = JSON.parse(JSON.stringify(operation)) as typeof operation;
          const outcome = apply(before, copy);
          expect(outcome.ok).toBe(true);
          if (outcome.ok) expectSame(outcome.chart, after);
        }
      }),
    );
  });

  it('keeps assets = liabilities + equity through every operation', () => {
    fc.assert(
      fc.property(
        randomChart(40),
        draws(40),
        fc.array(fc.integer({ min: -1e9, max: 1e9 }), { maxLength: 60 }),
        (bare, recipes, seed) => {
          const { chart, ledger } = balancedLedger(bare, seed);
          const splits = recipes.map(({ a, b, c }, index) => {
            const amounts = { balance: a - b, change: c, yearChange: b };
            return [`split-new${index}`, amounts] as const;
          });
          const rollUp = rollUpOver(new Map([...ledger, ...splits]));
          for (const { after } of runDraws(chart, recipes, 'new')) {
            const amounts = sectionAmounts(after, rollUp);
            const sum = (...codes: Parameters<typeof amounts.get>[0][]): number =>
              codes.reduce((so, code) => so + (amounts.get(code) ?? 0), 0);
            const assets = sum('currentAssets', 'nonCurrentAssets');
            const claims = sum('currentLiabilities', 'nonCurrentLiabilities', 'equity');
            expect(assets + claims).toBe(0);
          }
        },
      ),
    );
  });

  it('keeps every total of the statements unless a kind changes', () => {
    fc.assert(
      fc.property(
        randomChart(40),
        draws(200),
        fc.array(fc.integer({ min: -1e9, max: 1e9 }), { maxLength: 60 }),
        (bare, recipes, seed) => {
          const { chart, ledger } = balancedLedger(bare, seed);
          const rollUp = rollUpOver(ledger);
          for (const { operation, before, after } of runDraws(chart, recipes, 'new')) {
            const across = operation.type === 'merge' && operation.acrossKinds;
            if (operation.type === 'changeKind' || across) continue;
            const [was, is] = [sectionAmounts(before, rollUp), sectionAmounts(after, rollUp)];
            const moved = [...was.keys()].filter(
              (code) => (was.get(code) ?? 0) !== (is.get(code) ?? 0),
            );
            expect(moved).toEqual([]);
          }
        },
      ),
    );
  });

  it('rebases to an operation that fits, or is refused by a rule, but never breaks the tree', () => {
    fc.assert(
      fc.property(randomChart(30), draws(10), draws(10), (start, theirs, mine) => {
        const landed = runDraws(start, theirs, 'theirs').map(({ operation, before }): Landed => ({
          operation,
          inverse: invert(operation, before),
        }));
        const newest = applyAll(
          start,
          landed.map((item) => item.operation),
        );
        if (!newest.ok) throw new Error('what landed fits');
        const [first] = runDraws(start, mine, 'mine');
        if (first === undefined) return;
        let current = first.operation;
        for (const item of landed) {
          const rebased = rebase(current, item);
          if (rebased.type !== 'keep') return;
          current = rebased.operation;
        }
        const outcome = apply(newest.chart, current);
        expectWhole(outcome.ok ? outcome.chart : newest.chart);
      }),
    );
  });

  it('passes over nothing that landed and that a pending operation meets', () => {
    fc.assert(
      fc.property(randomChart(12), draws(10), closeDraw, (start, theirs, mine) => {
        const landed = runDraws(start, theirs, 'theirs').map(({ operation, before }): Landed => ({
          operation,
          inverse: invert(operation, before),
        }));
        const [own] = runDraws(start, [mine], 'mine');
        if (own === undefined) return;
        const index = indexLanded(landed);
        for (let from = 0; from <= landed.length; from += 1) {
          const met = nextMet(index, own.operation, from);
          const passed = landed.slice(from, met).map((item) => rebase(own.operation, item));
          expect(passed).toEqual(passed.map(() => ({ type: 'keep', operation: own.operation })));
        }
      }),
      { numRuns: 1000 },
    );
  });

  it('comes to the same accounts in either order, or says that both cannot be had', () => {
    fc.assert(
      fc.property(randomChart(12), closeDraw, closeDraw, (start, theirs, mine) => {
        const [a] = runDraws(start, [theirs], 'theirs');
        const [b] = runDraws(start, [mine], 'mine');
        if (a === undefined || b === undefined) return;
        const one = after(a, b.operation);
        const other = after(b, a.operation);
        if (one === null || other === null) return;
        expect(accountsOf(one)).toEqual(accountsOf(other));
      }),
      { numRuns: 3000 },
    );
  });
});
