import { countChanges } from './count-changes';

describe('the count of changes', () => {
  it('is that of the accounts touched, however often each was', () => {
    expect(
      countChanges([
        { operations: [{ type: 'renumber', id: 'rent', number: '6020' }] },
        {
          operations: [{ type: 'editField', id: 'rent', field: 'name', value: 'Rent of the barn' }],
        },
        { operations: [{ type: 'restore', id: 'van' }] },
      ]),
    ).toBe(2);
  });

  it('counts the chart’s own settings once, and each list whose balances come along', () => {
    const removed = { type: 'setDimension', id: 'market', dimension: null, afterId: null } as const;
    expect(
      countChanges([
        { operations: [removed, { ...removed, id: 'fund' }] },
        { operations: [], opening: {} },
        { operations: [], opening: {} },
      ]),
    ).toBe(3);
  });
});
