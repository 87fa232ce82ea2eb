import fc from 'fast-check';
import { eachNode } from '../chart/queries';
import { applyAll, invert } from '../operations/apply';
import type { Operation } from '../operations/operation';
import { aChart } from '../testing/a-chart';
import { draws, randomChart, runDraws } from '../testing/random';
import { landingOf, returnLandings, sectionLandings } from './landing';
import { brokenBy, outcomeOfProof, traceOf, type Proposed } from './proof';
import type { Expected, Proof, RouteContent, RouteItem, Sample } from './route-item';
import { routesOf } from './routes';

const FILER = { legalForm: 'soleOwner', country: 'US' } as const;

const CHART = aChart(`
1010 Bank [bank]
4000 Sales:
  4010 Shop sales
5000 Cost of sales:
  5010 Apples
6000 Premises:
  6010 Rent
6100 Office:
  6110 Paper`);

const RENT_LINE: Sample = { by: 'line', text: 'Rent of May', amount: -900_00, source: 'bank' };
const RENT_RULE: RouteContent = {
  type: 'rule',
  place: 1,
  how: 'contains',
  words: 'rent',
  sign: null,
  least: null,
  most: null,
  source: null,
  accountId: '6010',
  taxCodeId: null,
};
const UNDER_PREMISES: Expected = {
  section: 'operatingExpenses',
  underId: '6000',
  returnLine: null,
};

const aProof = (sample: Sample, expected: Expected = UNDER_PREMISES): Proof => ({
  type: 'proof',
  name: 'Rent counts under premises',
  sample,
  expected,
});

const routesWith = (...contents: readonly RouteContent[]) =>
  routesOf(contents.map((content, at): RouteItem => ({ id: `item-${at}`, content })));

const proposed = (...operations: readonly Operation[]): Proposed => {
  const outcome = applyAll(CHART, operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return { base: CHART, operations, chart: outcome.chart };
};

const breachOf = (proof: Proof, ...rules: readonly RouteContent[]) =>
  outcomeOfProof(
    { id: 'proof', content: proof },
    { chart: CHART, routes: routesWith(...rules), filer: FILER },
  ).breach;

const move = (id: string, parentId: string | null): Operation => ({
  type: 'moveNode',
  id,
  parentId,
  afterId: null,
});

describe('a trace', () => {
  it('leads from a line by its rule to the account, the lines above it and the return', () => {
    const { routed, landing } = traceOf(RENT_LINE, {
      chart: CHART,
      routes: routesWith(RENT_RULE),
      filer: FILER,
    });
    expect(routed.decision).toMatchObject({ by: 'rule', rule: { id: 'item-0' } });
    expect(landing).toMatchObject({
      statement: 'profitAndLoss',
      section: 'operatingExpenses',
      path: ['6000', '6010'],
    });
    expect(landing?.returnLine?.form).toBe('scheduleC');
  });
});

describe('lines, looked at from behind', () => {
  it('are those of the return on which accounts land, in the order of the form, each with its accounts', () => {
    const lines = returnLandings(CHART, FILER);
    expect(lines.flatMap(({ accounts }) => accounts)).toEqual(
      expect.arrayContaining(['4010', '5010', '6010', '6110']),
    );
    expect(lines[0]?.accounts).toEqual(['4010']);
  });

  it('are the sections of the statements, with every account that takes postings once', () => {
    const sections = sectionLandings(CHART);
    expect(sections.map(({ line }) => line)).toContain('operatingExpenses');
    expect(sections.flatMap(({ accounts }) => accounts).toSorted()).toEqual([
      '1010',
      '4010',
      '5010',
      '6010',
      '6110',
    ]);
  });
});

describe('a proof', () => {
  it('holds while its sample lands under the line that it names', () => {
    expect(breachOf(aProof(RENT_LINE), RENT_RULE)).toBeNull();
  });

  it('says what is wrong where it does not hold', () => {
    const proof = aProof(RENT_LINE);
    const account = (accountId: string): Sample => ({ by: 'account', accountId });
    expect(breachOf(proof)).toBe('unrouted');
    expect(breachOf(proof, { ...RENT_RULE, accountId: 'gone' })).toBe('gone');
    expect(breachOf(aProof(account('6000')))).toBe('takesNone');
    expect(breachOf(aProof(account('5010')))).toBe('otherSection');
    expect(breachOf(aProof(account('6110')))).toBe('elsewhere');
    const line = { form: 'scheduleC', line: '99', copy: 1 };
    expect(breachOf(aProof(account('6010'), { ...UNDER_PREMISES, returnLine: line }))).toBe(
      'otherReturnLine',
    );
  });
});

describe('a proposal', () => {
  const rest = { routes: routesWith(RENT_RULE, aProof(RENT_LINE)), filer: FILER };

  it('breaks a proof by one of its operations, which is named', () => {
    expect(brokenBy(proposed(move('6110', null), move('6010', '6100')), rest)).toMatchObject([
      { proofId: 'item-1', breach: 'elsewhere', since: 1 },
    ]);
  });

  it('breaks none that it mends again', () => {
    expect(brokenBy(proposed(move('6010', '6100'), move('6010', '6000')), rest)).toEqual([]);
  });

  it('has no part in one that was broken before', () => {
    const before = { routes: routesWith(aProof(RENT_LINE)), filer: FILER };
    expect(brokenBy(proposed(move('6110', null)), before)).toMatchObject([
      { breach: 'unrouted', since: null },
    ]);
  });
});

describe('proofs of where every account lands', () => {
  it('hold, and hold again once any operations are taken back', () => {
    fc.assert(
      fc.property(randomChart(12), draws(6), (chart, recipes) => {
        const proofs = [...eachNode(chart.roots)].flatMap(({ account }): RouteContent[] => {
          const landing = landingOf(chart, account.id, FILER);
          if (landing === null || !landing.takesPostings) return [];
          const { section, returnLine } = landing;
          const expected = { section, underId: landing.path[0] ?? null, returnLine };
          return [aProof({ by: 'account', accountId: account.id }, expected)];
        });
        const rest = { routes: routesWith(...proofs), filer: FILER };
        const done = runDraws(chart, recipes, 'new');
        const operations = done.map(({ operation }) => operation);
        const back = done.toReversed().map(({ operation, before }) => invert(operation, before));
        const outcome = applyAll(chart, [...operations, ...back]);
        if (!outcome.ok) throw new Error(outcome.refusal.code);
        const whole = { base: chart, operations: [...operations, ...back], chart: outcome.chart };
        expect(brokenBy(whole, rest)).toEqual([]);
      }),
    );
  });
});
