import type { Chart } from '../chart/chart';
import { accountOf, recordsOf } from '../chart/queries';
import { aChart, anAccount, outlineOf } from '../testing/a-chart';
import { applyAll } from './apply';
import type { Operation } from './operation';
import { calledAs } from './called-then';
import { dropOpening, dropOperation, replay, type ProposalStep } from './proposal';
import { advance, proposedChart, trackOf } from './track';

const START = `
5000 Cost of sales:
  5010 Fruit
  5020 Bottles
  5030 Labels
6000 People:
  6010 Wages
`;

const step = (id: string, ...operations: Operation[]): ProposalStep => ({ id, operations });
const rename = (id: string, value: string): Operation => ({
  type: 'editField',
  id,
  field: 'name',
  value,
});
const add = (number: string, parentId: string, afterId: string | null): Operation => {
  const { parentId: _parent, ...account } = anAccount(number, `Account ${number}`);
  return { type: 'addAccount', account, parentId, afterId };
};

const after = (
  operations: readonly Operation[],
): { newest: Chart; landed: ReturnType<typeof landing> } => {
  const landed = landing(operations);
  return { newest: landed.chart, landed };
};
const landing = (operations: readonly Operation[]) => {
  const outcome = applyAll(aChart(START), operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome;
};

const replayed = (theirs: readonly Operation[], mine: readonly ProposalStep[]) => {
  const { newest, landed } = after(theirs);
  return replay(newest, mine, landed.landed);
};

describe('replaying a proposal on a newer revision', () => {
  it('keeps every step when nothing landed meanwhile', () => {
    const mine = [step('a', rename('6010', 'Pay')), step('b', add('5040', '5000', '5030'))];
    expect(replayed([], mine)).toMatchObject({ steps: mine, conflicts: [] });
  });

  it('keeps both changes when they concern different accounts', () => {
    const result = replayed([rename('5010', 'Apples')], [step('a', rename('6010', 'Pay'))]);
    expect(result.conflicts).toEqual([]);
    expect(outlineOf(result.chart)).toEqual([
      '5000 Cost of sales',
      '  5010 Apples',
      '  5020 Bottles',
      '  5030 Labels',
      '6000 People',
      '  6010 Pay',
    ]);
  });

  it('drops a step whose change has landed already', () => {
    const result = replayed([rename('6010', 'Pay')], [step('a', rename('6010', 'Pay'))]);
    expect([result.steps, result.conflicts]).toEqual([[], []]);
  });

  it('sets a step aside when both name the same account differently', () => {
    const mine = step('a', rename('6010', 'Pay'));
    const theirs = rename('6010', 'Salaries');
    expect(replayed([theirs], [mine]).conflicts).toMatchObject([
      { step: mine, landed: theirs, refusal: null },
    ]);
  });

  it('keeps with a step that is set aside what its accounts were called', () => {
    const number: Operation = { type: 'renumber', id: '6010', number: '6050' };
    const theirs = [rename('6010', 'Salaries'), number, rename('6010', 'Payroll')];
    const result = replayed(theirs, [step('a', rename('6010', 'Pay'))]);
    const [conflict] = result.conflicts;
    expect(conflict?.called).toMatchObject([{ id: '6010', number: '6010', name: 'Wages' }]);
    const then = calledAs(result.chart, conflict?.called ?? []);
    expect(accountOf(then, '6010')).toMatchObject({ number: '6010', name: 'Wages' });
  });

  it('keeps what an account was called that is gone', () => {
    const gone: Operation = { type: 'deleteAccount', id: '5020' };
    const result = replayed([gone], [step('a', rename('5020', 'Glass'))]);
    const then = calledAs(result.chart, result.conflicts[0]?.called ?? []);
    expect(accountOf(then, '5020')).toMatchObject({ number: '5020', name: 'Bottles' });
  });

  it('sets a step aside when its account is gone', () => {
    const result = replayed(
      [{ type: 'deleteAccount', id: '5020' }],
      [step('a', rename('5020', 'Glass'))],
    );
    expect(result.conflicts).toHaveLength(1);
  });

  it('finds the place again when the neighbour is gone', () => {
    const result = replayed(
      [{ type: 'deleteAccount', id: '5020' }],
      [step('a', add('5025', '5000', '5020'))],
    );
    expect(outlineOf(result.chart).slice(1, 4)).toEqual([
      '  5010 Fruit',
      '  5025 Account 5025',
      '  5030 Labels',
    ]);
  });

  it('finds the place again when the neighbour moved to another parent', () => {
    const result = replayed(
      [{ type: 'moveNode', id: '5020', parentId: '6000', afterId: '6010' }],
      [step('a', add('5025', '5000', '5020'))],
    );
    expect(outlineOf(result.chart).slice(1, 4)).toEqual([
      '  5010 Fruit',
      '  5025 Account 5025',
      '  5030 Labels',
    ]);
  });

  it('says which rule refuses when a number was taken meanwhile', () => {
    const mine = step('a', add('5040', '5000', '5030'));
    const theirs: Operation = { type: 'renumber', id: '5030', number: '5040' };
    expect(replayed([theirs], [mine]).conflicts).toMatchObject([
      { landed: null, refusal: { code: 'numberTaken', otherId: '5030' } },
    ]);
  });

  it('keeps a step whole or not at all', () => {
    const mine = step('a', rename('5010', 'Apples'), rename('6010', 'Pay'));
    const result = replayed([rename('6010', 'Salaries')], [mine]);
    expect(result.steps).toEqual([]);
    expect(accountOf(result.chart, '5010')?.name).toBe('Fruit');
  });
});

describe('dropping one operation of a proposal', () => {
  it('takes along what cannot stand without it', () => {
    const steps = [
      step('a', add('5040', '5000', '5030')),
      step('b', add('5041', '5040', null)),
      step('c', rename('6010', 'Pay')),
    ];
    const dropped = dropOperation(aChart(START), steps, { stepId: 'a', index: 0 });
    expect(dropped.steps.map(({ id }) => id)).toEqual(['c']);
    expect(dropped.dependents).toEqual(steps[1]?.operations);
  });

  it('leaves its neighbours, which close up to the one before it', () => {
    const steps = [
      step(
        'a',
        add('5040', '5000', '5030'),
        add('5050', '5000', '5040'),
        add('5060', '5000', '5050'),
      ),
    ];
    const first = dropOperation(aChart(START), steps, { stepId: 'a', index: 0 });
    expect(first.dependents).toEqual([]);
    const second = dropOperation(aChart(START), first.steps, { stepId: 'a', index: 0 });
    expect(second.steps).toEqual([step('a', add('5060', '5000', '5030'))]);
  });

  it('leaves the other operations of its step', () => {
    const steps = [step('a', rename('5010', 'Apples'), rename('6010', 'Pay'))];
    const dropped = dropOperation(aChart(START), steps, { stepId: 'a', index: 0 });
    expect(dropped.steps).toEqual([step('a', rename('6010', 'Pay'))]);
  });
});

describe('balances that come along with a step', () => {
  const opening = (...ids: string[]) => ({
    last: '2026-10',
    list: 'balances.csv',
    balances: ids.map((accountId) => ({ accountId, amount: 5_00 })),
  });

  it('stay when all that the step does has landed already', () => {
    const mine = { ...step('a', rename('6010', 'Pay')), opening: opening('6010') };
    const { steps } = replayed([rename('6010', 'Pay')], [mine]);
    expect(steps).toEqual([{ id: 'a', operations: [], opening: opening('6010') }]);
  });

  it('are set aside with their step', () => {
    const mine = { ...step('a', rename('6010', 'Pay')), opening: opening('6010') };
    const [conflict] = replayed([rename('6010', 'Salaries')], [mine]).conflicts;
    expect(conflict?.step).toEqual(mine);
  });

  it('go with an account that is dropped, and it is said whose', () => {
    const mine = {
      ...step('a', add('5040', '5000', '5030'), add('5050', '5000', '5040')),
      opening: opening('5040', '5050', '6010'),
    };
    const dropped = dropOperation(aChart(START), [mine], { stepId: 'a', index: 0 });
    expect(dropped.balances).toEqual(['5040']);
    expect(dropped.steps[0]?.opening).toEqual(opening('5050', '6010'));
  });

  it('are dropped by themselves, the operations staying, and the step goes when it has none', () => {
    const steps = [
      { ...step('a', rename('6010', 'Pay')), opening: opening('6010') },
      { ...step('b'), opening: opening('5010') },
    ];
    expect(dropOpening(steps, 'a')).toEqual([step('a', rename('6010', 'Pay')), steps[1]]);
    expect(dropOpening(steps, 'b')).toEqual([steps[0]]);
  });
});

describe('a track of a proposal', () => {
  it('gives the same chart by steps as at once, and goes back to each', () => {
    const steps = [step('a', rename('6010', 'Pay')), step('b', rename('5010', 'Apples'))];
    const one = advance(trackOf(aChart(START)), steps.slice(0, 1));
    if (!one.ok) throw new Error(one.refusal.code);
    const two = advance(one.track, steps);
    if (!two.ok) throw new Error(two.refusal.code);
    expect(accountOf(proposedChart(two.track), '5010')?.name).toBe('Apples');
    const back = advance(two.track, []);
    if (!back.ok) throw new Error(back.refusal.code);
    expect(recordsOf(proposedChart(back.track))).toEqual(recordsOf(aChart(START)));
  });

  it('does not work out again the steps that it holds', () => {
    const steps = [step('a', rename('6010', 'Pay'))];
    const first = advance(trackOf(aChart(START)), steps);
    if (!first.ok) throw new Error(first.refusal.code);
    const second = advance(first.track, [...steps, step('b', rename('5010', 'Apples'))]);
    if (!second.ok) throw new Error(second.refusal.code);
    expect(second.track.charts[0]).toBe(first.track.charts[0]);
  });

  it('names the step that a rule refuses', () => {
    const outcome = advance(trackOf(aChart(START)), [step('a', rename('6010', 'Fruit'))]);
    expect(outcome).toMatchObject({ ok: false, stepId: 'a', refusal: { code: 'nameTaken' } });
  });
});
