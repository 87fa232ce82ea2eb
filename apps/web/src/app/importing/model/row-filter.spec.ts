import { aChart, aList, importOf } from '@iunctus/core/testing';
import { countsOf, linesOf, ROW_FILTERS } from './row-filter';

const PLAN = importOf(
  aChart('1010 Operating account\n5010 Fruit\n6010 Rent'),
  aList(`
Number|Name|Type
1010|Operating account|Bank
6011|Rent|
5010|Motor insurance|Expense
7000|Qwertz|
70 !|Broken|Expense
|Total|`),
);

describe('the lines of a list by group', () => {
  it('puts first what is wrong, then what waits for an answer, then the least certain kinds', () => {
    const shown = linesOf(PLAN, 'attention').map((line) =>
      line.type === 'row' ? line.row.status : '',
    );
    expect(shown).toEqual(['wrong', 'question', 'new']);
  });

  it('counts each group as it lists it', () => {
    const counts = countsOf(PLAN);
    for (const filter of ROW_FILTERS)
      expect([filter, linesOf(PLAN, filter).length]).toEqual([filter, counts[filter]]);
    expect(counts).toMatchObject({ all: 6, same: 1, changed: 1, new: 1, passed: 1, missing: 0 });
  });

  it('gives every line a key of its own', () => {
    const keys = linesOf(PLAN, 'all').map(({ key }) => key);
    expect(new Set(keys).size).toBe(keys.length);
  });
});
