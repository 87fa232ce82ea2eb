import type { Chart } from '../chart/chart';
import { applyAll } from '../operations/apply';
import { aChart, outlineOf } from '../testing/a-chart';
import { aList, importOf } from '../testing/a-list';
import type { ImportPlan } from './import-plan';

const CHART = aChart(`
1000 Cash and bank:
  1010 Operating account
4000 Sales:
  4010 Taproom sales
6010 Rent
6020 Insurance`);

const LIST = aList(`
Number|Name|Type
1010|Savings at the harbour|Bank
4010|Cider by the barrel|Income
6010|Wages|Expense
6020|Insurance|Expense`);

const adopted = (chart: Chart, { operations }: ImportPlan): readonly string[] => {
  const outcome = applyAll(chart, operations);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusal));
  return outlineOf(outcome.chart);
};

describe('numbers of a list that stand for other accounts in the chart', () => {
  it('are counted, and each is asked about until one rule holds for all', () => {
    const plan = importOf(CHART, LIST);
    expect(plan.clashing).toBe(3);
    expect(plan.rows.map(({ status }) => status)).toEqual([
      'question',
      'question',
      'question',
      'same',
    ]);
  });

  it('stay with the chart: new accounts get others', () => {
    const plan = importOf(CHART, LIST, { clashes: 'chart' });
    expect(plan.clashing).toBe(3);
    const chart = adopted(CHART, plan);
    expect(chart).toContain('6010 Rent');
    expect(chart.filter((line) => line.includes('Wages'))).not.toEqual(['6010 Wages']);
  });

  it('go to the list: the accounts of the chart get the nearest that neither uses', () => {
    const chart = adopted(CHART, importOf(CHART, LIST, { clashes: 'list' })).map((line) =>
      line.trim(),
    );
    expect(chart).toEqual(
      expect.arrayContaining([
        '1010 Savings at the harbour',
        '1011 Operating account',
        '4010 Cider by the barrel',
        '4011 Taproom sales',
        '6010 Wages',
        '6011 Rent',
        '6020 Insurance',
      ]),
    );
  });

  it('leave one account alone where the user answered for it', () => {
    const plan = importOf(CHART, LIST, { clashes: 'list', answers: new Map([[4, '6010']]) });
    const chart = adopted(CHART, plan).map((line) => line.trim());
    expect(chart).toContain('6010 Wages');
    expect(chart).not.toContain('6011 Rent');
  });
});

describe('a list that takes the place of the chart', () => {
  it('leaves nothing of the chart that the list does not have', () => {
    const chart = adopted(CHART, importOf(CHART, LIST, { clashes: 'replace' }));
    expect(chart).toEqual([
      '1010 Savings at the harbour',
      '4010 Cider by the barrel',
      '6010 Wages',
      '6020 Insurance',
    ]);
  });

  it('retires what was posted to, under another number', () => {
    const posted: Chart = { ...CHART, posted: new Set(['6010']) };
    const plan = importOf(posted, LIST, { clashes: 'replace' });
    expect(plan.missing.find(({ account }) => account.id === '6010')).toMatchObject({
      fate: 'retire',
      refusal: null,
    });
    expect(adopted(posted, plan)).toEqual(expect.arrayContaining(['6010 Wages', '6011 Rent']));
  });

  it('keeps what the user says is to be kept', () => {
    const plan = importOf(CHART, LIST, {
      clashes: 'replace',
      fates: new Map([['4000', 'leave']]),
    });
    expect(adopted(CHART, plan)).toContain('4000 Sales');
  });
});

describe('a line that only waits for another', () => {
  it('is told apart from one that is wrong', () => {
    const list = aList('Number|Name|Parent\n70 !|Vans|\n7010|Fuel|Vans');
    expect(importOf(CHART, list).rows.map(({ status }) => status)).toEqual(['wrong', 'waiting']);
  });
});

describe('balances of lines that are no accounts', () => {
  it('are named with the reason why they stay out', () => {
    const plan = importOf(
      CHART,
      aList('Number|Name|Balance\n1010|Savings|120.00\n70 !|Vans|30.00\n6020|Insurance|5.00'),
      { mended: new Map([[4, { leftOut: true }]]) },
    );
    expect(plan.unplaced.map(({ line, amount, why }) => [line, amount, why])).toEqual([
      [2, 12000, 'question'],
      [3, 3000, 'wrong'],
      [4, 500, 'leftOut'],
    ]);
  });
});
