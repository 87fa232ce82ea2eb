import { emptyChart } from '../chart/build';
import { adopted, aList, importOf } from '../testing/a-list';
import type { ImportPlan } from './import-plan';

const namesAndLevels = (plan: ImportPlan): readonly string[] =>
  plan.rows.map(({ entry, level }) => `${'  '.repeat(level - 1)}${entry.name}`);

const kindOf = (plan: ImportPlan, name: string): string | undefined =>
  plan.rows.find(({ entry }) => entry.name === name)?.kind?.kind;

describe('names that a dash joins', () => {
  it('lead only what is of one element: of three that are bought, left and sold none leads', () => {
    const plan = importOf(
      emptyChart(),
      aList(`
Name|Type
Theory books - bought|Expenses
Theory books - left at year end|Current assets
Theory books - sold|Income
Insurance - car|Expenses
Insurance - public liability|Expenses`),
    );
    expect(namesAndLevels(plan)).toEqual([
      'Theory books - bought',
      'Theory books - left at year end',
      'Theory books - sold',
      'Insurance',
      '  car',
      '  public liability',
    ]);
    expect(plan.rows.map(({ status }) => status)).not.toContain('wrong');
  });

  it('leave out of their group the one that is of another element', () => {
    const plan = importOf(
      emptyChart(),
      aList(`
Name|Type
Interest - term deposits|Investment income
Interest - investment loan|Finance costs
Interest - margin loan|Finance costs`),
    );
    expect(namesAndLevels(plan)).toEqual([
      'Interest - term deposits',
      'Interest',
      '  investment loan',
      '  margin loan',
    ]);
    expect(kindOf(plan, 'Interest - term deposits')).toBe('investmentIncome');
    expect(kindOf(plan, 'margin loan')).toBe('financeCost');
  });

  it('do not stand below an account of another element that bears the first part as its name', () => {
    const plan = importOf(
      emptyChart(),
      aList(`
Name|Type
Rent|Overheads
Rent - cell mast|Other income
Rent - storage|Overheads`),
    );
    expect(namesAndLevels(plan)).toEqual(['Rent', 'Rent - cell mast', '  storage']);
  });

  it('let a contra account stand with what it is set against', () => {
    const plan = importOf(
      emptyChart(),
      aList(`
Name|Type|Balance
Van - cost|Fixed assets|9000
Van - depreciation to date|Fixed assets|-4000`),
    );
    expect(namesAndLevels(plan)).toEqual(['Van', '  cost', '  depreciation to date']);
  });

  it('follow the kind that the user chooses, and the list again then proposes nothing', () => {
    const list = aList(
      'Name|Type\nStall - hire|Expenses\nStall - fittings|Expenses\nFuel|Expenses',
    );
    expect(namesAndLevels(importOf(emptyChart(), list))).toEqual([
      'Stall',
      '  hire',
      '  fittings',
      'Fuel',
    ]);
    const mended = new Map([[3, { kind: 'propertyAndEquipment' as const }]]);
    const chosen = importOf(emptyChart(), list, { mended });
    expect(namesAndLevels(chosen)).toEqual(['Stall - hire', 'Stall - fittings', 'Fuel']);
    const again = importOf(adopted(emptyChart(), chosen), list);
    expect(again.operations).toEqual([]);
    expect(again.rows.map(({ status }) => status)).toEqual(['same', 'same', 'same']);
  });

  it('are led in a path with colons whatever they are: it says its parents', () => {
    const plan = importOf(
      emptyChart(),
      aList('Name|Type\nRent:Paid|Expenses\nRent:Received|Expenses\nFuel|Expenses'),
    );
    expect(namesAndLevels(plan)).toEqual(['Rent', '  Paid', '  Received', 'Fuel']);
  });
});
