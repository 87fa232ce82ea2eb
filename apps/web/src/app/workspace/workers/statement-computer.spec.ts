import { aChart } from '@iunctus/core/testing';
import { buildStatement, recordOf, rollUpOver, type ProposalStep } from '@iunctus/core';
import { createStatementComputer } from './statement-computer';

const CHART = aChart('1010 Bank\n4010 Sales\n5000 Cost of sales:\n  5010 Fruit\n6010 Duty');
const AMOUNTS = [
  ['1010', 60, 60, 60],
  ['4010', -100, -100, -100],
  ['5010', 30, 30, 30],
  ['6010', 10, 10, 10],
] as const;
const MOVE: ProposalStep = {
  id: 'a',
  operations: [
    { type: 'moveNode', id: '6010', parentId: '5000', afterId: '5010' },
    { type: 'changeKind', id: '6010', kind: 'costOfSales' },
  ],
};

const started = () => {
  const compute = createStatementComputer();
  compute({
    type: 'chart',
    chart: recordOf(CHART),
    steps: [],
  });
  return { compute, first: compute({ type: 'amounts', amounts: AMOUNTS }) };
};

describe('the bench’s worker', () => {
  it('gives totals and the statement of the adopted chart', () => {
    const { first } = started();
    expect(first.totals).toMatchObject({ '5000': [30, 0], '5010': [30, 30] });
    expect(first.statement.rows.find(({ key }) => key === 'total/netProfit')).toMatchObject({
      amount: 60,
    });
    expect(first.balances).toBe(true);
  });

  it('gives the impact of a step, and of taking it back', () => {
    const { compute } = started();
    const moved = compute({ type: 'steps', steps: [MOVE] });
    expect(moved.impact.totals.map(({ code }) => code)).toEqual(['grossProfit']);
    expect(moved.impact.nodes).toMatchObject({ '5000': 40, '6010': 10 });
    expect(moved.totals).toBeNull();
    const back = compute({ type: 'steps', steps: [] });
    expect(back.impact).toEqual({ lines: {}, sections: [], totals: [], nodes: {} });
  });

  it('knows a step again after a trip to the worker, and one that lost an operation as another', () => {
    const { compute } = started();
    compute({ type: 'steps', steps: [JSON.parse(JSON.stringify(MOVE)) as ProposalStep] });
    const shorter = { ...MOVE, operations: MOVE.operations.slice(0, 1) };
    const { impact } = compute({ type: 'steps', steps: [shorter] });
    expect(impact.totals).toEqual([]);
  });

  const BALANCES = [
    { accountId: '1010', amount: 160 },
    { accountId: '4010', amount: -200 },
  ];
  const opening = { last: '2026-10', list: 'balances.csv', balances: BALANCES };
  const step: ProposalStep = { id: 'b', operations: [], opening };
  const pending = {
    openings: [{ stepId: 'b', opening, books: AMOUNTS }],
    period: { first: '2026-07', last: '2026-10' },
    fiscalYearStart: 7,
  };

  it('counts balances that come along in the proposal, and not in what is adopted', () => {
    const { compute } = started();
    compute({ type: 'steps', steps: [step] });
    const { impact, openings, balances } = compute({ type: 'openings', pending });
    expect(openings[0]?.plan.lines.map(({ change }) => change)).toEqual([100, -100]);
    expect(impact.lines).toMatchObject({ 'revenue/4010': 100, 'currentAssets/1010': 100 });
    expect(impact.nodes).toMatchObject({ '1010': 160, '4010': -200 });
    expect(balances).toBe(true);
    const shown = { code: 'profitAndLoss', depth: 1, zeroLines: true, proposed: false } as const;
    const adopted = compute({ type: 'shown', shown }).statement;
    expect(adopted.rows.find(({ key }) => key === 'total/netProfit')).toMatchObject({ amount: 60 });
  });

  it('forgets balances with the step that brought them', () => {
    const { compute } = started();
    compute({ type: 'steps', steps: [step] });
    compute({ type: 'openings', pending });
    const back = compute({ type: 'steps', steps: [] });
    expect([back.openings, back.impact.lines]).toEqual([[], {}]);
  });

  it('shows the statement as adopted when asked to', () => {
    const { compute } = started();
    compute({ type: 'steps', steps: [MOVE] });
    const shown = { code: 'profitAndLoss', depth: 1, zeroLines: true, proposed: false } as const;
    const { statement } = compute({ type: 'shown', shown });
    const chart = CHART;
    const ledger = new Map(
      AMOUNTS.map(([id, balance, change, yearChange]) => [id, { balance, change, yearChange }]),
    );
    expect(statement).toEqual(
      buildStatement('profitAndLoss', { chart, rollUp: rollUpOver(ledger) }, shown),
    );
  });
});
