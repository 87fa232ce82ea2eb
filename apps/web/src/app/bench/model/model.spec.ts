import { aChart, outlineOf } from '@iunctus/core/testing';
import {
  applyAll,
  planAbove,
  planMoveUnder,
  planSibling,
  visibleRows,
  type Chart,
  type View,
} from '@iunctus/core';
import { draftOf, draftOperations, newDraft, type Draft } from './draft';
import { dropTarget } from './drop-target';
import { listedRows, rowIdOf } from './listed-rows';
import { seamCurves } from './seam-curves';
import { actionOfKey } from './tree-keys';

const CHART = aChart(`
1000 Cash and bank:
  1010 Operating account
  1020 Tax reserve
5000 Cost of sales:
  5010 Fruit
  5020 Bottles
6000 People:
  6010 Wages
`);
const VIEW: View = { depth: 3, opened: new Set(), closed: new Set(), filter: '', also: new Map() };
const ROWS = visibleRows(CHART, VIEW);

const edited = (id: string, change: Partial<Draft>, chart: Chart = CHART) => {
  const draft = draftOf(chart, id);
  if (draft === null) throw new Error('no account');
  return draftOperations(chart, { ...draft, ...change });
};

describe('the draft of a row', () => {
  it('makes no operation when nothing differs', () => {
    expect(edited('6010', {})).toEqual([]);
  });

  it('makes one operation for each field that differs, typed number and name cleaned', () => {
    expect(edited('6010', { number: ' ６０１５ ', name: '  Gross   pay ' })).toEqual([
      { type: 'renumber', id: '6010', number: '6015' },
      { type: 'editField', id: '6010', field: 'name', value: 'Gross pay' },
    ]);
  });

  it('moves before it changes the kind within an element', () => {
    expect(edited('6010', { parentId: '5000', kind: 'costOfSales' })).toEqual([
      { type: 'moveNode', id: '6010', parentId: '5000', afterId: '5020' },
      { type: 'changeKind', id: '6010', kind: 'costOfSales' },
    ]);
  });

  it('goes over to another element by way of the main level, and fits there', () => {
    const operations = edited('6010', { parentId: '1000', kind: 'bank' });
    expect(operations.map(({ type }) => type)).toEqual(['moveNode', 'changeKind', 'moveNode']);
    expect(applyAll(CHART, operations)).toMatchObject({ ok: true });
  });

  it('adds a new account where it was planned', () => {
    const plan = planSibling(CHART, '5010');
    if (plan === null) throw new Error('no plan');
    const draft = { ...newDraft(plan, 'new'), name: 'Labels' };
    expect(draftOperations(CHART, draft)).toMatchObject([
      {
        type: 'addAccount',
        account: { number: '5015', name: 'Labels', kind: 'costOfSales' },
        parentId: '5000',
        afterId: '5010',
      },
    ]);
  });
});

describe('a heading above chosen accounts', () => {
  const plan = planAbove(CHART, ['5010', '5020']);
  if (plan === null) throw new Error('no plan');
  const draft = { ...newDraft(plan, 'new'), name: 'Materials', above: ['5010', '5020'] };

  it('stands in the place of the first, with all of them below it in their order', () => {
    const outcome = applyAll(CHART, draftOperations(CHART, draft));
    if (!outcome.ok) throw new Error(outcome.refusal.code);
    expect(outlineOf(outcome.chart).slice(3, 7)).toEqual([
      '5000 Cost of sales',
      '  5005 Materials',
      '    5010 Fruit',
      '    5020 Bottles',
    ]);
  });

  it('is one step with what it stands above, and a heading', () => {
    expect(draftOperations(CHART, draft)).toMatchObject([
      { type: 'addAccount', account: { name: 'Materials', role: 'heading' }, afterId: null },
      { type: 'moveNode', id: '5010', parentId: 'new', afterId: null },
      { type: 'moveNode', id: '5020', parentId: 'new', afterId: '5010' },
    ]);
  });
});

describe('the listed rows', () => {
  const plan = planSibling(CHART, '5010');
  const draft = plan === null ? null : newDraft(plan, 'new');

  it('show the draft of a new account in its place', () => {
    const ids = listedRows(ROWS, draft).map(rowIdOf);
    expect(ids.slice(ids.indexOf('5010'), ids.indexOf('5010') + 3)).toEqual([
      '5010',
      'new',
      '5020',
    ]);
  });

  it('show the draft of an account in place of its row', () => {
    const ids = listedRows(ROWS, draftOf(CHART, '5010'));
    expect(ids).toHaveLength(ROWS.length);
    expect(ids.find((row) => rowIdOf(row) === '5010')?.type).toBe('draft');
  });
});

describe('dropping a dragged row', () => {
  const indexOf = (id: string) => ROWS.findIndex((row) => rowIdOf(row) === id);

  it('on the middle of a row goes under it', () => {
    expect(dropTarget(CHART, ROWS, indexOf('5000') + 0.5, '6010')?.target).toEqual({
      parentId: '5000',
    });
  });

  it('on the lower edge goes after it, or first in it when it is open', () => {
    expect(dropTarget(CHART, ROWS, indexOf('5010') + 0.9, '6010')?.target).toEqual({
      parentId: '5000',
      afterId: '5010',
    });
    expect(dropTarget(CHART, ROWS, indexOf('5000') + 0.9, '6010')?.target).toEqual({
      parentId: '5000',
      afterId: null,
    });
  });

  it('on the upper edge goes before it, also when the dragged row stands right above', () => {
    expect(dropTarget(CHART, ROWS, indexOf('5020') + 0.1, '6010')?.target).toEqual({
      parentId: '5000',
      afterId: '5010',
    });
    expect(dropTarget(CHART, ROWS, indexOf('5020') + 0.1, '5010')?.target).toEqual({
      parentId: '5000',
      afterId: null,
    });
  });

  it('goes nowhere over its own branch, a band or empty space', () => {
    expect(dropTarget(CHART, ROWS, indexOf('5010') + 0.5, '5000')).toBeNull();
    expect(dropTarget(CHART, ROWS, 0.5, '5000')).toBeNull();
    expect(dropTarget(CHART, ROWS, 99, '5000')).toBeNull();
  });

  it('gives operations that the rules accept', () => {
    const place = dropTarget(CHART, ROWS, indexOf('5010') + 0.9, '6010');
    if (place === null) throw new Error('nowhere');
    expect(applyAll(CHART, planMoveUnder(CHART, '6010', place.target))).toMatchObject({ ok: true });
  });
});

describe('the keys of the tree', () => {
  const key = (name: string, more: Partial<KeyboardEvent> = {}) =>
    actionOfKey(new KeyboardEvent('keydown', { key: name, ...more }));

  it.each([
    ['n', {}, { type: 'add', as: 'sibling' }],
    ['N', { shiftKey: true }, { type: 'add', as: 'child' }],
    ['ArrowRight', { altKey: true }, { type: 'move', direction: 'deeper' }],
    ['ArrowRight', {}, { type: 'open' }],
    ['Delete', {}, { type: 'remove' }],
    ['2', {}, { type: 'depth', depth: 2 }],
    ['/', {}, { type: 'filter' }],
    ['?', { shiftKey: true }, { type: 'sheet', sheet: 'keys' }],
  ])('%s %p asks for %p', (name, more, action) => {
    expect(key(name, more)).toEqual(action);
  });

  it('leave alone what belongs to the browser and the bench', () => {
    expect([
      key('z', { ctrlKey: true }),
      key('n', { ctrlKey: true }),
      key('F5'),
      key('Tab', { shiftKey: true }),
    ]).toEqual([null, null, null, null]);
  });

  it('open the account’s lines with L', () => {
    expect(key('l')).toEqual({ type: 'register' });
  });

  it('go to the statement with Tab, in one press', () => {
    expect(key('Tab')).toEqual({ type: 'toStatement' });
  });
});

describe('the curves of the seam', () => {
  const ends = {
    indexOf: new Map([
      ['a', 0],
      ['b', 40],
    ]),
    rowHeight: 24,
    top: 100,
    height: 240,
    scrolled: 0,
  };
  const row = { key: 'r', y: 50, landing: ['a'], selected: false, changed: false };

  it('run from the middle of a row to the middle of its line', () => {
    expect(seamCurves([row], ends, 78)).toEqual([
      {
        key: 'r>a',
        path: 'M0 50C39 50 39 112 78 112',
        y1: 50,
        y2: 112,
        selected: false,
        changed: false,
        beyond: false,
      },
    ]);
  });

  it('end at the edge when the line is out of sight', () => {
    expect(seamCurves([{ ...row, landing: ['b'] }], ends, 78)).toMatchObject([
      { y2: 340, beyond: true },
    ]);
  });

  it('follow the scrolling of the statement', () => {
    expect(seamCurves([row], { ...ends, scrolled: 10 }, 78)).toMatchObject([{ y2: 102 }]);
  });

  it('are not drawn to a line of the other statement', () => {
    expect(seamCurves([{ ...row, landing: ['elsewhere'] }], ends, 78)).toEqual([]);
  });
});
