import type { Finding } from '@iunctus/core';
import { findingRows, type TidyRow } from './finding-rows';

const BARE = { amount: 0, facts: {}, fixes: [] } as const;
const neverUsed = (count: number, severity: Finding['severity'] = 'couldBeNeater'): Finding[] =>
  Array.from({ length: count }, (_, at) => ({
    ...BARE,
    code: 'neverUsed',
    severity,
    accountIds: [`${at}`],
  }));
const inCapitals = (count: number): Finding[] =>
  Array.from({ length: count }, (_, at) => ({
    ...BARE,
    code: 'nameCapitals',
    facts: { to: 'Rent' },
    severity: 'doubtful',
    accountIds: [`${at}`],
  }));
const typesOf = (rows: readonly TidyRow[]): string => rows.map(({ type }) => type[0]).join('');

describe('the rows of what was found', () => {
  it('are a head for each severity, with how many it has, and the findings below it', () => {
    const rows = findingRows([...inCapitals(1), ...neverUsed(2)], new Set());
    expect(typesOf(rows)).toBe('hfhff');
    expect(rows[2]).toMatchObject({ words: 'Could be neater', count: 2 });
  });

  it('are the first four of a rule that found many, and one that stands for the rest', () => {
    const rows = findingRows(neverUsed(40), new Set());
    expect(typesOf(rows)).toBe('hfffff');
    expect(rows.at(-1)).toMatchObject({ type: 'fold', count: 36, isOpen: false });
    expect(rows[0]).toMatchObject({ count: 40 });
  });

  it('are all of them where the rest is one or two', () => {
    expect(findingRows(neverUsed(6), new Set())).toHaveLength(7);
    expect(findingRows(neverUsed(7), new Set())).toHaveLength(6);
  });

  it('are all of them where they were asked for, with a row to fold them again behind the last', () => {
    const rows = findingRows(neverUsed(40), new Set(['fold couldBeNeater neverUsed']));
    expect(rows).toHaveLength(42);
    expect(rows.at(-1)).toMatchObject({ type: 'fold', isOpen: true });
  });

  it('stand in the order in which they were sorted, whatever is folded between them', () => {
    const mixed = [...neverUsed(9, 'doubtful'), ...inCapitals(2)];
    const rows = findingRows(mixed, new Set());
    expect(rows.flatMap((row) => (row.type === 'finding' ? row.finding.code : row.type))).toEqual([
      'head',
      'neverUsed',
      'neverUsed',
      'neverUsed',
      'neverUsed',
      'fold',
      'nameCapitals',
      'nameCapitals',
    ]);
  });
});
