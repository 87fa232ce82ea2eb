import { parentIdOf, recordsOf } from '../chart/queries';
import { applyAll } from '../operations/apply';
import { aChart } from '../testing';
import { headsOf, planDuplicate, planEach } from './plan-many';
import { planMoveUnder } from './plan-move';

const chart = aChart(`
5000 Cost of sales:
  5010 Fruit
  5020 Bottles
6000 Premises:
  6010 Rent
  6020 Power
6210 Fuel
`);

const counter = () => {
  let count = 0;
  return () => `new${(count += 1)}`;
};

describe('planning for several accounts at once', () => {
  it('plans each on what the ones before leave, so that numbers and places follow', () => {
    const plan = planEach(chart, ['6010', '6210'], (current, id) =>
      planMoveUnder(current, id, { parentId: '5000' }),
    );
    if (!plan.ok) throw new Error(plan.refusal.code);
    const after = applyAll(chart, plan.operations);
    if (!after.ok) throw new Error(after.refusal.code);
    const moved = recordsOf(after.chart).filter(({ parentId }) => parentId === '5000');
    expect(moved.map(({ number, name }) => `${number} ${name}`)).toEqual([
      '5010 Fruit',
      '5020 Bottles',
      '5030 Rent',
      '5040 Fuel',
    ]);
  });

  it('is all or none, and names the account for which a rule says no', () => {
    const plan = planEach(chart, ['6010', '6000'], (_current, id) => [
      { type: 'changeKind', id, kind: 'bank' },
    ]);
    expect(plan).toMatchObject({
      ok: false,
      refusal: { code: 'elementDiffers', accountId: '6010' },
    });
  });

  it('takes what stands below another of them along with it', () => {
    expect(headsOf(chart, ['6000', '6010', '6210'])).toEqual(['6000', '6210']);
  });
});

describe('duplicating an account', () => {
  it('puts a copy after it, under the next free name and number', () => {
    const plan = planDuplicate(chart, '6010', counter());
    expect(plan).toMatchObject({
      ok: true,
      operations: [
        {
          account: { id: 'new1', number: '6015', name: 'Rent 2' },
          parentId: '6000',
          afterId: '6010',
        },
      ],
    });
  });

  it('copies a branch with all below it, within the copy’s own digits', () => {
    const plan = planDuplicate(chart, '6000', counter());
    if (!plan.ok) throw new Error(plan.refusal.code);
    const after = applyAll(chart, plan.operations);
    if (!after.ok) throw new Error(after.refusal.code);
    expect(
      recordsOf(after.chart)
        .slice(6, 9)
        .map(({ number, name }) => `${number} ${name}`),
    ).toEqual(['6100 Premises 2', '6110 Rent 2', '6120 Power 2']);
    expect(parentIdOf(after.chart, 'new2')).toBe('new1');
  });

  it('lets neighbours give way where there is no number left between', () => {
    const tight = aChart('6010 Rent\n6011 Power\n6050 Insurance');
    expect(planDuplicate(tight, '6010', counter())).toMatchObject({
      operations: [
        { type: 'renumberMany', numbers: [{ id: '6011' }] },
        { type: 'addAccount', account: { name: 'Rent 2' } },
      ],
    });
  });

  it('copies neither the system’s use of an account nor that it is retired', () => {
    const own = aChart('3100 Retained earnings [retainedEarnings]\n3200 Reserve', {
      system: ['3100'],
      retired: ['3200'],
    });
    for (const id of ['3100', '3200'])
      expect(planDuplicate(own, id, counter())).toMatchObject({
        operations: [{ account: { systemUse: null, retiredOn: null } }],
      });
  });

  it('counts names on: a copy of “Rent 2” is “Rent 3”', () => {
    const two = aChart('6010 Rent\n6020 Rent 2');
    expect(planDuplicate(two, '6020', counter())).toMatchObject({
      operations: [{ account: { name: 'Rent 3' } }],
    });
  });
});

describe('moving an account into another element', () => {
  const mixed = aChart(`
1500 Equipment: [propertyAndEquipment]
  1510 Van [propertyAndEquipment]
6000 Premises:
  6010 Rent
  6020 New kiln
6500 Sundry
  6510 Tools
`);

  it('gives it the kind that its new siblings share, and a number among theirs', () => {
    const operations = planMoveUnder(mixed, '6020', { parentId: '1500' });
    const after = applyAll(mixed, operations);
    if (!after.ok) throw new Error(after.refusal.code);
    expect(recordsOf(after.chart).find(({ id }) => id === '6020')).toMatchObject({
      parentId: '1500',
      kind: 'propertyAndEquipment',
      number: '1520',
    });
  });

  it('is refused for an account with others below it: they share its element', () => {
    expect(applyAll(mixed, planMoveUnder(mixed, '6500', { parentId: '1500' }))).toMatchObject({
      ok: false,
      refusal: { code: 'elementDiffers' },
    });
  });
});
