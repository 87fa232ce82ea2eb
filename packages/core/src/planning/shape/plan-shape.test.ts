import fc from 'fast-check';
import type { Chart } from '../../chart/chart';
import { eachNode, pathTo, accountOf } from '../../chart/queries';
import { rollUpOver } from '../../ledger/amounts';
import { applyAll } from '../../operations/apply';
import { impactOf } from '../../statements/impact';
import { aChart } from '../../testing/a-chart';
import { balancedLedger, randomChart } from '../../testing/random';
import {
  planShape,
  shapeKey,
  type ShapePlan,
  type ShapeStepCode,
  type ShapeWish,
} from './plan-shape';

const TARGET = aChart(
  [
    '1000 Cash and bank: [bank]',
    '  1010 Current account [bank]',
    '4000 Sales: [saleOfGoods]',
    '  4010 Sales of goods [saleOfGoods]',
    '6000 Premises: [operatingExpense]',
    '  6010 Rent [operatingExpense]',
    '  6020 Power and water [operatingExpense]',
    '6100 Office: [operatingExpense]',
    '  6110 Telephone and internet [operatingExpense]',
    '  6120 Insurance [operatingExpense]',
  ].join('\n'),
);
const INHERITED = aChart(
  [
    '1200 Bank [bank]',
    '4400 Sales of goods [saleOfGoods]',
    '6300 Phone [operatingExpense]',
    '6301 Telephone [operatingExpense]',
    '6400 Kiln rent [operatingExpense]',
    '6500 Glaze tests [operatingExpense]',
    '6600 Old things: [operatingExpense]',
  ].join('\n'),
  { posted: ['1200', '4400', '6300', '6301', '6400'] },
);

const planned = (chart: Chart, target: Chart, more: Partial<ShapeWish> = {}): ShapePlan =>
  planShape(chart, {
    target,
    skipped: new Set<ShapeStepCode>(),
    struck: new Set<string>(),
    named: new Set<string>(),
    stake: (id) => (id === '6301' ? 9 : 1),
    newId: (index) => `new-${index}`,
    ...more,
  });
const rowsOf = ({ steps }: ShapePlan, code: ShapeStepCode) =>
  steps.find((step) => step.code === code)?.rows.map(({ id, says }) => ({ id, ...says })) ?? [];
const below = (chart: Chart): readonly string[] =>
  [...eachNode(chart.roots)].map(({ account: { id } }) =>
    pathTo(chart, id)
      .map((one) => accountOf(chart, one)?.name ?? '')
      .join(' › '),
  );

describe('the way to the shape of another chart', () => {
  const plan = planned(INHERITED, TARGET);

  it('merges what stands for one thing there, into the one with most', () => {
    expect(rowsOf(plan, 'merge')).toEqual([{ id: '6300', does: 'merge', into: '6301' }]);
  });

  it('puts accounts under its headings, those that it does not have by their kind', () => {
    expect(below(plan.chart)).toEqual([
      'Cash and bank',
      'Cash and bank › Bank',
      'Sales',
      'Sales › Sales of goods',
      'Premises',
      'Premises › Kiln rent',
      'Office',
      'Office › Telephone and internet',
    ].map((name) => expect.stringContaining(name.split(' › ').at(-1) ?? '') as string)); // prettier-ignore
  });

  it('takes its names, but leaves one that says more', () => {
    expect(rowsOf(plan, 'rename')).toEqual([
      { id: '6301', does: 'rename', to: 'Telephone and internet' },
    ]);
  });

  it('takes out what was never posted to and has no place there', () => {
    expect(new Set(rowsOf(plan, 'remove').map(({ id }) => id))).toEqual(new Set(['6500', '6600']));
  });

  it('numbers by its plan', () => {
    expect(plan.steps.at(-1)?.code).toBe('renumber');
    const numbers = [...eachNode(plan.chart.roots)].map(({ account }) => account.number);
    expect(numbers.every((number) => number !== null)).toBe(true);
  });

  it('takes no step that is not wanted, and leaves out what is struck', () => {
    const skipped = planned(INHERITED, TARGET, { skipped: new Set(['group', 'renumber']) });
    expect(skipped.steps.map(({ code }) => code)).toEqual(['merge', 'remove', 'rename']);
    const struck = planned(INHERITED, TARGET, { struck: new Set([shapeKey('remove', '6500')]) });
    expect(rowsOf(struck, 'remove').map(({ id }) => id)).toEqual(['6600']);
  });

  it('takes nothing out that a route names', () => {
    const named = planned(INHERITED, TARGET, { named: new Set(['6500']) });
    expect(rowsOf(named, 'remove').map(({ id }) => id)).toEqual(['6600']);
  });

  it('has nothing to do where the shape is there', () => {
    expect(planned(TARGET, TARGET).steps).toEqual([]);
  });

  it('can be taken step by step, and moves no total of any statement, on any two charts', () => {
    let steps = 0;
    fc.assert(
      fc.property(
        randomChart(20),
        randomChart(20),
        fc.array(fc.integer({ min: -9999, max: 9999 }), { minLength: 10, maxLength: 40 }),
        (bare, target, seed) => {
          const { chart, ledger } = balancedLedger(bare, seed);
          const rollUp = rollUpOver(ledger);
          const way = planned(chart, target);
          let at = chart;
          for (const { operations } of way.steps) {
            const outcome = applyAll(at, operations);
            if (!outcome.ok) throw new Error(outcome.refusal.code);
            at = outcome.chart;
            steps += 1;
          }
          expect(below(at)).toEqual(below(way.chart));
          const { sections, totals } = impactOf({ chart, rollUp }, { chart: at, rollUp });
          expect([...sections, ...totals]).toEqual([]);
        },
      ),
      { numRuns: 120 },
    );
    expect(steps).toBeGreaterThan(100);
  });
});
