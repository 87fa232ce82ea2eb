import fc from 'fast-check';
import { buildStatement } from '../statements/build';
import { rollUpOver } from '../ledger/amounts';
import { sideBySide } from '../statements/side-by-side';
import { applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import { aChart, anAccount } from '../testing';
import { draws, randomChart, runDraws } from '../testing/random';
import type { Chart } from './chart';
import { differencesBetween } from './compare';

const CHART = aChart(`
4010 Sales
5000 Cost of sales:
  5010 Fruit
  5020 Bottles
6010 Rent
6020 Old postage
`);

const after = (...operations: Operation[]): Chart => {
  const outcome = applyAll(CHART, operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};

describe('the differences between two charts', () => {
  it('are none between a chart and itself', () => {
    expect(differencesBetween(CHART, CHART)).toEqual([]);
  });

  it('tell what an account was, what is new, and what is not there any more', () => {
    const { parentId: _parent, ...account } = anAccount('6030', 'Internet');
    const changed = after(
      { type: 'renumber', id: '6010', number: '6005' },
      { type: 'addAccount', account, parentId: null, afterId: '6010' },
      { type: 'merge', id: '5020', into: '5010', acrossKinds: false },
      { type: 'deleteAccount', id: '6020' },
    );
    expect(differencesBetween(CHART, changed)).toEqual([
      { id: '5010', type: 'changed', was: { absorbed: ['5020'] } },
      { id: '6010', type: 'changed', was: { number: '6010' } },
      { id: '6030', type: 'new' },
      { id: '5020', type: 'merged', into: '5010' },
      { id: '6020', type: 'gone' },
    ]);
  });

  it('name every account that is in one chart alone', () => {
    fc.assert(
      fc.property(randomChart(30), draws(40), (start, recipes) => {
        const end = runDraws(start, recipes, 'new').at(-1)?.after ?? start;
        const told = new Map(differencesBetween(start, end).map((one) => [one.id, one.type]));
        const back = differencesBetween(end, start);
        const fresh = [...told].filter(([, type]) => type === 'new').map(([id]) => id);
        const lost = back.filter(({ type }) => type === 'gone' || type === 'merged');
        expect(lost.map(({ id }) => id).sort()).toEqual(fresh.sort());
      }),
    );
  });
});

describe('two statements side by side', () => {
  const rollUp = rollUpOver(
    new Map(
      [
        ['4010', -100],
        ['5010', 30],
        ['5020', 20],
        ['6010', 10],
      ].map(([id, amount]) => [
        String(id),
        { balance: Number(amount), change: Number(amount), yearChange: Number(amount) },
      ]),
    ),
  );
  const statement = (chart: Chart) =>
    buildStatement('profitAndLoss', { chart, rollUp }, { depth: Infinity, zeroLines: false });

  it('pair equal rows, and keep the place of a row that stands in one alone', () => {
    const merged = after({ type: 'merge', id: '5020', into: '5010', acrossKinds: false });
    const rows = sideBySide(statement(CHART), statement(merged)).flatMap(
      ({ row, before, after: now }) => (row.type === 'line' ? [[row.name, before, now]] : []),
    );
    expect(rows).toEqual([
      ['Sales', 100, 100],
      ['Fruit', 30, 50],
      ['Bottles', 20, null],
      ['Rent', 10, 10],
    ]);
  });

  it('say nothing of a difference where there is none', () => {
    for (const { before, after: now } of sideBySide(statement(CHART), statement(CHART)))
      expect(now).toBe(before);
  });
});
