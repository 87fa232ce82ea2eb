import { applyAll, copyStructure, emptyChart, recordsOf, type Chart } from '@iunctus/core';
import { randomChart } from '@iunctus/core/testing';
import fc from 'fast-check';
import { wholeChartIn } from './whole-chart';

/** A chart as it stands in a file, its ids those of the database. */
const inFile = (chart: Chart): unknown => {
  const ids = new Map<string, string>();
  const id = (of: string): string => {
    const known = ids.get(of) ?? `00000000-0000-4000-8000-${String(ids.size).padStart(12, '0')}`;
    ids.set(of, known);
    return known;
  };
  const made = applyAll(
    emptyChart(),
    copyStructure(chart, () => id(String(ids.size)), 'whole'),
  );
  if (!made.ok) throw new Error(made.refusal.code);
  return JSON.parse(
    JSON.stringify({ settings: made.chart.settings, accounts: recordsOf(made.chart) }),
  );
};

describe('a chart that was taken out whole', () => {
  it('comes in again as it was: accounts, plan, dimensions and settings', () => {
    fc.assert(
      fc.property(randomChart(30), (drawn) => {
        const file = inFile(drawn);
        const chart = wholeChartIn(file);
        expect(chart).not.toBeNull();
        if (chart === null) return;
        expect({ settings: chart.settings, accounts: recordsOf(chart) }).toEqual(file);
      }),
      { numRuns: 60 },
    );
  });

  it('is none where a value is not as such charts have it', () => {
    expect(wholeChartIn(null)).toBeNull();
    expect(wholeChartIn({ settings: {}, accounts: [] })).toBeNull();
  });
});
