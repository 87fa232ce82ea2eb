import { accountOf, mergedInto, nodeOf, recordsOf } from '../chart/queries';
import type { Chart } from '../chart/chart';
import { planMerge, planUnmerge } from '../planning/plan-merge';
import { rollUpOver } from '../ledger/amounts';
import { aChart, anAccount } from '../testing';
import { apply, applyAll, invert, rebase } from './apply';
import type { Operation } from './operation';

const STUDIO = `
1400 Kiln no 1 [propertyAndEquipment]
1410 Kiln no 2 [propertyAndEquipment]
5010 Clay
5020 Clays
  5021 Porcelain
5030 Glaze
6010 Postage
6020 Heading:
`;
const studio = (): Chart => aChart(STUDIO, { posted: ['5010', '5020', '6010'] });

const merging = (id: string, into: string, acrossKinds = false): Operation => ({
  type: 'merge',
  id,
  into,
  acrossKinds,
});

const after = (chart: Chart, ...operations: Operation[]): Chart => {
  const outcome = applyAll(chart, operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};

const AMOUNTS = new Map(
  [
    ['5010', 100],
    ['5020', 30],
    ['5030', 5],
    ['6010', 7],
  ].map(([id, amount]) => [
    String(id),
    { balance: Number(amount), change: Number(amount), yearChange: Number(amount) },
  ]),
);

const totalOf = (chart: Chart, id: string): number => {
  const node = nodeOf(chart, id);
  if (node === undefined) throw new Error(`no account ${id}`);
  return rollUpOver(AMOUNTS).total(node);
};

describe('a chain of merges', () => {
  const chain = (): Chart =>
    after(studio(), merging('5030', '5010'), merging('5010', '6010', true));
  const taken = (chart: Chart): Operation => {
    const operation = planUnmerge(chart, '5030');
    if (operation === null) throw new Error('5030 can be taken out');
    return operation;
  };

  it('remembers the number that one had, also after it came back with another for a while', () => {
    const start = after(studio(), merging('5030', '5010'));
    const { parentId: _main, ...taker } = anAccount('5030', 'Glazes', { id: 'glazes' });
    const filled = after(start, {
      type: 'addAccount',
      account: taker,
      parentId: null,
      afterId: '5020',
    });
    const operation = planUnmerge(filled, '5030');
    if (operation === null) throw new Error('5030 can be taken out');
    expect(operation.account.number).not.toBe('5030');
    const undone = after(after(filled, operation), invert(operation, filled), {
      type: 'deleteAccount',
      id: taker.id,
    });
    expect(planUnmerge(undone, '5030')?.account.number).toBe('5030');
  });

  it('comes back as it was when one is taken out of its middle and that is undone', () => {
    const before = chain();
    const operation = taken(before);
    const back = after(after(before, operation), invert(operation, before));
    expect(mergedInto(back, '5030')).toBe('5010');
    expect(totalOf(back, '6010')).toBe(totalOf(before, '6010'));
    expect(recordsOf(back)).toEqual(recordsOf(before));
  });

  it('is undone whole, from the last to the first', () => {
    const start = studio();
    const done = [merging('5030', '5010'), merging('5010', '6010', true)];
    let chart = start;
    const inverses: Operation[] = [];
    for (const next of [...done, null]) {
      const operation = next ?? taken(chart);
      inverses.unshift(invert(operation, chart));
      chart = after(chart, operation);
    }
    expect(recordsOf(after(chart, ...inverses))).toEqual(recordsOf(start));
  });
});

describe('merging an account into another', () => {
  it('counts its postings with the other, and takes it out of the tree', () => {
    const chart = after(studio(), merging('5030', '5010'));
    expect(accountOf(chart, '5030')).toBeUndefined();
    expect(mergedInto(chart, '5030')).toBe('5010');
    expect(totalOf(chart, '5010')).toBe(105);
  });

  it('frees its number and its name', () => {
    const chart = after(studio(), merging('5030', '5010'));
    const again = { ...anAccount('5030', 'Glaze'), id: 'new' };
    expect(
      apply(chart, { type: 'addAccount', account: again, parentId: null, afterId: null }).ok,
    ).toBe(true);
  });

  it('carries along what was merged into it before', () => {
    const chart = after(studio(), merging('5030', '6010', true), merging('6010', '5010', true));
    expect(nodeOf(chart, '5010')?.absorbed).toEqual(['5030', '6010']);
    expect(totalOf(chart, '5010')).toBe(112);
  });

  it('moves its sub-accounts under the other first', () => {
    const chart = after(
      studio(),
      ...planMerge(studio(), '5020', { into: '5010', acrossKinds: false }),
    );
    expect(recordsOf(chart).find(({ id }) => id === '5021')?.parentId).toBe('5010');
    expect(totalOf(chart, '5010')).toBe(130);
  });

  it.each<[string, Operation, object]>([
    ['into itself', merging('5010', '5010'), { code: 'mergeIntoItself' }],
    ['into an account that is not there', merging('5010', '9'), { code: 'accountMissing' }],
    ['with sub-accounts', merging('5020', '5010'), { code: 'hasChildren' }],
    ['into a heading', merging('6010', '6020'), { code: 'headingTakesNoPostings' }],
    [
      'of another kind, unless that is meant',
      merging('6010', '5010'),
      { code: 'kindsDiffer', field: 'kind', value: 'costOfSales', otherId: '5010' },
    ],
  ])('is refused %s', (_words, operation, refusal) => {
    expect(apply(studio(), operation)).toMatchObject({ ok: false, refusal });
  });

  it('is refused for the system’s own account, and into a retired one', () => {
    const chart = aChart(STUDIO, { system: ['5010'], retired: ['5030'] });
    expect(apply(chart, merging('5010', '6010', true))).toMatchObject({
      refusal: { code: 'systemAccount' },
    });
    expect(apply(chart, merging('6010', '5030', true))).toMatchObject({
      refusal: { code: 'mergeIntoRetired', otherId: '5030' },
    });
  });

  it('keeps an account from being deleted that others were merged into', () => {
    const chart = after(studio(), merging('1410', '1400'));
    expect(apply(chart, { type: 'deleteAccount', id: '1400' })).toMatchObject({
      refusal: { code: 'hasMerged' },
    });
  });
});

describe('taking a merge back', () => {
  it('brings the account back to its place, with the postings that are its own', () => {
    const merge = merging('5030', '5010');
    const merged = after(studio(), merge);
    const back = after(merged, invert(merge, studio()));
    expect(recordsOf(back)).toEqual(recordsOf(studio()));
    expect([totalOf(back, '5010'), totalOf(back, '5030')]).toEqual([100, 5]);
  });

  it('works after the other was merged on in its turn', () => {
    const first = merging('5030', '5010');
    const chart = after(studio(), first, merging('5010', '6010', true));
    const back = after(chart, invert(first, studio()));
    expect(nodeOf(back, '6010')?.absorbed).toEqual(['5010']);
    expect([totalOf(back, '6010'), totalOf(back, '5030')]).toEqual([107, 5]);
  });

  it('is refused when its number was given to another account meanwhile', () => {
    const merge = merging('5030', '5010');
    const chart = after(studio(), merge, { type: 'renumber', id: '6010', number: '5030' });
    expect(apply(chart, invert(merge, studio()))).toMatchObject({
      refusal: { code: 'numberTaken', otherId: '6010' },
    });
  });

  it('is refused for an account that was not merged', () => {
    const unmerge = invert(merging('5030', '5010'), studio());
    expect(apply(studio(), unmerge)).toMatchObject({ refusal: { code: 'notMerged' } });
  });
});

describe('taking an account out of another at any later time', () => {
  it('puts it right after the one that counted its postings', () => {
    const chart = after(studio(), merging('5030', '5010'));
    expect(planUnmerge(chart, '5030')).toMatchObject({ parentId: null, afterId: '5010' });
    const back = after(chart, planUnmerge(chart, '5030') as Operation);
    expect(accountOf(back, '5030')?.number).toBe('5030');
  });

  it('gives it the next number where its own was given away', () => {
    const chart = after(studio(), merging('5030', '5010'), {
      type: 'renumber',
      id: '6010',
      number: '5030',
    });
    const back = after(chart, planUnmerge(chart, '5030') as Operation);
    expect(accountOf(back, '5030')?.number).toBe('5015');
  });

  it('makes a main account of it where the other is of another element', () => {
    const chart = after(studio(), merging('6010', '1400', true));
    expect(planUnmerge(chart, '6010')).toMatchObject({ parentId: null, afterId: '6020' });
    expect(planUnmerge(chart, '1400')).toBeNull();
  });
});

describe('a merge after somebody else’s change', () => {
  const landed = (operation: Operation) => ({ operation, inverse: invert(operation, studio()) });

  it('follows the other account where that was merged on', () => {
    expect(rebase(merging('5030', '5010'), landed(merging('5010', '5020')))).toEqual({
      type: 'keep',
      operation: merging('5030', '5020'),
    });
  });

  it('has nothing left to do where the same merge landed', () => {
    expect(rebase(merging('5030', '5010'), landed(merging('5030', '5010')))).toEqual({
      type: 'done',
    });
  });

  it.each<[string, Operation]>([
    ['it was merged elsewhere', merging('5030', '5020')],
    ['it was deleted', { type: 'deleteAccount', id: '5030' }],
  ])('is a conflict where %s', (_words, other) => {
    expect(rebase(merging('5030', '5010'), landed(other))).toEqual({ type: 'conflict' });
  });

  it('makes a conflict of an edit of the account that was merged', () => {
    const rename: Operation = { type: 'editField', id: '5030', field: 'name', value: 'Glazes' };
    expect(rebase(rename, landed(merging('5030', '5010')))).toEqual({ type: 'conflict' });
  });
});
