import { apply, applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import { aChart } from '../testing';
import { recordsOf } from './queries';
import { usesOf } from './uses';

const CHART = aChart(
  '3100 Retained [retainedEarnings]\n6000 People:\n  6010 Wages\n  6020 Pay\n6100 Rent\n6200 Power',
  {
    posted: ['6010', '6100'],
    system: ['3100'],
  },
);
const ALL = { first: null, last: null, sources: [], words: '', value: null, upTo: 9 } as const;

const changed = (...operations: Operation[]) => {
  const outcome = applyAll(CHART, operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};

describe('what uses an account', () => {
  it('are the accounts below it', () => {
    expect(usesOf(CHART, '6000')).toEqual([
      { type: 'child', otherId: '6010' },
      { type: 'child', otherId: '6020' },
    ]);
  });

  it('are its postings, and the system', () => {
    expect(usesOf(CHART, '6100')).toEqual([{ type: 'postings', otherId: null }]);
    expect(usesOf(CHART, '3100')).toEqual([{ type: 'system', otherId: null }]);
  });

  it('are merges into it and splits at either end', () => {
    const split = { id: 's', from: '6010', into: '6020', choice: ALL };
    const chart = changed(
      { type: 'merge', id: '6200', into: '6100', acrossKinds: false },
      { type: 'split', split },
    );
    expect(usesOf(chart, '6100')).toContainEqual({ type: 'merged', otherId: '6200' });
    expect(usesOf(chart, '6010')).toContainEqual({ type: 'splitInto', otherId: '6020' });
    expect(usesOf(chart, '6020')).toEqual([{ type: 'splitFrom', otherId: '6010' }]);
  });

  it('are exactly what keeps it from being deleted', () => {
    const split = { id: 's', from: '6010', into: '6020', choice: ALL };
    const chart = changed({ type: 'split', split });
    for (const { id } of recordsOf(chart))
      expect([id, apply(chart, { type: 'deleteAccount', id }).ok]).toEqual([
        id,
        usesOf(chart, id).length === 0,
      ]);
  });
});
