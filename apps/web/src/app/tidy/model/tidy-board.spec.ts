import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { aChart } from '@iunctus/core/testing';
import {
  allFindings,
  applyAll,
  findingKey,
  findingPrint,
  lookAt,
  sortFindings,
  type Chart,
  type Finding,
  type FindingNote,
  type Operation,
} from '@iunctus/core';
import { of } from 'rxjs';
import { aClient } from '../../../testing/a-client';
import { ApiService } from '../../shared/api/api.service';
import { Rights } from '../../session/state/rights';
import { FindingsEngine } from '../../workspace/model/findings-engine';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { TidyBoard } from './tidy-board';

const UNTIDY = aChart(
  '6010 STUDIO RENT\n6020 TELEPHONE\n6030 Phone\n6040 Bank  fees\n6050 Other 2',
);

const MISNUMBERED = aChart(
  Array.from({ length: 9 }, (_, at) => `7${at}00 Quiet cost ${'abcdefghi'[at] ?? ''}`).join('\n'),
);

/** The board over a chart that changes as things are proposed. */
const board = (mayChange = true, begun = UNTIDY) => {
  const chart = signal<Chart>(begun);
  const notes = signal<readonly FindingNote[]>([]);
  const noted = () => new Map(notes().map((note) => [note.key, note] as const));
  const ask = jest.fn((..._asked: readonly unknown[]) => of({}));
  const propose = (operations: readonly Operation[]) => {
    const outcome = applyAll(chart(), operations);
    if (!outcome.ok) return outcome.refusal;
    chart.set(outcome.chart);
    return null;
  };
  const engine = {
    isBehind: signal(false),
    noted,
    notes: { again: jest.fn() },
    rules: {
      value: signal({
        practice: { version: 3, wishes: { severities: {}, limits: {}, words: ['slip'] } },
      }),
      again: jest.fn(),
    },
    sorted: () => sortFindings(allFindings(lookAt(chart())), noted(), '2026-11-27'),
  };
  TestBed.configureTestingModule({
    providers: [
      TidyBoard,
      { provide: FindingsEngine, useValue: engine },
      { provide: ProposedChart, useValue: { chart, client: signal(aClient()), propose } },
      { provide: Rights, useValue: { may: () => mayChange } },
      { provide: ApiService, useValue: { ask } },
    ],
  });
  return { board: TestBed.inject(TidyBoard), chart, notes, ask, engine };
};
/** Puts the cursor on the first finding of a rule. */
const goTo = (at: TidyBoard, code: Finding['code']): void => {
  const index = at.rows().findIndex((row) => row.type === 'finding' && row.finding.code === code);
  if (index < 0) throw new Error(`no ${code} is found`);
  at.goTo(index);
};
const names = (of_: Chart): readonly string[] => of_.roots.map(({ account }) => account.name);

describe('working through what was found', () => {
  it('begins at the first finding below the head of its severity', () => {
    const { board: at } = board();
    expect(
      at
        .rows()
        .filter(({ type }) => type === 'head')
        .map((row) => ('words' in row ? row.words : '')),
    ).toEqual(['Doubtful', 'Could be neater']);
    expect(at.current()?.code).toBe('duplicate');
  });

  it('stays at the first finding while more is found, until somebody goes on', () => {
    const { board: at, notes } = board();
    const first = at.current();
    if (first === null) throw new Error('nothing found');
    const without = [
      { key: findingKey(first), print: findingPrint(first), until: null, reason: '' },
    ];
    notes.set(without);
    const second = at.currentKey();
    notes.set([]);
    expect(at.currentKey()).toBe(findingKey(first));
    at.goTo(at.rows().findIndex(({ key }) => key === second));
    notes.set(without);
    notes.set([]);
    expect(at.currentKey()).toBe(second);
  });

  it('steps over heads, and to either end', () => {
    const { board: at } = board();
    at.step(1);
    at.step(1);
    expect(at.current()?.severity).toBe('couldBeNeater');
    at.step(-1);
    expect(at.current()?.code).toBe('nameSaysNothing');
    at.toEdge(-1);
    expect(at.cursor()).toBe(at.rows().length - 1);
  });

  it('applies a way into the proposal, and goes on to the next finding', () => {
    const { board: at, chart } = board();
    at.toEdge(1);
    const before = at.open().length;
    at.apply(0);
    expect(chart().roots).toHaveLength(4);
    expect(at.open().length).toBeLessThan(before);
    expect(at.current()).not.toBeNull();
  });

  it('applies the first way of all of one sort in one step, but for those that are struck', () => {
    const { board: at, chart } = board();
    goTo(at, 'nameCapitals');
    const same = at.sameRule();
    expect(same).toHaveLength(2);
    at.applyAll(same.slice(0, 1));
    expect(names(chart()).filter((name) => name === name.toUpperCase())).toHaveLength(1);
  });

  it('applies nothing twice: what was found before the last change is not applied once more', () => {
    const { board: at, chart, engine } = board();
    const before = at.current();
    at.apply(0);
    engine.isBehind.set(true);
    const then = chart();
    at.apply(0);
    expect(chart()).toBe(then);
    expect(before).not.toBeNull();
  });

  it('tells what was found with the names of the chart that was looked through', () => {
    const { board: at, chart, engine } = board();
    const finding = at.current();
    if (finding === null) throw new Error('nothing found');
    const said = at.wordsOf(finding).says;
    engine.isBehind.set(true);
    const outcome = applyAll(chart(), finding.fixes[0]?.operations ?? []);
    if (outcome.ok) chart.set(outcome.chart);
    expect(at.wordsOf(finding).says).toBe(said);
  });

  it('changes nothing for somebody who only looks', () => {
    const { board: at, chart } = board(false);
    at.apply(0);
    expect(chart()).toBe(UNTIDY);
  });

  it('says where there is nothing to apply', () => {
    const { board: at } = board();
    goTo(at, 'nameSaysNothing');
    at.apply(0);
    expect(at.notice()).toBe('There is nothing to apply: it is to be looked at.');
  });

  it('puts a finding off under what it is known by, with what was found', async () => {
    const { board: at, ask } = board();
    const finding = at.current();
    if (finding === null) throw new Error('nothing found');
    await at.putAside('2026-12-31', '');
    const body = {
      key: findingKey(finding),
      print: findingPrint(finding),
      until: '2026-12-31',
      reason: '',
    };
    expect(ask).toHaveBeenCalledWith('noteFinding', { clientId: aClient().id, body });
  });

  it('keeps what was set aside out of sight, and shows it when asked', () => {
    const { board: at, notes } = board();
    const finding = at.current();
    if (finding === null) throw new Error('nothing found');
    notes.set([
      { key: findingKey(finding), print: findingPrint(finding), until: null, reason: 'Two lines' },
    ]);
    expect(at.open()).not.toContainEqual(finding);
    expect(at.notedCount()).toBe(1);
    at.showsNoted.set(true);
    expect(at.shown()).toEqual([finding]);
    at.toEdge(1);
    expect(at.note()?.reason).toBe('Two lines');
  });

  it('shows what a rule found more once it is asked to, and goes on with the first that was not seen', () => {
    const { board: at } = board(true, MISNUMBERED);
    at.goTo(at.rows().findIndex(({ type }) => type === 'fold'));
    expect(at.current()).toBeNull();
    expect(at.fold()?.words).toBe('5 more: Numbers that do not fit the plan');
    const seen = at.rows().length;
    at.apply(1);
    expect(at.rows()).toHaveLength(seen);
    at.enter();
    expect(at.rows()).toHaveLength(seen + 5);
    expect(at.current()?.accountIds).toEqual(['7400']);
    at.unfold(false);
    expect(at.rows()).toHaveLength(seen);
    expect(at.fold()?.isOpen).toBe(false);
  });

  it('applies the first way of all of a sort from what stands for the rest of them', () => {
    const { board: at } = board(true, MISNUMBERED);
    at.goTo(at.rows().findIndex(({ type }) => type === 'fold'));
    expect(at.sameRule()).toHaveLength(9);
  });

  it('teaches the practice no word where none is strange', async () => {
    const { board: at, ask } = board();
    expect(at.strangeWord()).toBeNull();
    await at.learnWord();
    expect(ask).not.toHaveBeenCalled();
  });
});
