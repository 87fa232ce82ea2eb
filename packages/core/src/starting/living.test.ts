import fc from 'fast-check';
import { emptyChart } from '../chart/build';
import type { Chart } from '../chart/chart';
import { accountOf, eachNode, recordsOf } from '../chart/queries';
import { applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import { aChart, outlineOf } from '../testing/a-chart';
import { randomChart } from '../testing/random';
import { composeStartingChart, startingCount, startingOperations } from './compose';
import { copyStructure } from './copy-structure';
import { namesThere, planStartingInto, withoutStruck } from './into-chart';
import { usualAnswers, type StartingAnswers } from './questions';
import { channelCountsOf, effectsOf, unwantedNames } from './wishes';

const counter = (prefix: string) => {
  let count = 0;
  return () => `${prefix}${(count += 1)}`;
};

const after = (chart: Chart, operations: readonly Operation[]): Chart => {
  const outcome = applyAll(chart, operations);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusal));
  return outcome.chart;
};

const groupsWith = (stock: boolean) => {
  const usual = usualAnswers('professionalServices');
  return composeStartingChart({
    industry: 'professionalServices',
    legalForm: 'soleOwner',
    answers: { ...usual, has: { ...usual.has, stock } },
  });
};

describe('a starting chart run again on a living one', () => {
  const living = after(
    emptyChart(),
    startingOperations(groupsWith(false), { newId: counter('a') }),
  );

  it('adds what is missing below its headings with the next numbers, and touches nothing else', () => {
    const plan = planStartingInto(living, groupsWith(true), counter('b'));
    if (!plan.ok) throw new Error(plan.refusal.code);
    const grown = after(living, plan.operations);
    const added = recordsOf(grown).filter(({ id }) => accountOf(living, id) === undefined);
    expect(added.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['Inventory', 'Goods for resale', 'Goods sold', 'Freight in']),
    );
    expect(plan.operations.every(({ type }) => type === 'addAccount')).toBe(true);
    expect(outlineOf(grown)).toEqual(expect.arrayContaining(outlineOf(living)));
  });

  it('adds nothing when everything is there', () => {
    expect(planStartingInto(living, groupsWith(false), counter('b'))).toEqual({
      ok: true,
      operations: [],
    });
  });

  it('finds a place in a chart with headings of its own', () => {
    const own = aChart('1000 Money:\n  1010 Current account\n6000 Overheads:\n  6010 Office rent');
    const wages = groupsWith(false).flatMap((group) =>
      group.name === 'People' ? [{ ...group, accounts: group.accounts.slice(0, 1) }] : [],
    );
    const plan = planStartingInto(own, wages, counter('b'));
    if (!plan.ok) throw new Error(plan.refusal.code);
    expect(outlineOf(after(own, plan.operations))).toContain('  6020 Wages');
  });

  it('knows which of its accounts are there by name, whatever their number', () => {
    const own = aChart('6500 Overheads:\n  6510 RENT');
    expect([...namesThere(own, groupsWith(false))]).toEqual(['Rent']);
  });
});

describe('accounts that were struck out', () => {
  it('are left out, and a heading with them when it has no other', () => {
    const groups = groupsWith(false);
    const loans = groups.find(({ name }) => name === 'Loans');
    const struck = new Set(loans?.accounts.map(({ name }) => name));
    expect(withoutStruck(groups, struck).map(({ name }) => name)).not.toContain('Loans');
    expect(withoutStruck(groups, new Set())).toEqual(groups);
  });
});

describe('the structure of another client’s chart', () => {
  const bare = (chart: Chart) =>
    [...eachNode(chart.roots)].flatMap(({ account }) => {
      const { number, name, kind, role, guidance, retiredOn, systemUse } = account;
      return retiredOn === null ? [{ number, name, kind, role, guidance, systemUse }] : [];
    });

  it('comes over whole under fresh ids, but for what is retired', () => {
    fc.assert(
      fc.property(randomChart(40), (chart) => {
        const copy = after(emptyChart(), copyStructure(chart, counter('copy')));
        const kept = new Set(bare(copy).map(({ name }) => name));
        expect(bare(copy)).toEqual(bare(chart).filter(({ name }) => kept.has(name)));
        const below = (root: Chart) =>
          recordsOf(root).filter(({ id }) => accountOf(chart, id) !== undefined);
        expect(below(copy)).toEqual([]);
        expect(copy.settings.plan).toEqual(chart.settings.plan);
      }),
      { numRuns: 100 },
    );
  });

  it('taken over whole keeps what is retired, and every setting but restrictions', () => {
    fc.assert(
      fc.property(randomChart(40), (chart) => {
        const copy = after(emptyChart(), copyStructure(chart, counter('copy'), 'whole'));
        const plain = (of: Chart) =>
          recordsOf(of).map(
            ({ id: _id, parentId, settings: { dimensions, ...settings }, ...rest }) => ({
              ...rest,
              settings,
              demanding: dimensions?.length ?? 0,
              parent: parentId === null ? null : accountOf(of, parentId)?.name,
            }),
          );
        expect(plain(copy)).toEqual(plain(chart));
        expect(copy.settings.dimensions.map(({ name }) => name)).toEqual(
          chart.settings.dimensions.map(({ name }) => name),
        );
      }),
      { numRuns: 100 },
    );
  });

  it('carries no bank number, budget or restriction, and names its own dimensions', () => {
    const dimension = { id: 'd', name: 'Market', values: [{ id: 'v', name: 'North' }] };
    const chart = after(aChart('1010 Bank\n6010 Rent'), [
      { type: 'setDimension', id: 'd', dimension, afterId: null },
      {
        type: 'changeSetting',
        id: '1010',
        setting: 'bank',
        value: {
          institution: 'Quay Bank',
          routing: '123',
          accountNumber: '456',
          nextCheque: '',
          nextDeposit: '',
        },
      },
      { type: 'changeSetting', id: '1010', setting: 'restrictedTo', value: ['u'] },
      { type: 'changeSetting', id: '6010', setting: 'budget', value: { per: 'year', amount: 100 } },
      {
        type: 'changeSetting',
        id: '6010',
        setting: 'dimensions',
        value: [{ dimensionId: 'd', valueId: 'v', demanded: true }],
      },
    ]);
    const copy = after(emptyChart(), copyStructure(chart, counter('copy')));
    const [bank, rent] = recordsOf(copy);
    expect(bank?.settings).toEqual({});
    const own = copy.settings.dimensions[0];
    expect(own?.id).not.toBe('d');
    expect(rent?.settings).toEqual({
      dimensions: [{ dimensionId: own?.id, valueId: own?.values[0]?.id, demanded: true }],
    });
  });
});

describe('what is wanted of a starting chart', () => {
  const choice = (answers: Partial<StartingAnswers> = {}) => ({
    industry: 'professionalServices' as const,
    legalForm: 'soleOwner' as const,
    country: 'US' as const,
    answers: { ...usualAnswers('professionalServices'), ...answers },
  });
  const withStock = choice({ has: { ...usualAnswers('professionalServices').has, stock: true } });
  const none = new Set<string>();

  it('is all of it on a new chart, but for what was struck out', () => {
    const groups = composeStartingChart(choice());
    const struck = new Set(['Advertising']);
    expect(unwantedNames(groups, choice(), { living: false, turned: none })).toEqual(none);
    expect(unwantedNames(groups, choice(), { living: false, turned: struck })).toEqual(struck);
  });

  it('is on a living chart only what an answer asks for, and what was ticked', () => {
    const groups = composeStartingChart(withStock);
    const lines = groups.flatMap(({ accounts }) => accounts);
    const wanted = (turned: ReadonlySet<string>): readonly string[] => {
      const unwanted = unwantedNames(groups, withStock, { living: true, turned });
      return lines.map(({ name }) => name).filter((name) => !unwanted.has(name));
    };
    const stock = lines.filter(({ topic }) => topic === 'stock').map(({ name }) => name);
    expect(stock.length).toBeGreaterThan(0);
    expect(wanted(none)).toEqual(stock);
    expect(wanted(new Set(['Advertising']))).toEqual(
      expect.arrayContaining(['Advertising', ...stock]),
    );
    expect(wanted(new Set(stock))).toEqual([]);
  });

  it('has so many accounts more or fewer by each answer, as the chart then has', () => {
    const effects = effectsOf(choice());
    const [before, after] = [choice(), withStock].map((one) =>
      startingCount(composeStartingChart(one)),
    );
    expect(effects.stock).toBe((after ?? 0) - (before ?? 0));
    expect(effectsOf(withStock).stock).toBe(-effects.stock);
  });

  it('has fewer accounts with channels told apart by a dimension', () => {
    const channels = { names: ['Shop', 'Fair'], apart: 'accounts' } as const;
    const { accounts, dimension } = channelCountsOf(choice({ channels }));
    expect(accounts).toBeGreaterThan(dimension);
  });
});
