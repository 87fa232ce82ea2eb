import { aChart, aList, importOf } from '@iunctus/core/testing';
import { isOnOddSide } from '@iunctus/core';
import { countsOf, linesOf, ROW_FILTERS } from './row-filter';

const PLAN = importOf(
  aChart('1010 Operating account\n5010 Fruit\n6010 Rent'),
  aList(`
Number|Name|Type
1010|Operating account|Bank
6011|Rent|
5010|Motor insurance|Expense
8500|Qwertz|
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

  it('leaves what is doubtful where it was when something else makes it more certain', () => {
    const plan = importOf(aChart(''), aList('Name\nQwertz\nAsdfgh\nYxcvbn'));
    const named = (lines: ReturnType<typeof linesOf>): readonly string[] =>
      lines.map((line) => (line.type === 'row' ? line.row.entry.name : ''));
    const before = linesOf(plan, 'attention');
    const turned = [...before].reverse();
    expect(before.length).toBe(3);
    expect(named(linesOf(plan, 'attention', undefined, turned))).toEqual(named(turned));
    expect(named(linesOf(plan, 'attention', undefined, turned.slice(1)))).toEqual(
      named([...turned.slice(1), ...turned.slice(0, 1)]),
    );
  });

  it('leaves a line in its place when something was chosen for it, so that the cursor stays there', () => {
    const plan = importOf(aChart(''), aList('Name\nQwertz\nAsdfgh\nYxcvbn'));
    const before = linesOf(plan, 'attention');
    const last = before.at(-1);
    const line = last?.type === 'row' ? last.row.entry.line : 0;
    const decided = { mended: new Set([line]), answered: new Set<number>() };
    const keysOf = (lines: ReturnType<typeof linesOf>) => lines.map(({ key }) => key);
    expect(keysOf(linesOf(plan, 'attention', decided, before))).toEqual(keysOf(before));
  });

  it('does not ask what kind a heading is, which puts no amount on a line', () => {
    const plan = importOf(aChart(''), aList('Name|Parent\nQwertz|\nAsdfgh|Qwertz'));
    const names = linesOf(plan, 'attention').map((line) =>
      line.type === 'row' ? line.row.entry.name : '',
    );
    expect(plan.rows[0]?.role).toBe('heading');
    expect(names).toEqual(['Asdfgh']);
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

describe('a guessed kind that would put a balance on the unusual side', () => {
  const shownOf = (list: string) => linesOf(importOf(aChart(''), aList(list)), 'attention');

  it('is looked at before any other guess, however sure it is', () => {
    const [first] = shownOf('Name|Debit|Credit\nQwertz|1.00|\nRent expense||900.00\nWages|5.00|');
    expect(first).toMatchObject({ row: { entry: { name: 'Rent expense' } } });
  });

  it('is none where the list itself names the kind, or the kind is a contra', () => {
    const plan = importOf(
      aChart(''),
      aList('Name|Type|Debit|Credit\nOverdrawn bank|Bank||9.00\nSales returns||9.00|'),
    );
    expect(plan.rows.filter(isOnOddSide)).toEqual([]);
  });
});

describe('a question that was answered', () => {
  it('keeps its place among the questions while its kind is still to be looked at', () => {
    const list = aList('Number|Name\n1010|Qwertz\n5010|Asdfgh\n6010|Rent');
    const chart = aChart('1010 Operating account\n5010 Fruit\n6010 Rent');
    const plan = importOf(chart, list, { answers: new Map([[2, null]]) });
    const lines = linesOf(plan, 'attention', {
      mended: new Set(),
      answered: new Set([2]),
    });
    expect(lines.map((line) => (line.type === 'row' ? line.row.entry.name : ''))).toEqual([
      'Qwertz',
      'Asdfgh',
    ]);
  });
});
