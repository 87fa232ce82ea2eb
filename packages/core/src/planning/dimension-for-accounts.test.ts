import fc from 'fast-check';
import type { Chart } from '../chart/chart';
import { eachNode, nodeOf } from '../chart/queries';
import { rollUpOver, ledgerOf } from '../ledger/amounts';
import type { MonthlyTuple } from '../ledger/monthly';
import { applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import { tableBooks, type MonthlyByValue } from '../statements/table-books';
import { withMergedValues } from '../statements/merged-values';
import { aChart } from '../testing/a-chart';
import { accountsForDimension } from './accounts-for-dimension';
import { dimensionForAccounts, toldApart } from './dimension-for-accounts';

const after = (chart: Chart, operations: readonly Operation[]): Chart => {
  const outcome = applyAll(chart, operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};
const ids = (from = 0) => {
  let count = from;
  return { newId: (): string => `id-${(count += 1)}` };
};

const TWICE = `6000 Repairs:
  6010 Shop
  6020 Studio
6100 Cleaning:
  6110 Shop
  6120 Studio
6200 Rent`;
const PERIOD = { first: '2026-01', last: '2026-03' } as const;
const POSTED: readonly MonthlyTuple[] = [
  ['6010', 10_00, 20_00, 0],
  ['6020', 1_00, 0, 3_00],
  ['6110', 5_00, 5_00, 5_00],
  ['6120', 0, 0, 7_00],
  ['6200', 90_00, 90_00, 90_00],
];

const carriedBy = (
  chart: Chart,
  value: string,
  rows: readonly MonthlyTuple[],
  said: MonthlyByValue = new Map(),
): Readonly<Record<string, number>> => {
  const monthly = { first: '2026-01', rows } as const;
  const books = tableBooks(monthly, 1, { byValue: withMergedValues(chart, monthly, said) });
  const rollUp = books.carrying({ only: [value] }, PERIOD);
  return Object.fromEntries(
    [...eachNode(chart.roots)].map((node) => [node.account.id, rollUp.own(node)]),
  );
};
const valueNamed = (chart: Chart, name: string): string => {
  const value = chart.settings.dimensions
    .flatMap(({ values }) => values)
    .find((one) => one.name === name);
  if (value === undefined) throw new Error(name);
  return value.id;
};

describe('what a sub-account says beside the one above it', () => {
  it.each([
    ['Repairs – Eights', 'Boat repairs', 'Eights'],
    ['Repair of eights', 'Repairs', 'Of eights'],
    ['Travel: East', 'Travel', 'East'],
    ['Eights', 'Boat repairs', 'Eights'],
    ['Repairs', 'Repairs', 'Repairs'],
  ])('of “%s” below “%s” is “%s”', (name, above, told) => {
    expect(toldApart(name, above)).toBe(told);
  });
});

describe('sub-accounts that are told apart by a dimension instead', () => {
  const before = aChart(TWICE, { posted: ['6010', '6020', '6110', '6120', '6200'] });
  const now = after(before, dimensionForAccounts(before, ['6000', '6100'], ids()));

  it('leave one account each for what stood above them', () => {
    expect([...eachNode(now.roots)].map(({ account }) => [account.id, account.role])).toEqual([
      ['6000', 'posting'],
      ['6100', 'posting'],
      ['6200', 'posting'],
    ]);
    expect(now.settings.dimensions).toMatchObject([
      { name: 'Shop / Studio', values: [{ name: 'Shop' }, { name: 'Studio' }] },
    ]);
  });

  it('ask for a value from now on', () => {
    expect(nodeOf(now, '6000')?.account.settings.dimensions).toMatchObject([
      { dimensionId: 'id-1', valueId: null, demanded: true },
    ]);
  });

  it('come to what they came to, by value', () => {
    expect(carriedBy(now, valueNamed(now, 'Shop'), POSTED)).toEqual({
      '6000': 30_00,
      '6100': 15_00,
      '6200': 0,
    });
    expect(carriedBy(now, valueNamed(now, 'Studio'), POSTED)).toEqual({
      '6000': 4_00,
      '6100': 7_00,
      '6200': 0,
    });
  });

  it('leave to a posting the value that it says itself', () => {
    const studio = valueNamed(now, 'Studio');
    const said = new Map([
      [studio, { first: '2026-01', rows: [['6010', 0, 8_00, 0]] as MonthlyTuple[] }],
    ]);
    expect(carriedBy(now, valueNamed(now, 'Shop'), POSTED, said)['6000']).toBe(22_00);
    expect(carriedBy(now, studio, POSTED, said)['6000']).toBe(12_00);
  });

  it('use a dimension that tells the same apart already', () => {
    const known = after(before, [
      {
        type: 'setDimension',
        id: 'places',
        dimension: {
          id: 'places',
          name: 'Place',
          values: [
            { id: 'a', name: 'studio' },
            { id: 'b', name: 'Shop' },
          ],
        },
        afterId: null,
      },
    ]);
    const used = after(known, dimensionForAccounts(known, ['6000', '6100'], ids()));
    expect(used.settings.dimensions.map(({ name }) => name)).toEqual(['Place']);
    expect(carriedBy(used, 'b', POSTED)['6000']).toBe(30_00);
  });
});

describe('a dimension that is told apart by sub-accounts instead', () => {
  const before = aChart(TWICE, { posted: ['6010', '6020', '6110', '6120', '6200'] });
  const there = dimensionForAccounts(before, ['6000', '6100'], ids());
  const now = after(before, there);
  const dimensionId = now.settings.dimensions[0]?.id ?? '';
  const back = accountsForDimension(now, '6000', { dimensionId, upTo: 99, ...ids(100) });
  const again = after(now, back);

  it('brings back what was merged for its values, with its number', () => {
    expect(
      nodeOf(again, '6000')?.children.map(({ account }) => [account.number, account.name]),
    ).toEqual([
      ['6010', 'Shop'],
      ['6020', 'Studio'],
    ]);
  });

  it('lets what carries a value count with its account', () => {
    const splits = back.flatMap((one) =>
      one.type === 'split' ? [one.split.choice.value?.valueId] : [],
    );
    expect(splits).toEqual(now.settings.dimensions[0]?.values.map(({ id }) => id));
  });

  it('makes new accounts where a dimension was never anything else', () => {
    const plain = after(aChart('6000 Repairs', { posted: ['6000'] }), [
      {
        type: 'setDimension',
        id: 'places',
        dimension: { id: 'places', name: 'Place', values: [{ id: 'a', name: 'Shop' }] },
        afterId: null,
      },
    ]);
    const made = after(
      plain,
      accountsForDimension(plain, '6000', { dimensionId: 'places', upTo: 5, ...ids() }),
    );
    expect(nodeOf(made, '6000')?.children).toMatchObject([
      { account: { name: 'Shop', kind: 'operatingExpense' } },
    ]);
  });

  it('gives every new account a number, also where its neighbours leave no room', () => {
    const tight = after(aChart('6000 Repairs\n6001 Rent\n6002 Fees', { posted: ['6000'] }), [
      {
        type: 'setDimension',
        id: 'places',
        dimension: {
          id: 'places',
          name: 'Place',
          values: ['Shop', 'Studio', 'Yard'].map((name) => ({ id: name, name })),
        },
        afterId: null,
      },
    ]);
    const asked = { dimensionId: 'places', upTo: 5, ...ids() };
    const made = after(tight, accountsForDimension(tight, '6000', asked));
    const numbers = nodeOf(made, '6000')?.children.map(({ account }) => account.number) ?? [];
    expect(numbers).toHaveLength(3);
    expect(numbers).not.toContain(null);
  });

  it('moves no total, there and back, whatever was posted', () => {
    const months = fc.array(fc.integer({ min: -1e9, max: 1e9 }), { minLength: 3, maxLength: 3 });
    fc.assert(
      fc.property(fc.array(months, { minLength: 5, maxLength: 5 }), (amounts) => {
        const rows = POSTED.map(([id], at): MonthlyTuple => [id, ...(amounts[at] ?? [])]);
        const rollUp = rollUpOver(
          ledgerOf(
            rows.map(([id, ...of]) => [id, of.reduce((a, b) => a + b, 0), of[2] ?? 0, of[2] ?? 0]),
          ),
        );
        const shown = (chart: Chart): readonly number[] =>
          ['6000', '6100'].map((id) => {
            const node = nodeOf(chart, id);
            return node === undefined
              ? NaN
              : rollUp.own(node) + node.children.reduce((so, one) => so + rollUp.own(one), 0);
          });
        expect(shown(now)).toEqual(shown(before));
        expect(shown(again)).toEqual(shown(before));
      }),
    );
  });
});
