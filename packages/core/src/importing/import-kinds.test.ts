import { emptyChart } from '../chart/build';
import { aList, importOf } from '../testing/a-list';

describe('the kind of a row', () => {
  it('takes a kind from a type that is called as ours only where the list calls all of them so', () => {
    const drawers = aList(
      'No|Name|Type|Balance\n1|Prepaid insurance|Other current asset|50,00\n2|Sales tax due|Other current liability|-20,00\n3|Fruit sales|Income|-90,00\n4|Van fuel|Expense|60,00',
    );
    const ours = aList(
      'No|Name|Type|Balance\n1|Prepaid insurance|Other current asset|50,00\n2|Sales tax due|Other current liability|-20,00',
    );
    const kindsOf = (rows: typeof ours) => {
      const found = importOf(emptyChart(), rows).rows;
      return ['Prepaid insurance', 'Sales tax due'].map(
        (name) => found.find(({ entry }) => entry.name === name)?.kind?.kind,
      );
    };
    expect(kindsOf(drawers)).toEqual(['prepaidExpense', 'salesTaxPayable']);
    expect(kindsOf(ours)).toEqual(['otherCurrentAsset', 'otherCurrentLiability']);
  });

  it('takes what the practice was taught of a name, where the row can be that', () => {
    const rows = aList(
      'Name|Type\nKiln firings|Income\nGlaze|Expense\nGlaze in store|Current asset\nWages|Expense',
    );
    const taught = new Map([
      ['kiln firings', 'otherOperatingRevenue'],
      ['wages', 'payrollPayable'],
    ] as const);
    const found = importOf(emptyChart(), rows, { taught }).rows;
    const of = (name: string) => found.find(({ entry }) => entry.name === name)?.kind;
    expect(of('Kiln firings')).toMatchObject({
      kind: 'otherOperatingRevenue',
      confidence: 1,
      reason: { type: 'taught' },
    });
    expect(of('Wages')?.kind).toBe('operatingExpense');
  });
});
