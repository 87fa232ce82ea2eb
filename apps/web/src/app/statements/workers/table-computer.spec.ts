import { aChart } from '@iunctus/core/testing';
import { columnsOfSet, recordOf, type ProposalStep } from '@iunctus/core';
import { createTableComputer } from './table-computer';
import type { TableWish } from './table-messages';

const CHART = aChart(
  '1010 Bank\n3090 Opening [openingBalanceEquity]\n4010 Sales\n5010 Fruit\n6010 Duty',
);
const CONTEXT = { main: { first: '2026-01', last: '2026-02' }, startsIn: 1, now: '2026-02' };
const MONTHLY = {
  first: '2026-01',
  rows: [
    ['1010', 70, -10],
    ['4010', -100, 0],
    ['5010', 30, 0],
    ['6010', 0, 10],
  ] as const,
};
const WISH: TableWish = {
  sheet: 'profitAndLoss',
  columns: columnsOfSet('plain', CONTEXT, 'profitAndLoss'),
  depth: Infinity,
  zeroLines: false,
  open: [],
  proposed: true,
};
const MOVE: ProposalStep = {
  id: 'a',
  operations: [{ type: 'changeKind', id: '6010', kind: 'costOfSales' }],
};

const started = (wish: Partial<TableWish> = {}) => {
  const compute = createTableComputer();
  compute({ type: 'chart', chart: recordOf(CHART), steps: [] });
  compute({ type: 'context', context: CONTEXT });
  const early = compute({ type: 'wish', wish: { ...WISH, ...wish } });
  return { compute, early, first: compute({ type: 'monthly', monthly: MONTHLY }) };
};

describe('the statements’ worker', () => {
  it('gives nothing before the books are there, then the table', () => {
    const { early, first } = started();
    expect(early).toBeNull();
    expect(first?.table.rows.at(-1)?.cells).toEqual([60]);
    expect(first?.moved).toEqual({});
  });

  it('says by how much a proposal moves which rows', () => {
    const { compute } = started();
    const moved = compute({ type: 'steps', steps: [MOVE] });
    expect(moved?.moved).toMatchObject({ 'costOfSales/6010': 10, 'total/grossProfit': -10 });
    expect(moved?.moved).not.toHaveProperty('total/netProfit');
  });

  it('shows what is adopted without it', () => {
    const { compute } = started({ proposed: false });
    const shown = compute({ type: 'steps', steps: [MOVE] });
    expect(shown?.moved).toEqual({});
    expect(shown?.table.rows.some(({ row }) => row.key === 'operatingExpenses/6010')).toBe(true);
  });

  it('counts balances that the proposal brings along, and forgets them with their step', () => {
    const { compute } = started({ sheet: 'balanceSheet' });
    const balances = [{ accountId: '1010', amount: 160 }];
    const opening = { last: '2026-01', list: 'A list', balances };
    compute({
      type: 'openings',
      openings: [{ stepId: 'b', opening, books: [['1010', 70, 70, 70]] }],
    });
    const after = compute({ type: 'steps', steps: [{ id: 'b', operations: [], opening }] });
    expect(after?.moved['currentAssets/1010']).toBe(90);
    expect(after?.table.agrees).toBe(true);
    expect(compute({ type: 'steps', steps: [] })?.moved).toEqual({});
  });
});
