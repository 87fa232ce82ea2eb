import { aChart } from '@iunctus/core/testing';
import type { AmountsTuple, PendingOpening, ProposalStep } from '@iunctus/core';
import type { Remark } from '@iunctus/contract';
import { readProposal } from './proposal-reader';

const CHART = aChart('4010 Sales\n5000 Cost of sales:\n  5010 Fruit\n6310 Duty', {
  posted: ['4010', '6310'],
});
const AMOUNTS: readonly AmountsTuple[] = [
  ['4010', -100, -100, -100],
  ['6310', 30, 30, 30],
];
const STEPS: readonly ProposalStep[] = [
  {
    id: 's1',
    operations: [
      { type: 'moveNode', id: '6310', parentId: '5000', afterId: '5010' },
      { type: 'changeKind', id: '6310', kind: 'costOfSales' },
      { type: 'renumber', id: '6310', number: '5020' },
    ],
  },
  { id: 's2', operations: [{ type: 'editField', id: '6310', field: 'name', value: 'Excise' }] },
];
const remark = (stepId: string, index: number): Remark => ({
  id: `${stepId}.${index}`,
  author: { id: 'm', name: 'Maren' },
  stepId,
  index,
  words: 'Why?',
  writtenAt: '2026-11-25T10:00:00.000Z',
});
const read = (remarks: readonly Remark[] = [], pending: readonly PendingOpening[] = []) =>
  readProposal(CHART, STEPS, {
    amounts: AMOUNTS,
    period: { first: '2026-07', last: '2026-10' },
    fiscalYearStart: 7,
    pending,
    remarks,
  });

describe('reading a proposal', () => {
  it('says every operation twice: plainly, and in the trade’s words', () => {
    expect(read().lines.map(({ plain, exact }) => [plain, exact])).toContainEqual([
      '“Duty” is called “Excise” from now on.',
      'Duty renamed “Excise”',
    ]);
    expect(read().lines).toHaveLength(4);
  });

  it('tells which totals move, and that the profit does not', () => {
    const { totals } = read().impact;
    expect(totals.map(({ code, before, after }) => [code, before, after])).toEqual([
      ['grossProfit', 100, 70],
    ]);
  });

  it('counts the balances that come along as if they were posted', () => {
    const balances = [
      { accountId: '4010', amount: -150 },
      { accountId: '6310', amount: 80 },
    ];
    const opening = { last: '2026-10', list: 'balances.csv', balances };
    const { openings, impact } = read([], [{ stepId: 's1', opening, books: AMOUNTS }]);
    expect(openings[0]?.plan.lines.map(({ change }) => change)).toEqual([-50, 50]);
    const moved = impact.totals.map(({ code, before, after }) => [code, before, after]);
    expect(moved).toEqual([['grossProfit', 100, 70]]);
    const sales = impact.sections.find(({ code }) => code === 'revenue');
    expect([sales?.before, sales?.after]).toEqual([100, 150]);
  });

  it('lists numbers old and new with the last name', () => {
    expect(read().numbers).toEqual([{ name: 'Excise', from: '6310', to: '5020' }]);
  });

  it('keeps a remark with its operation, and those whose operation is gone apart', () => {
    const { lines, loose } = read([remark('s1', 1), remark('gone', 0)]);
    expect(lines[1]?.remarks).toHaveLength(1);
    expect(lines[0]?.remarks).toEqual([]);
    expect(loose.map(({ stepId }) => stepId)).toEqual(['gone']);
  });
});
