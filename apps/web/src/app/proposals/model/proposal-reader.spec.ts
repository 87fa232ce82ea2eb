import { aChart } from '@iunctus/core/testing';
import type { ProposalStep } from '@iunctus/core';
import type { Remark } from '@iunctus/contract';
import { readProposal } from './proposal-reader';

const CHART = aChart('4010 Sales\n5000 Cost of sales:\n  5010 Fruit\n6310 Duty', {
  posted: ['4010', '6310'],
});
const amounts = (amount: number) => ({ balance: amount, change: amount, yearChange: amount });
const LEDGER = new Map([
  ['4010', amounts(-100)],
  ['6310', amounts(30)],
]);
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
const read = (remarks: readonly Remark[] = []) =>
  readProposal(CHART, STEPS, { ledger: LEDGER, remarks });

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
