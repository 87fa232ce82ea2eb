import fc from 'fast-check';
import { emptyChart } from '../chart/build';
import type { Chart } from '../chart/chart';
import { accountOf, recordsOf } from '../chart/queries';
import { applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import { aChart, outlineOf } from '../testing/a-chart';
import { randomChart } from '../testing/random';
import { bringVersion } from './bring-version';
import { driftFrom, keepChart, startFromKept } from './kept-chart';

const counter = (prefix: string) => {
  let count = 0;
  return () => `${prefix}${(count += 1)}`;
};

const after = (chart: Chart, operations: readonly Operation[]): Chart => {
  const outcome = applyAll(chart, operations);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusal));
  return outcome.chart;
};

const MODEL = aChart(`
1000 Cash:
  1010 Bank
6000 Costs:
  6010 Rent
  6020 Fuel`);

const begun = (model: Chart) => {
  const { kept, origin: modelOrigin } = keepChart(model, { origin: {}, newId: counter('k') });
  const { operations, origin } = startFromKept(kept, { newId: counter('c'), groups: [] });
  return { kept, modelOrigin, origin, chart: after(emptyChart(), operations) };
};

const idOf = (chart: Chart, name: string): string =>
  recordsOf(chart).find((account) => account.name === name)?.id ?? '';

describe('a chart that the practice keeps', () => {
  it('begins others that have not moved from it, whatever chart it is', () => {
    fc.assert(
      fc.property(randomChart(40), (model) => {
        const { kept, origin, chart } = begun(model);
        expect(driftFrom(kept, chart, origin)).toEqual({ added: 0, changed: 0, gone: 0 });
      }),
      { numRuns: 100 },
    );
  });

  it('keeps nothing of the books, and nothing that is retired', () => {
    const retired = aChart('6010 Rent\n6020 Old rent', { retired: ['6020'] });
    const budget = { per: 'year', amount: 5 } as const;
    const model = after(retired, [
      { type: 'changeSetting', id: '6010', setting: 'budget', value: budget },
    ]);
    const { kept } = keepChart(model, { origin: {}, newId: counter('k') });
    expect(kept.accounts).toMatchObject([{ name: 'Rent', settings: {} }]);
    const { origin } = keepChart(model, { origin: {}, newId: counter('k') });
    expect(driftFrom(kept, model, origin)).toEqual({ added: 0, changed: 0, gone: 0 });
  });

  it('knows how far a client has moved from it', () => {
    const { kept, origin, chart } = begun(MODEL);
    const moved = after(chart, [
      { type: 'editField', id: idOf(chart, 'Rent'), field: 'name', value: 'Yard rent' },
      { type: 'deleteAccount', id: idOf(chart, 'Fuel') },
      {
        type: 'addAccount',
        account: { ...recordsOf(MODEL)[1], id: 'own', number: '1020', name: 'Till' } as never,
        parentId: idOf(chart, 'Cash'),
        afterId: null,
      },
    ]);
    expect(driftFrom(kept, moved, origin)).toEqual({ added: 1, changed: 1, gone: 1 });
  });

  it('in a new version from the same client knows its accounts again', () => {
    const { kept, origin } = keepChart(MODEL, { origin: {}, newId: counter('k') });
    const renamed = after(MODEL, [
      { type: 'editField', id: '6010', field: 'name', value: 'Premises' },
    ]);
    const next = keepChart(renamed, { origin, newId: counter('n') });
    expect(next.kept.accounts.map(({ id }) => id)).toEqual(kept.accounts.map(({ id }) => id));
  });
});

describe('a newer version brought to a client', () => {
  const versions = (change: (model: Chart) => readonly Operation[]) => {
    const first = begun(MODEL);
    const model = after(MODEL, change(MODEL));
    const { kept: newer } = keepChart(model, { origin: first.modelOrigin, newId: counter('n') });
    const bring = (chart: Chart) =>
      bringVersion(
        chart,
        { older: first.kept, newer },
        { origin: first.origin, newId: counter('b') },
      );
    return { ...first, newer, bring };
  };

  const WIFI = { ...recordsOf(MODEL)[4], id: 'wifi', number: '6030', name: 'Internet' } as never;
  const everything = versions(() => [
    { type: 'addAccount', account: WIFI, parentId: '6000', afterId: '6020' },
    { type: 'editField', id: '6010', field: 'guidance', value: 'The yard alone.' },
    { type: 'deleteAccount', id: '6020' },
  ]);

  it('adds, changes and removes what the version does, and then there is no drift', () => {
    const { chart, bring, newer } = everything;
    const brought = bring(chart);
    const now = after(chart, brought.operations);
    expect(outlineOf(now)).toEqual([
      '1000 Cash',
      '  1010 Bank',
      '6000 Costs',
      '  6010 Rent',
      '  6030 Internet',
    ]);
    expect(brought.left).toBe(0);
    expect(driftFrom(newer, now, brought.origin)).toEqual({ added: 0, changed: 0, gone: 0 });
  });

  it('leaves what the client has changed itself, and counts it', () => {
    const { chart, bring } = everything;
    const rent = idOf(chart, 'Rent');
    const own = after(chart, [{ type: 'editField', id: rent, field: 'guidance', value: 'Ours.' }]);
    const brought = bring({ ...own, posted: new Set([idOf(chart, 'Fuel')]) });
    expect(accountOf(after(own, brought.operations), rent)?.guidance).toBe('Ours.');
    expect(brought.left).toBe(2);
  });

  it('gives a new account the next number where the client has taken its own', () => {
    const { chart, bring } = everything;
    const taken = after(chart, [{ type: 'renumber', id: idOf(chart, 'Bank'), number: '6030' }]);
    const added = recordsOf(after(taken, bring(taken).operations)).find(
      ({ name }) => name === 'Internet',
    );
    expect(added?.number).not.toBe('6030');
  });

  it('of the same version brings nothing', () => {
    const { chart, bring } = versions(() => []);
    expect(bring(chart)).toMatchObject({ operations: [], left: 0 });
  });
});
