import fc from 'fast-check';
import { childrenOf, recordsOf } from '../chart/queries';
import { aChart } from '../testing/a-chart';
import { randomChart } from '../testing/random';
import { suggestNumber, type NumberPlace } from './suggest';

const CHART = aChart(`
1000 Cash and bank:
  1010 Operating
  1050 Takings
1500 Equipment: [propertyAndEquipment]
  1510 Press [propertyAndEquipment]
  1590 Accumulated depreciation [accumulatedDepreciation]
5000 Cost of sales:
  5010 Fruit
  5020 Bottles
    5021 Glass
6000 People:
  6010 Wages
  6011 Bonus
6100 Premises
`);

const at = (parentId: string | null, afterId: string | null, kind: NumberPlace['kind']) =>
  suggestNumber(CHART, { parentId, afterId, kind });
const number = (text: string) => ({ ok: true, number: text });

// That sub-accounts share their parent's leading digits: common practice, no source.
describe('the number suggested for a place', () => {
  it('leaves room on both sides between two siblings', () => {
    expect(at('1000', '1010', 'bank')).toEqual(number('1030'));
  });

  it('keeps the siblings’ step at the end', () => {
    expect(at('5000', '5020', 'operatingExpense')).toEqual(number('5030'));
  });

  it('stays before the contra that stands last', () => {
    expect(at('1500', '1510', 'bank')).toEqual(number('1550'));
  });

  it('goes under the parent’s leading digits for a first child', () => {
    expect(at('6100', null, 'operatingExpense')).toEqual(number('6110'));
    expect(at('5010', null, 'operatingExpense')).toEqual(number('5011'));
  });

  it('lies above everything below the elder sibling', () => {
    expect(at('5020', '5021', 'operatingExpense')).toEqual(number('5022'));
  });

  it('takes the next main number of the element', () => {
    expect(at(null, '6100', 'operatingExpense')).toEqual(number('6200'));
  });

  it('begins an element that has no account yet in its own range', () => {
    expect(at(null, null, 'tradePayable')).toEqual(number('2000'));
    expect(at(null, null, 'saleOfGoods')).toEqual(number('4000'));
  });

  it('says that there is no room between neighbours', () => {
    expect(at('6000', '6010', 'operatingExpense')).toEqual({ ok: false, reason: 'noRoom' });
  });

  it('says that it cannot count on from letters', () => {
    const chart = aChart('A-1 Bank [bank]');
    expect(suggestNumber(chart, { parentId: null, afterId: 'A-1', kind: 'bank' })).toEqual({
      ok: false,
      reason: 'notDigits',
    });
  });

  it('is free, in any chart and at any place', () => {
    fc.assert(
      fc.property(randomChart(60), fc.nat(999), fc.nat(999), (chart, a, b) => {
        const records = recordsOf(chart);
        const parent = records[a % Math.max(records.length, 1)];
        if (parent === undefined) return;
        const siblings = childrenOf(chart, parent.id);
        const afterId = siblings[b % Math.max(siblings.length, 1)]?.account.id ?? null;
        const { kind } = parent;
        const suggestion = suggestNumber(chart, { parentId: parent.id, afterId, kind });
        if (suggestion.ok)
          expect(records.map((record) => record.number)).not.toContain(suggestion.number);
      }),
    );
  });
});
