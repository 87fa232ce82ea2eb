import type { Chart } from '../chart/chart';
import { chartFrom } from '../chart/build';
import { accountOf, CHART_LIMITS } from '../chart/queries';
import { aChart, anAccount, outlineOf } from '../testing/a-chart';
import { apply } from './apply';
import type { Operation } from './operation';
import type { RefusalCode } from './refusal';

const cider = (options: Parameters<typeof aChart>[1] = {}): Chart =>
  aChart(
    `
1000 Cash and bank:
  1010 Operating account
  1020 Tax reserve
3050 Undivided earnings [retainedEarnings]
5000 Cost of sales:
  5010 Fruit
    5011 Pears
6000 People:
  6010 Wages
`,
    options,
  );

const done = (chart: Chart, operation: Operation): Chart => {
  const outcome = apply(chart, operation);
  if (!outcome.ok) throw new Error(`refused: ${outcome.refusal.code}`);
  return outcome.chart;
};

const refusalOf = (chart: Chart, operation: Operation): RefusalCode | null => {
  const outcome = apply(chart, operation);
  return outcome.ok ? null : outcome.refusal.code;
};

const add = (
  number: string,
  name: string,
  place: { parentId: string | null; afterId: string | null },
  more: Parameters<typeof anAccount>[2] = {},
): Operation => {
  const { parentId: _parent, ...account } = anAccount(number, name, more);
  return { type: 'addAccount', account, ...place };
};

describe('addAccount', () => {
  it('puts the account right after its neighbour', () => {
    const chart = done(cider(), add('1015', 'Till', { parentId: '1000', afterId: '1010' }));
    expect(outlineOf(chart).slice(0, 4)).toEqual([
      '1000 Cash and bank',
      '  1010 Operating account',
      '  1015 Till',
      '  1020 Tax reserve',
    ]);
  });

  it('puts it first when there is no neighbour', () => {
    const chart = done(cider(), add('1005', 'Till', { parentId: '1000', afterId: null }));
    expect(outlineOf(chart)[1]).toBe('  1005 Till');
  });

  it.each<[RefusalCode, Operation]>([
    ['accountExists', add('1010', 'Other', { parentId: null, afterId: null })],
    ['parentMissing', add('1015', 'Till', { parentId: 'none', afterId: null })],
    ['neighbourMissing', add('1015', 'Till', { parentId: '1000', afterId: '6010' })],
    ['numberTaken', add('1015', 'Till', { parentId: '1000', afterId: null }, { number: '6010' })],
    [
      'numberMalformed',
      add('1015', 'Till', { parentId: '1000', afterId: null }, { number: '10 15' }),
    ],
    ['numberMissing', add('1015', 'Till', { parentId: '1000', afterId: null }, { number: null })],
    ['nameEmpty', add('1015', '  ', { parentId: '1000', afterId: null })],
    ['nameTaken', add('1015', 'WAGES', { parentId: '1000', afterId: null })],
    ['textTooLong', add('1015', 'x'.repeat(121), { parentId: '1000', afterId: null })],
    ['elementDiffers', add('6015', 'Bonus', { parentId: '1000', afterId: null })],
  ])('refuses with %s', (code, operation) => {
    expect(refusalOf(cider(), operation)).toBe(code);
  });

  it('refuses an open account under a retired one', () => {
    const chart = aChart('6000 People', { retired: ['6000'] });
    const operation = add('6010', 'Wages', { parentId: '6000', afterId: null });
    expect(refusalOf(chart, operation)).toBe('parentRetired');
  });
});

describe('names', () => {
  it('are unique in the chart by default, whatever their case, width and spaces', () => {
    const rename: Operation = {
      type: 'editField',
      id: '6010',
      field: 'name',
      value: 'ｔａｘ  Reserve',
    };
    expect(refusalOf(cider(), rename)).toBe('nameTaken');
  });

  it('may stand twice under different parents where the chart allows it', () => {
    const chart = cider({ settings: { uniqueNames: 'siblings' } });
    const rename: Operation = { type: 'editField', id: '6010', field: 'name', value: 'Pears' };
    expect(refusalOf(chart, rename)).toBeNull();
  });

  it('never stand twice among siblings', () => {
    const chart = cider({ settings: { uniqueNames: 'siblings' } });
    const rename: Operation = {
      type: 'editField',
      id: '1010',
      field: 'name',
      value: 'tax reserve',
    };
    expect(refusalOf(chart, rename)).toBe('nameTaken');
  });

  it('are free again once their account bears another', () => {
    const renamed = done(cider(), { type: 'editField', id: '6010', field: 'name', value: 'Pay' });
    const again: Operation = { type: 'editField', id: '5011', field: 'name', value: 'Wages' };
    expect(refusalOf(renamed, again)).toBeNull();
  });

  it('may change in case alone', () => {
    const operation: Operation = { type: 'editField', id: '6010', field: 'name', value: 'WAGES' };
    expect(refusalOf(cider(), operation)).toBeNull();
  });
});

describe('deleteAccount', () => {
  it('removes an account that nothing hangs on', () => {
    const chart = done(cider(), { type: 'deleteAccount', id: '1020' });
    expect(outlineOf(chart)).not.toContain('  1020 Tax reserve');
  });

  it.each<[RefusalCode, string, Parameters<typeof aChart>[1]]>([
    ['accountMissing', 'none', {}],
    ['hasChildren', '1000', {}],
    ['hasPostings', '1010', { posted: ['1010'] }],
    ['systemAccount', '3050', { system: ['3050'] }],
  ])('refuses with %s', (code, id, options) => {
    expect(refusalOf(cider(options), { type: 'deleteAccount', id })).toBe(code);
  });
});

describe('moveNode', () => {
  describe('when the new parent lies inside the moved branch', () => {
    it('refuses and leaves the chart as it was', () => {
      const chart = cider();
      const before = outlineOf(chart);
      const move: Operation = { type: 'moveNode', id: '5010', parentId: '5011', afterId: null };
      expect(refusalOf(chart, move)).toBe('moveIntoOwnSubtree');
      expect(outlineOf(chart)).toEqual(before);
    });
  });

  it('takes everything below along', () => {
    const move: Operation = { type: 'moveNode', id: '5010', parentId: '6000', afterId: '6010' };
    expect(outlineOf(done(cider(), move)).slice(-4)).toEqual([
      '6000 People',
      '  6010 Wages',
      '  5010 Fruit',
      '    5011 Pears',
    ]);
  });

  it.each<[RefusalCode, Operation]>([
    ['accountMissing', { type: 'moveNode', id: 'none', parentId: null, afterId: null }],
    ['parentMissing', { type: 'moveNode', id: '6010', parentId: 'none', afterId: null }],
    ['neighbourMissing', { type: 'moveNode', id: '6010', parentId: null, afterId: '5010' }],
    ['neighbourMissing', { type: 'moveNode', id: '6010', parentId: '6000', afterId: '6010' }],
    ['elementDiffers', { type: 'moveNode', id: '6010', parentId: '1000', afterId: null }],
  ])('refuses with %s', (code, operation) => {
    expect(refusalOf(cider(), operation)).toBe(code);
  });
});

describe('changeKind', () => {
  it('gives the account the kind', () => {
    const chart = done(cider(), { type: 'changeKind', id: '6010', kind: 'costOfSales' });
    expect(accountOf(chart, '6010')?.kind).toBe('costOfSales');
  });

  it.each<[RefusalCode, Operation, Parameters<typeof aChart>[1]]>([
    ['elementDiffers', { type: 'changeKind', id: '6010', kind: 'bank' }, {}],
    ['elementDiffers', { type: 'changeKind', id: '6000', kind: 'bank' }, {}],
    [
      'systemAccount',
      { type: 'changeKind', id: '3050', kind: 'ownersCapital' },
      { system: ['3050'] },
    ],
  ])('refuses with %s', (code, operation, options) => {
    expect(refusalOf(cider(options), operation)).toBe(code);
  });

  it('refuses to take postings off the statements', () => {
    const chart = aChart('6010 Wages', { posted: ['6010'] });
    const operation: Operation = { type: 'changeKind', id: '6010', kind: 'memorandum' };
    expect(refusalOf(chart, operation)).toBe('memorandumWithPostings');
  });
});

describe('changeRole', () => {
  it('refuses a heading that has postings', () => {
    const operation: Operation = { type: 'changeRole', id: '6010', role: 'heading' };
    expect(refusalOf(cider({ posted: ['6010'] }), operation)).toBe('headingTakesNoPostings');
    expect(refusalOf(cider(), operation)).toBeNull();
  });
});

describe('retire and restore', () => {
  const on = '2026-10-31';

  it('closes an account that has postings and keeps it in the chart', () => {
    const chart = done(cider({ posted: ['6010'] }), { type: 'retire', id: '6010', on });
    expect(accountOf(chart, '6010')?.retiredOn).toBe(on);
  });

  it.each<[RefusalCode, Operation, Parameters<typeof aChart>[1]]>([
    ['hasOpenChildren', { type: 'retire', id: '6000', on }, {}],
    ['alreadyRetired', { type: 'retire', id: '6010', on }, { retired: ['6010'] }],
    ['dateMalformed', { type: 'retire', id: '6010', on: '2026-02-30' }, {}],
    ['systemAccount', { type: 'retire', id: '3050', on }, { system: ['3050'] }],
    ['notRetired', { type: 'restore', id: '6010' }, {}],
    ['parentRetired', { type: 'restore', id: '6010' }, { retired: ['6000', '6010'] }],
  ])('refuses with %s', (code, operation, options) => {
    expect(refusalOf(cider(options), operation)).toBe(code);
  });
});

describe('what a chart may grow to', () => {
  const bank = (at: number) => anAccount(`b${at}`, `Bank ${at}`, { kind: 'bank' });
  /** A chart of so many accounts, each under the one before where it is a `chain`. */
  const grown = (count: number, chain: boolean): Chart =>
    chartFrom(
      Array.from({ length: count }, (_, at) => ({
        ...bank(at),
        parentId: chain && at > 0 ? `b${at - 1}` : null,
      })),
    );
  const beside = (at: number, parentId: string | null): Operation => {
    const { parentId: _parent, ...account } = bank(at);
    return { type: 'addAccount', account, parentId, afterId: null };
  };
  const { accounts, depth } = CHART_LIMITS;

  it('is so many accounts, and one more is refused', () => {
    expect(refusalOf(grown(accounts - 1, false), beside(accounts, null))).toBeNull();
    expect(refusalOf(grown(accounts, false), beside(accounts, null))).toBe('tooManyAccounts');
  });

  it('is so many levels, whether an account is added or moved there', () => {
    const deep = grown(depth, true);
    expect(refusalOf(deep, beside(99, `b${depth - 2}`))).toBeNull();
    expect(refusalOf(deep, beside(99, `b${depth - 1}`))).toBe('tooDeep');
    const two = done(done(deep, beside(98, null)), beside(99, 'b98'));
    const under = (parentId: string): Operation => ({
      type: 'moveNode',
      id: 'b98',
      parentId,
      afterId: null,
    });
    expect(refusalOf(two, under(`b${depth - 2}`))).toBe('tooDeep');
    expect(
      done(done(two, { type: 'deleteAccount', id: `b${depth - 1}` }), under(`b${depth - 3}`)).roots,
    ).toHaveLength(1);
  });
});
