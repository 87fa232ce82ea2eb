import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { applyAll, type Chart, type Operation } from '@iunctus/core';
import { aChart } from '@iunctus/core/testing';
import { aClient } from '../../../testing/a-client';
import { Rights } from '../../session/state/rights';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { BudgetBoard } from './budget-board';
import { TableEngine } from './table-engine';

jest.mock('../workers/table-worker.factory', () => ({ createTableWorker: jest.fn() }));

const CIDER = aChart(
  '1010 Bank [bank]\n4010 Cider sales [saleOfGoods]\n6110 Rent [operatingExpense]\n6120 Power [operatingExpense]',
);
/** Twelve months of the year before, July to June: sales grow, the rent stands, no power is paid. */
const MONTHLY = {
  first: '2025-07',
  amounts: [
    ['4010', ...Array.from({ length: 12 }, (_month, at) => -(at + 1) * 100_00)],
    ['6110', ...Array.from({ length: 12 }, () => 50_00)],
  ],
  splits: [],
};

/** The board of the year from July 2026 on, over a chart that changes as things are proposed. */
const board = (mayChange = true) => {
  const chart = signal<Chart>(CIDER);
  const propose = (operations: readonly Operation[]) => {
    const outcome = applyAll(chart(), operations);
    if (!outcome.ok) return outcome.refusal;
    chart.set(outcome.chart);
    return null;
  };
  const engine = {
    context: signal({ main: { first: '2026-07', last: '2026-10' } }),
    monthly: { value: signal(MONTHLY) },
  };
  TestBed.configureTestingModule({
    providers: [
      BudgetBoard,
      { provide: TableEngine, useValue: engine },
      { provide: ProposedChart, useValue: { chart, client: signal(aClient()), propose } },
      { provide: Rights, useValue: { may: () => mayChange } },
    ],
  });
  return TestBed.inject(BudgetBoard);
};
const rowOf = (at: BudgetBoard, number: string): number =>
  at.rows().findIndex((row) => row.type === 'account' && row.line.called.startsWith(number));
const amountsOf = (at: BudgetBoard, number: string) => at.lineAt(rowOf(at, number))?.amounts ?? [];
const totalOf = (at: BudgetBoard, number: string) => at.lineAt(rowOf(at, number))?.total;

describe('the budget of a year', () => {
  it('has the accounts of the profit and loss below the heads of its sections, and twelve months', () => {
    const at = board();
    expect(at.rows().map((row) => (row.type === 'section' ? row.words : row.line.called))).toEqual([
      'Revenue',
      '4010 Cider sales',
      'Operating expenses',
      '6110 Rent',
      '6120 Power',
    ]);
    expect([at.months()[0], at.months().at(-1)]).toEqual(['2026-07', '2027-06']);
    expect(at.lineAt(0)).toBeNull();
  });

  it('says what each account came to in the months of the year before, as it is read for its kind', () => {
    const at = board();
    expect(at.lineAt(rowOf(at, '4010'))?.lastYear.slice(0, 2)).toEqual([100_00, 200_00]);
    expect(at.lineAt(rowOf(at, '6110'))?.lastYear[11]).toBe(50_00);
  });

  it('takes an amount for a month, and for the year in the shape that the months have', () => {
    const at = board();
    expect(at.type(rowOf(at, '6110'), 0, '100')).toBe(true);
    expect(at.type(rowOf(at, '6110'), 1, '300')).toBe(true);
    expect(totalOf(at, '6110')).toBe(400_00);
    at.type(rowOf(at, '6110'), 'year', '800');
    expect(amountsOf(at, '6110').slice(0, 3)).toEqual([200_00, 600_00, 0]);
  });

  it('says what is no amount, and changes nothing', () => {
    const at = board();
    expect(at.type(rowOf(at, '6110'), 0, 'much')).toBe(false);
    expect(at.notice()).toContain('“much” is no amount');
    expect(totalOf(at, '6110')).toBe(0);
  });

  it('is cleared by an empty cell', () => {
    const at = board();
    at.type(rowOf(at, '6110'), 0, '100');
    at.type(rowOf(at, '6110'), 0, ' ');
    expect(totalOf(at, '6110')).toBe(0);
  });

  it('copies a month to all later ones, and spreads a year evenly to the last cent', () => {
    const at = board();
    at.type(rowOf(at, '6110'), 9, '70');
    at.copyAcross(rowOf(at, '6110'), 9);
    expect(amountsOf(at, '6110').slice(8)).toEqual([0, 70_00, 70_00, 70_00]);
    at.type(rowOf(at, '6120'), 'year', '100');
    at.spreadEvenly(rowOf(at, '6120'));
    expect(amountsOf(at, '6120').reduce((so, one) => so + one, 0)).toBe(100_00);
    expect(Math.max(...amountsOf(at, '6120')) - Math.min(...amountsOf(at, '6120'))).toBeLessThan(2);
  });

  it('follows last year: its shape for a total, its amounts without one, and nothing where there are none', () => {
    const at = board();
    at.likeLastYear(rowOf(at, '4010'));
    expect(amountsOf(at, '4010').slice(0, 2)).toEqual([100_00, 200_00]);
    at.type(rowOf(at, '4010'), 'year', '15,600');
    expect(amountsOf(at, '4010').slice(0, 2)).toEqual([200_00, 400_00]);
    at.likeLastYear(rowOf(at, '6120'));
    expect(at.notice()).toBe('Nothing was posted to 6120 Power last year.');
  });

  it('begins with last year and so many per cent more', () => {
    const at = board();
    at.beginWithLastYear(10);
    expect([totalOf(at, '4010'), totalOf(at, '6110'), totalOf(at, '6120')]).toEqual([
      8580_00, 660_00, 0,
    ]);
  });

  it('takes cells of a spreadsheet from a cell on, and leaves empty ones as they are', () => {
    const at = board();
    at.type(rowOf(at, '6110'), 11, '5');
    at.paste(rowOf(at, '6110'), 10, '1\t\n2\t3');
    expect(amountsOf(at, '6110').slice(10)).toEqual([1_00, 5_00]);
    expect(amountsOf(at, '6120').slice(10)).toEqual([2_00, 3_00]);
  });

  it.each([
    ['1\tx', 'Row 1, cell 2 of what was pasted is no amount: “x”. Nothing was changed.'],
    ['1\n2\n3', '3 rows were pasted, and there are 2 from here on. Nothing was changed.'],
    ['1\t2\t3', 'What was pasted is wider than the months that are left. Nothing was changed.'],
  ])('refuses what does not fit, and says why: %j', (text, says) => {
    const at = board();
    at.paste(rowOf(at, '6110'), 10, text);
    expect(at.notice()).toBe(says);
    expect([totalOf(at, '6110'), totalOf(at, '6120')]).toEqual([0, 0]);
  });

  it('changes nothing for somebody who only looks', () => {
    const at = board(false);
    expect(at.type(rowOf(at, '6110'), 0, '100')).toBe(false);
    expect(totalOf(at, '6110')).toBe(0);
  });
});
