import { aChart } from '@iunctus/core/testing';
import { findingKey, NO_WISHES, recordOf, type MonthlyTuple } from '@iunctus/core';
import { createFindingsComputer } from './findings-computer';

const CHART = aChart('1010 Bank\n4010 Sales\n6010 STUDIO RENT\n6020 Sundries\n6030 Insurence', {
  posted: ['1010', '4010', '6010', '6020'],
});
const ROWS: readonly MonthlyTuple[] = [
  ['1010', 100, 100, 100],
  ['4010', -300, -300, -300],
  ['6010', 190, 150, 100],
  ['6020', 10, 50, 100],
];

const started = () => {
  const computer = createFindingsComputer();
  computer.tell({ type: 'chart', chart: recordOf(CHART), steps: [] });
  computer.tell({ type: 'monthly', monthly: { first: '2026-01', rows: ROWS } });
  const first = computer.tell({
    type: 'client',
    filer: { legalForm: 'soleOwner', country: 'US' },
    startsIn: 1,
    period: { first: '2026-01', last: '2026-03' },
  });
  return { computer, first };
};
const codes = (result: ReturnType<ReturnType<typeof createFindingsComputer>['tell']>) =>
  result?.findings.map(({ code }) => code) ?? [];

describe('the worker that looks a chart through', () => {
  it('says nothing until chart, books and client are there', () => {
    const computer = createFindingsComputer();
    expect(computer.tell({ type: 'chart', chart: recordOf(CHART), steps: [] })).toBeNull();
  });

  it('finds what is untidy, and how much is without doubt', () => {
    const { first } = started();
    expect(codes(first)).toEqual(expect.arrayContaining(['catchAll', 'nameCapitals']));
    expect(first?.score?.doubted).toBe(160);
  });

  it('looks anew at what is proposed', () => {
    const { computer } = started();
    const named = { type: 'editField', id: '6010', field: 'name', value: 'Studio rent' } as const;
    const now = computer.tell({ type: 'steps', steps: [{ id: 'a', operations: [named] }] });
    expect(codes(now)).not.toContain('nameCapitals');
  });

  it('keeps to what practice and client want of the rules', () => {
    const { computer } = started();
    const off = { ...NO_WISHES, severities: { nameCapitals: 'off' as const } };
    const now = computer.tell({ type: 'rules', practice: off, client: NO_WISHES });
    expect(codes(now)).not.toContain('nameCapitals');
  });

  it('spells once a dictionary is there, but for words that are said to be right', () => {
    const { computer, first } = started();
    expect(codes(first)).not.toContain('misspelled');
    const spelling = {
      dictionary: { knows: (word: string) => word.toLowerCase() !== 'insurence' },
      trade: new Set(['insurance']),
      own: new Set<string>(),
      here: (word: string) => word,
    };
    expect(codes(computer.tell({ type: 'spelling', spelling }))).toContain('misspelled');
    const right = { ...NO_WISHES, words: ['insurence'] };
    const now = computer.tell({ type: 'rules', practice: right, client: NO_WISHES });
    expect(codes(now)).not.toContain('misspelled');
  });

  it('says how much of what it was told it has looked at, and whether a dictionary is still to come', () => {
    const { computer, first } = started();
    expect(first).toMatchObject({ takenIn: 3, isSpelled: true });
    const waiting = computer.tell({ type: 'spellingComes' });
    expect(waiting).toMatchObject({ takenIn: 3, isSpelled: false });
    const without = computer.tell({ type: 'spelling', spelling: null });
    expect(without).toMatchObject({ takenIn: 3, isSpelled: true });
    expect(computer.tell({ type: 'trial', trial: null })?.takenIn).toBe(4);
  });

  it('tries a fix without taking it', () => {
    const { computer, first } = started();
    const finding = first?.findings.find(({ code }) => code === 'nameCapitals');
    if (finding === undefined) throw new Error('nothing found');
    const trial = { key: findingKey(finding), fix: 0 };
    const now = computer.tell({ type: 'trial', trial });
    expect(now?.tried).toEqual({ trial, impact: { sections: [], totals: [] } });
    expect(codes(now)).toEqual(codes(first));
  });

  it('looks at months one after the other, each as it stood', () => {
    const { computer } = started();
    const months = ['2026-01', '2026-02', '2026-03'].map((month) => ({
      month,
      revision: 1,
      chart: null,
    }));
    computer.tell({ type: 'months', months });
    const seen: number[] = [];
    while (computer.isBehind()) seen.push(computer.tell({ type: 'nextMonth' })?.past.length ?? 0);
    expect(seen).toEqual([1, 2, 3]);
    const past = computer.tell({ type: 'nextMonth' })?.past ?? [];
    expect(past.map(({ check }) => check.score?.doubted)).toEqual([10, 60, 160]);
  });

  it('looks at months with the chart that was adopted, whatever is proposed', () => {
    const { computer } = started();
    const named = { type: 'editField', id: '6020', field: 'name', value: 'Kiln repair' } as const;
    computer.tell({ type: 'steps', steps: [{ id: 'a', operations: [named] }] });
    computer.tell({ type: 'months', months: [{ month: '2026-03', revision: 1, chart: null }] });
    const result = computer.tell({ type: 'nextMonth' });
    expect(codes(result)).not.toContain('catchAll');
    expect(result?.past[0]?.check.findings.map(({ code }) => code)).toContain('catchAll');
  });

  it('begins anew with other months, and ends with none', () => {
    const { computer } = started();
    computer.tell({ type: 'months', months: [{ month: '2026-01', revision: 1, chart: null }] });
    computer.tell({ type: 'nextMonth' });
    expect(computer.tell({ type: 'months', months: [] })?.past).toEqual([]);
    expect(computer.isBehind()).toBe(false);
  });
});
