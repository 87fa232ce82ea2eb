import { applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import { aChart } from '../testing/a-chart';
import { allFindings, lookAt } from './all-rules';
import { findingsBetween } from './findings-between';
import { fixAll } from './fix-all';
import { saidAlready } from './draft-finding';
import { listFindings } from './list-findings';
import { tidiedBetween } from './tidied';

const NAMES = '6010 Rent\n6110 Telephone\n6120 Phone\n6130 POWER AND WATER';
const MORE = '6210 Lawyer\n6220 Fuel\n6230 Stationery\n6240 Training\n6250 Uniforms\n6260 Website';
const CHART = aChart(`${NAMES}\n${MORE}`, {
  posted: ['6010', '6110', '6120'],
});

const after = (...operations: readonly Operation[]) => {
  const outcome = applyAll(CHART, operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};
const through = (chart: typeof CHART) => ({ chart, findings: allFindings(lookAt(chart)) });

describe('what came of tidying', () => {
  const merged = after({ type: 'merge', id: '6120', into: '6110', acrossKinds: false });

  it('says what is mended, and leaves out what goes on with fewer accounts', () => {
    const { ended, counts } = tidiedBetween(through(CHART), through(merged));
    expect(ended.map(({ code }) => code)).toEqual(['duplicate']);
    expect(counts.map(({ severity, before, after: now }) => [severity, before, now])).toEqual([
      ['wrong', 0, 0],
      ['doubtful', 1, 0],
      ['couldBeNeater', 2, 2],
    ]);
  });

  it('names every account that differs, as it was and as it is', () => {
    const chart = after(
      { type: 'merge', id: '6120', into: '6110', acrossKinds: false },
      { type: 'deleteAccount', id: '6130' },
      { type: 'editField', id: '6010', field: 'name', value: 'Studio rent' },
    );
    const { renamed } = tidiedBetween(through(CHART), through(chart));
    expect(renamed.map(({ before, after: now }) => [before, now])).toEqual([
      ['6010 Rent', '6010 Studio rent'],
      ['6110 Telephone', '6110 Telephone'],
      ['6120 Phone', '6110 Telephone'],
      ['6130 POWER AND WATER', null],
    ]);
  });
});

describe('several findings fixed in a row', () => {
  const duplicatesIn = (chart: typeof CHART) =>
    allFindings(lookAt(chart)).filter(({ code }) => code === 'duplicate');

  it('take the first fix of each; what no longer fits is counted and left', () => {
    const three = aChart('6110 Telephone\n6120 Phone\n6130 Mobile phones', {
      posted: ['6110', '6120', '6130'],
    });
    const findings = duplicatesIn(three);
    expect(findings.length).toBeGreaterThan(1);
    const { operations, left } = fixAll(three, [...findings, ...findings]);
    expect(left).toBeGreaterThanOrEqual(findings.length);
    const outcome = applyAll(three, operations);
    if (!outcome.ok) throw new Error(outcome.refusal.code);
    expect(duplicatesIn(outcome.chart)).toEqual([]);
  });

  it('change nothing where there is nothing to fix', () => {
    expect(fixAll(CHART, [])).toEqual({ operations: [], left: 0 });
  });
});

describe('what a change brings', () => {
  const draft = { id: 'x', name: 'Mobile phones', kind: 'operatingExpense' } as const;

  it('is what was not found before', () => {
    const chart = after({ type: 'editField', id: '6010', field: 'name', value: 'RENT OF HALL' });
    const found = findingsBetween(lookAt(CHART), lookAt(chart));
    expect(found.map(({ code, accountIds }) => [code, ...accountIds])).toEqual([
      ['nameCapitals', '6010'],
    ]);
  });

  it('is told by the lines of a list; what concerns none of them is not', () => {
    const findings = allFindings(lookAt(CHART));
    const told = listFindings(findings, new Map([['6130', 7]]), { chart: CHART });
    expect(told.map(({ rule, lines }) => [rule, lines])).toEqual([
      ['nameCapitals', [7]],
      ['noGuidance', [7]],
    ]);
  });

  it('is told of a name while it is typed: another account of the kind says the same', () => {
    expect(saidAlready(CHART, draft)).toBe('6110');
    expect(saidAlready(CHART, { ...draft, kind: 'costOfSales' })).toBeNull();
    expect(saidAlready(CHART, { ...draft, name: 'Insurance' })).toBeNull();
    expect(saidAlready(CHART, { id: '6010', name: 'Rent', kind: 'operatingExpense' })).toBeNull();
    expect(saidAlready(CHART, { ...draft, name: '' })).toBeNull();
  });
});
