import { emptyChart } from '../chart/build';
import type { Chart } from '../chart/chart';
import { eachNode } from '../chart/queries';
import { elementOf } from '../kinds/kinds';
import { applyAll } from '../operations/apply';
import { composeStartingChart, startingOperations } from './compose';
import { INDUSTRY_CODES } from './industries';
import { takeOver } from './take-over';
import type { LegalForm } from '../countries/legal-form';

const counter = (prefix: string): (() => string) => {
  let count = 0;
  return () => `${prefix}${(count += 1)}`;
};

const [industry] = INDUSTRY_CODES;
const groupsFor = (legalForm: LegalForm) =>
  composeStartingChart({ industry, legalForm, country: 'US' });

const done = (operations: Parameters<typeof applyAll>[1]): Chart => {
  const outcome = applyAll(emptyChart(), operations);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusal));
  return outcome.chart;
};

const SOLE = done(startingOperations(groupsFor('soleOwner'), { newId: counter('a') }));

const equity = (chart: Chart) =>
  [...eachNode(chart.roots)].filter(({ account }) => elementOf(account.kind) === 'equity');
const names = (nodes: ReturnType<typeof equity>) => nodes.map(({ account }) => account.name);

describe('the structure of another client’s chart', () => {
  it('is taken over whole where both are of one legal form', () => {
    const operations = takeOver(SOLE, {
      groups: groupsFor('soleOwner'),
      differs: false,
      newId: counter('b'),
    });
    expect(names(equity(done(operations)))).toEqual(names(equity(SOLE)));
  });

  it('gets the equity accounts of the new client’s legal form, numbered by the chart’s plan', () => {
    const groups = groupsFor('corporation');
    const chart = done(takeOver(SOLE, { groups, differs: true, newId: counter('b') }));
    const kinds = new Set(equity(chart).map(({ account }) => account.kind));
    expect(kinds.has('shareCapital')).toBe(true);
    expect(kinds.has('ownersCapital')).toBe(false);
    expect(equity(chart).every(({ account }) => account.number !== null)).toBe(true);
    const others = (of: Chart) => [...eachNode(of.roots)].length - equity(of).length;
    expect(others(chart)).toBe(others(SOLE));
  });

  it('has one account to which the system posts the result', () => {
    const groups = groupsFor('corporation');
    const chart = done(takeOver(SOLE, { groups, differs: true, newId: counter('b') }));
    const system = equity(chart).filter(({ account }) => account.systemUse !== null);
    expect(system).toHaveLength(1);
  });

  it('tells by the kinds of its equity whether it fits, where the forms are not known', () => {
    const kept = (legalForm: LegalForm) =>
      done(takeOver(SOLE, { groups: groupsFor(legalForm), differs: null, newId: counter('b') }));
    expect(names(equity(kept('soleOwner')))).toEqual(names(equity(SOLE)));
    expect(names(equity(kept('corporation')))).not.toEqual(names(equity(SOLE)));
  });
});
