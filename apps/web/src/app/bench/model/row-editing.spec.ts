import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { aChart } from '@iunctus/core/testing';
import { Amounts } from '../../workspace/model/amounts';
import { ChartView } from '../../workspace/model/chart-view';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { KeptRows } from './kept-rows';
import { RowEditing } from './row-editing';

const CHART = aChart(`
6000 Telephone
6100 Rent
6200 Wages
`);

const editing = (cursor: string): RowEditing => {
  const proposed = {
    chart: signal(CHART),
    base: signal(CHART),
    client: signal(null),
    propose: () => null,
  };
  const view = { cursor: signal(cursor), goTo: jest.fn() };
  TestBed.configureTestingModule({
    providers: [
      RowEditing,
      { provide: ProposedChart, useValue: proposed },
      { provide: ChartView, useValue: view },
      { provide: Amounts, useValue: { ownAmountOf: () => 0 } },
      { provide: KeptRows, useValue: { keep: jest.fn(), forget: jest.fn() } },
    ],
  });
  return TestBed.inject(RowEditing);
};

/** Types a name into the row that is edited, as its editor tells it. */
const type = (row: RowEditing, name: string): void => {
  const draft = row.draft();
  if (draft === null) throw new Error('no row is edited');
  row.noteTyped({ ...draft, name });
};

describe('a row that is edited', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  it('says which account says the same once somebody pauses, and not at each letter', () => {
    const row = editing('6100');
    row.edit();
    type(row, 'Phone');
    expect(row.hint()?.room).not.toContain('says the same');
    jest.runAllTimers();
    expect(row.hint()?.room).toContain('It says the same as 6000 Telephone.');
  });

  it('says so no more when the name says something else', () => {
    const row = editing('6100');
    row.edit();
    type(row, 'Phone');
    jest.runAllTimers();
    type(row, 'Rates');
    expect(row.hint()?.room).not.toContain('says the same');
    jest.runAllTimers();
    expect(row.hint()?.room).not.toContain('says the same');
  });

  it('forgets what it was about to say when it is left', () => {
    const row = editing('6100');
    row.edit();
    type(row, 'Phone');
    row.leave();
    row.edit();
    jest.runAllTimers();
    expect(row.hint()?.room).not.toContain('says the same');
  });

  it('says nothing of a name that stands as it stood', () => {
    const row = editing('6100');
    row.edit();
    type(row, 'Rent');
    jest.runAllTimers();
    expect(row.hint()?.room).not.toContain('says the same');
  });
});
