import fc from 'fast-check';
import type { Chart } from '../chart/chart';
import { changeOf } from '../chart/compare';
import { accountOf, recordsOf } from '../chart/queries';
import { visibleRows, type View, type VisibleRow } from '../chart/visible-rows';
import { isContra } from '../kinds/kinds';
import { applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import { aChart, outlineOf } from '../testing/a-chart';
import { randomChart } from '../testing/random';
import { planChild, planMain, planSibling } from './plan-add';
import { planContrasLast } from './plan-contras';
import { planOpeningAccount } from './plan-opening-account';
import { planMoveUnder, planRemoval, planStep } from './plan-move';
import { planMoveTogether } from './plan-move-together';

const CHART = `
1500 Equipment: [propertyAndEquipment]
  1510 Press [propertyAndEquipment]
  1590 Worn [accumulatedDepreciation]
5000 Cost of sales:
  5010 Fruit
  5020 Bottles
6000 People:
  6010 Wages
6300 Operating:
  6310 Excise duty
  6320 Licences
`;

const done = (chart: Chart, operations: readonly Operation[]): Chart => {
  const outcome = applyAll(chart, operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};

describe('planning a new account', () => {
  it('puts a sibling right after the cursor, of the same kind', () => {
    expect(planSibling(aChart(CHART), '5010')).toMatchObject({
      parentId: '5000',
      afterId: '5010',
      kind: 'costOfSales',
      number: { ok: true, number: '5015' },
    });
  });

  it('puts it before the contra when the cursor is on one, and takes no contra’s kind', () => {
    expect(planSibling(aChart(CHART), '1590')).toMatchObject({
      afterId: '1510',
      kind: 'propertyAndEquipment',
    });
  });

  it('puts a child last under the cursor, before any contra', () => {
    expect(planChild(aChart(CHART), '1500')).toMatchObject({ parentId: '1500', afterId: '1510' });
  });

  it('begins an element with its first kind', () => {
    expect(planMain(aChart(CHART), 'revenue')).toMatchObject({
      parentId: null,
      kind: 'saleOfGoods',
      number: { ok: true, number: '4000' },
    });
  });
});

describe('planning a move under another account', () => {
  it('gives the account the kind of its new siblings and a number among theirs', () => {
    const operations = planMoveUnder(aChart(CHART), '6310', { parentId: '5000' });
    expect(operations).toEqual([
      { type: 'moveNode', id: '6310', parentId: '5000', afterId: '5020' },
      { type: 'changeKind', id: '6310', kind: 'costOfSales' },
      { type: 'renumber', id: '6310', number: '5030' },
    ]);
  });

  it('leaves number and kind alone within one parent', () => {
    const operations = planMoveUnder(aChart(CHART), '6310', { parentId: '6300', afterId: '6320' });
    expect(operations.map(({ type }) => type)).toEqual(['moveNode']);
  });

  it('leaves the kind of a branch alone', () => {
    const operations = planMoveUnder(aChart(CHART), '6000', { parentId: '5000' });
    expect(operations.map(({ type }) => type)).toEqual(['moveNode', 'renumber']);
  });
});

describe('moving by one step', () => {
  const moved = (id: string, direction: Parameters<typeof planStep>[2]) => {
    const chart = aChart(CHART);
    const operations = planStep(chart, id, direction);
    return operations === null ? null : outlineOf(done(chart, operations));
  };

  it('goes up and down among its siblings', () => {
    expect(moved('5020', 'up')?.slice(3, 6)).toEqual([
      '5000 Cost of sales',
      '  5020 Bottles',
      '  5010 Fruit',
    ]);
    expect(moved('5010', 'down')?.slice(3, 6)).toEqual([
      '5000 Cost of sales',
      '  5020 Bottles',
      '  5010 Fruit',
    ]);
  });

  it('goes deeper, under the sibling above', () => {
    expect(moved('5020', 'deeper')?.slice(4, 6)).toEqual(['  5010 Fruit', '    5020 Bottles']);
  });

  it('stands before the contra of the group that it goes into, and a contra stays last', () => {
    const vans = aChart(`
1500 Equipment: [propertyAndEquipment]
  1510 Vans [propertyAndEquipment]
  1590 Depreciation to date [accumulatedDepreciation]
1600 Boats [propertyAndEquipment]`);
    const deeper = planStep(vans, '1600', 'deeper') ?? [];
    expect(outlineOf(done(vans, deeper)).map((line) => line.trim())).toEqual([
      '1500 Equipment',
      '1510 Vans',
      '1600 Boats',
      '1590 Depreciation to date',
    ]);
  });

  it('goes shallower, right after its parent', () => {
    expect(moved('5010', 'shallower')?.slice(3, 6)).toEqual([
      '5000 Cost of sales',
      '  5020 Bottles',
      '5010 Fruit',
    ]);
  });

  it('stays where there is nowhere to go', () => {
    expect([moved('5010', 'up'), moved('5020', 'down'), moved('5010', 'deeper')]).toEqual([
      null,
      null,
      null,
    ]);
    expect([moved('5000', 'shallower'), moved('5000', 'up')]).toEqual([null, null]);
  });
});

describe('moving several accounts together', () => {
  it('puts them one after the other, in the order that they had', () => {
    const chart = aChart(CHART);
    const plan = planMoveTogether(chart, ['5010', '5020'], { parentId: '6300', afterId: '6310' });
    if (!plan.ok) throw new Error(plan.refusal.code);
    const names = outlineOf(done(chart, plan.operations)).map((line) => line.trim().slice(5));
    expect(names.slice(-5)).toEqual(['Operating', 'Excise duty', 'Fruit', 'Bottles', 'Licences']);
  });
});

describe('planning a removal', () => {
  it('deletes what was never posted to and retires what was', () => {
    const chart = aChart(CHART, { posted: ['6010'] });
    expect(planRemoval(chart, '6320', '2026-10-31')).toEqual({ type: 'deleteAccount', id: '6320' });
    expect(planRemoval(chart, '6010', '2026-10-31')).toEqual({
      type: 'retire',
      id: '6010',
      on: '2026-10-31',
    });
  });

  it('leaves it to the rules to refuse a heading with children', () => {
    expect(planRemoval(aChart(CHART), '6000', '2026-10-31').type).toBe('deleteAccount');
  });
});

describe('what a changed account was', () => {
  const before = aChart(CHART);

  it('tells number, parent and kind of a moved account', () => {
    const after = done(before, planMoveUnder(before, '6310', { parentId: '5000' }));
    expect(changeOf(before, after, '6310')).toEqual({
      type: 'changed',
      was: { number: '6310', kind: 'operatingExpense', parentId: '6300' },
    });
  });

  it('is nothing for accounts that only stand beside a change', () => {
    const after = done(before, planMoveUnder(before, '6310', { parentId: '5000' }));
    expect(changeOf(before, after, '6320')).toBeNull();
    expect(changeOf(before, after, '5020')).toBeNull();
  });

  it('tells a new place among the same siblings', () => {
    const after = done(before, planStep(before, '5020', 'up') ?? []);
    expect(changeOf(before, after, '5020')).toEqual({ type: 'changed', was: { place: true } });
  });
});

describe('the rows of a chart as listed', () => {
  const view = (more: Partial<View>): View => ({
    depth: 1,
    opened: new Set(),
    closed: new Set(),
    filter: '',
    also: new Map(),
    ...more,
  });
  const listed = (rows: readonly VisibleRow[]) =>
    rows.map((row) => (row.type === 'element' ? row.element : (row.node.account.number ?? '')));

  it('band the accounts by element, down to the depth', () => {
    expect(listed(visibleRows(aChart(CHART), view({})))).toEqual([
      'asset',
      '1500',
      'expense',
      '5000',
      '6000',
      '6300',
    ]);
  });

  it('open and close by hand, whatever the depth', () => {
    const opened = visibleRows(aChart(CHART), view({ opened: new Set(['6000']) }));
    expect(listed(opened)).toContain('6010');
    const closed = visibleRows(aChart(CHART), view({ depth: 2, closed: new Set(['6000']) }));
    expect(listed(closed)).not.toContain('6010');
  });

  it('filter by parts of number and name, with all above what is found', () => {
    expect(listed(visibleRows(aChart(CHART), view({ filter: 'exc DUTY' })))).toEqual([
      'expense',
      '6300',
      '6310',
    ]);
    expect(listed(visibleRows(aChart(CHART), view({ filter: '5020' })))).toEqual([
      'expense',
      '5000',
      '5020',
    ]);
    expect(listed(visibleRows(aChart(CHART), view({ filter: 'nowhere' })))).toEqual([]);
  });
});

describe('letting contras stand last', () => {
  const after = (chart: Chart): readonly string[] => {
    const outcome = applyAll(chart, planContrasLast(chart));
    if (!outcome.ok) throw new Error(outcome.refusal.code);
    return outlineOf(outcome.chart);
  };

  it('moves them behind their siblings, in the order that they have', () => {
    const chart = aChart(
      '1500 Equipment [propertyAndEquipment]\n  1501 Wear [accumulatedDepreciation]\n  1502 Older wear [accumulatedDepreciation]\n  1510 Press [propertyAndEquipment]\n  1520 Van [propertyAndEquipment]',
    );
    expect(after(chart)).toEqual([
      '1500 Equipment',
      '  1510 Press',
      '  1520 Van',
      '  1501 Wear',
      '  1502 Older wear',
    ]);
  });

  it('keeps main accounts with their element', () => {
    const chart = aChart(
      '1590 Wear [accumulatedDepreciation]\n1500 Press [propertyAndEquipment]\n4010 Sales',
    );
    expect(after(chart)).toEqual(['1500 Press', '1590 Wear', '4010 Sales']);
  });

  it('moves nothing where they stand last already, nor what may not move', () => {
    const chart = aChart('1500 Press [propertyAndEquipment]\n1590 Wear [accumulatedDepreciation]');
    expect(planContrasLast(chart)).toEqual([]);
    const early = aChart('1590 Wear [accumulatedDepreciation]\n1500 Press [propertyAndEquipment]');
    expect(planContrasLast(early, new Set(['1500']))).toEqual([]);
  });

  it('leaves every chart with its contras last, and nothing else out of order', () => {
    fc.assert(
      fc.property(randomChart(40), (chart) => {
        const outcome = applyAll(chart, planContrasLast(chart));
        expect(outcome.ok).toBe(true);
        if (!outcome.ok) return;
        expect(planContrasLast(outcome.chart)).toEqual([]);
        const others = (one: Chart) =>
          recordsOf(one)
            .filter(({ kind }) => !isContra(kind))
            .map(({ id, parentId }) => [id, parentId]);
        expect(new Set(others(outcome.chart).map(String))).toEqual(
          new Set(others(chart).map(String)),
        );
      }),
    );
  });
});

describe('an account for what opening balances leave open', () => {
  const added = (outline: string): { number: string | null; name: string } | undefined => {
    const chart = aChart(outline);
    const outcome = applyAll(chart, planOpeningAccount(chart, 'new'));
    if (!outcome.ok) throw new Error(outcome.refusal.code);
    return accountOf(outcome.chart, 'new');
  };

  it('stands last under the heading for equity, with the next number there', () => {
    expect(added('1010 Bank\n3000 Equity:\n  3010 Capital')).toMatchObject({
      number: '3020',
      name: 'Opening balance equity',
      kind: 'openingBalanceEquity',
    });
  });

  it('is a main account where equity has no heading, and one in a chart without equity', () => {
    expect(added('1010 Bank\n3010 Capital')?.number).toMatch(/^3/);
    expect(added('1010 Bank\n4010 Sales')).toBeDefined();
  });

  it('bears a name that is free', () => {
    expect(added('3010 Opening balance equity [ownersCapital]')?.name).toBe(
      'Opening balance equity 2',
    );
  });
});
