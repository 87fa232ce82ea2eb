import { usualPlan, type PlanProblem } from '@iunctus/core';
import { aChart } from '@iunctus/core/testing';
import { crosswalkFile } from '../files/crosswalk-file';
import { levelsExample, planProblemWords, rangeKindWords, unplacedWords } from './number-words';
import { operationWords } from './operation-words';

const CHART = aChart('5000 Cost of sales:\n  5010 Fruit\n6310 Excise duty');

describe('numbers in words', () => {
  const plan = usualPlan(4);

  it('names the range or the kind that a plan is wrong in', () => {
    const say = (problem: PlanProblem) => planProblemWords(problem, plan);
    expect(say({ code: 'rangesOverlap', index: 1, other: 0 })).toBe(
      '“Liabilities” and “Assets” overlap: end one before the other begins.',
    );
    expect(say({ code: 'kindWithoutRange', kind: 'bank' })).toMatch(/ has no range: add it to one/);
    expect(say({ code: 'levelsDoNotAddUp' })).toContain('add up to 4');
  });

  it('shows what digits by level mean', () => {
    expect(levelsExample(plan)).toBe('5000, 5010, 5011');
    expect(levelsExample(usualPlan(6))).toBe('500000, 500100, 500101');
  });

  it('calls the kinds of a range by their element where it has them all', () => {
    expect(plan.ranges.map(rangeKindWords)).toEqual([
      'All assets',
      'All liabilities',
      'All equity',
      '5 kinds',
      'Cost of sales',
      '2 kinds',
      '5 kinds',
      'Memorandum',
    ]);
  });

  it('says for which accounts a plan has no number', () => {
    expect(unplacedWords([], CHART)).toBe('');
    const unplaced = ['5010', '6310'].map((id) => ({ id, why: 'tooDeep' as const }));
    expect(unplacedWords(unplaced, CHART)).toMatch(
      /^5010 Fruit stands on a level .* its number stays. So it is with 1 more account./,
    );
  });

  it('sums a renumbering up by its first account', () => {
    const numbers = [
      { id: '5010', number: '5020' },
      { id: '6310', number: '6320' },
    ];
    expect(operationWords({ type: 'renumberMany', numbers }, CHART)).toBe(
      '2 accounts renumbered: 5010 Fruit becomes 5020, and so on',
    );
  });
});

describe('a crosswalk as a file', () => {
  it('has a line for each account, and hands on nothing that a spreadsheet would run', () => {
    const chart = aChart('6010 =SUM(A1)\n6020 Rent, "yard"');
    const rows = [
      { id: '6010', from: '6010', to: '6015' },
      { id: '6020', from: null, to: '6020' },
    ];
    expect(crosswalkFile(rows, chart, (id) => (id === '6010' ? 'outOfOrder' : null))).toBe(
      [
        'Old number,New number,Name,Why',
        "6010,6015,'=SUM(A1),out of order",
        ',6020,"Rent, ""yard""",',
        '',
      ].join('\r\n'),
    );
  });
});
