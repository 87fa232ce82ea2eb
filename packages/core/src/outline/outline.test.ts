import fc from 'fast-check';
import { emptyChart } from '../chart/build';
import type { Chart } from '../chart/chart';
import { eachNode, parentIdOf, recordsOf, accountOf } from '../chart/queries';
import { elementOf } from '../kinds/kinds';
import { applyAll } from '../operations/apply';
import { aChart } from '../testing';
import { planOutline, type OutlinePlan } from './plan-outline';
import { readOutline } from './read-outline';

const plan = (
  text: string,
  chart: Chart = emptyChart(),
  under: string | null = null,
): OutlinePlan => planOutline(chart, text, { under, newId: (index) => `n${index}` });

const grown = (text: string, chart: Chart = emptyChart(), under: string | null = null): Chart => {
  const outcome = applyAll(chart, plan(text, chart, under).operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};

/** The chart as text: number, name and kind, indented. */
const told = (chart: Chart): readonly string[] =>
  recordsOf(chart).map(({ id, number, name, kind }) => {
    let depth = 0;
    for (let at = parentIdOf(chart, id); at !== null; at = parentIdOf(chart, at)) depth += 1;
    return `${'  '.repeat(depth)}${number ?? '–'} ${name} [${kind}]`;
  });

const problems = (text: string, chart?: Chart) =>
  plan(text, chart).lines.flatMap(({ entry, problem }) =>
    problem === null ? [] : [{ line: entry.line, ...problem }],
  );

describe('what begins a name and is nearly a number', () => {
  const near = (text: string) => readOutline(text)[0]?.nearNumber;

  it('is told, since a letter among its digits makes it part of the name', () => {
    expect([near('6O10 Rent'), near('60l0 Rent'), near('5010a Fruit')]).toEqual([
      '6O10',
      '60l0',
      '5010a',
    ]);
  });

  it('is nothing in names that begin so, or where there is a number', () => {
    expect([
      near('3D printing'),
      near('1st floor rent'),
      near('6010 Rent'),
      near('Rent 6O10'),
    ]).toEqual([null, null, null, null]);
  });
});

describe('reading an outline', () => {
  it.each<[string, string | null, string]>([
    ['5010 Fruit', '5010', 'Fruit'],
    ['5010\tFruit', '5010', 'Fruit'],
    ['5010 - Fruit', '5010', 'Fruit'],
    ['5010: Fruit', '5010', 'Fruit'],
    ['5010. Fruit', '5010', 'Fruit'],
    ['5010-01 Fruit, mill', '5010-01', 'Fruit, mill'],
    ['５０１０　Fruit', '5010', 'Fruit'],
    ['• 5010   Fruit   and  juice', '5010', 'Fruit and juice'],
    ['Fruit', null, 'Fruit'],
    ['- Fruit', null, 'Fruit'],
    ['"1099 contractors"', null, '1099 contractors'],
    ['24-hour service', null, '24-hour service'],
    ['Fruit 2026', null, 'Fruit 2026'],
  ])('takes %j apart', (text, number, name) => {
    expect(readOutline(text)).toMatchObject([{ line: 1, number, name }]);
  });

  it('knows a heading by its colon and a kind by its brackets, in either order of ours', () => {
    expect(readOutline('5000 Cost: [cost of sales]\nBank [bank]\nTill [cashOnHand]')).toMatchObject(
      [
        { heading: true, kind: 'costOfSales', name: 'Cost' },
        { heading: false, kind: 'bank', name: 'Bank' },
        { heading: false, kind: 'cashOnHand', name: 'Till' },
      ],
    );
  });

  it('counts lines as an editor does, and passes over empty ones', () => {
    expect(readOutline('Bank\r\n\r\n   \nRent\r').map(({ line }) => line)).toEqual([1, 4]);
  });

  it('measures tabs, spaces, and spaces of full width', () => {
    expect(readOutline('a\n\tb\n    c\n　　d\n \te').map(({ indent }) => indent)).toEqual([
      0, 4, 4, 4, 4,
    ]);
  });
});

describe('an outline as new accounts', () => {
  it('makes headings of lines with others below, infers kinds, and gives numbers by the plan', () => {
    expect(
      told(
        grown(`
Cash and bank
  Operating account
  Petty cash
Trade receivables
Cost of sales
  Fruit
  Bottles
Premises [operating expense]
  Rent
  Power and water
`),
      ),
    ).toEqual([
      '1000 Cash and bank [bank]',
      '  1010 Operating account [bank]',
      '  1020 Petty cash [cashOnHand]',
      '1100 Trade receivables [tradeReceivable]',
      '5000 Cost of sales [costOfSales]',
      '  5010 Fruit [costOfSales]',
      '  5020 Bottles [costOfSales]',
      '6000 Premises [operatingExpense]',
      '  6010 Rent [operatingExpense]',
      '  6020 Power and water [operatingExpense]',
    ]);
  });

  it('keeps the numbers that are typed, and fits the others between', () => {
    expect(told(grown('6010 Rent\nPower\n6020 Repairs'))).toEqual([
      '6010 Rent [operatingExpense]',
      '6015 Power [operatingExpense]',
      '6020 Repairs [operatingExpense]',
    ]);
  });

  it('takes the nearest shallower line for the parent where a level is skipped', () => {
    const chart = grown('Cost of sales\n        Apples\n    Pears\n        Conference pears');
    const name = (of: string) => recordsOf(chart).find((record) => record.name === of);
    expect(name('Apples')?.parentId).toBe(name('Cost of sales')?.id);
    expect(name('Pears')?.parentId).toBe(name('Cost of sales')?.id);
    expect(name('Conference pears')?.parentId).toBe(name('Pears')?.id);
  });

  it('takes the name of an element for a band, not for an account', () => {
    const chart = grown('Assets\n  Bank\n  Deposits\nLiabilities\n  Deposits from guests\n');
    expect(told(chart)).toHaveLength(3);
    expect(recordsOf(chart).map(({ kind }) => elementOf(kind))).toEqual([
      'asset',
      'asset',
      'liability',
    ]);
  });

  it('stands below a chosen account, and shares its element', () => {
    const chart = grown('Glass\nInterest', aChart('5000 Cost of sales:\n  5010 Fruit'), '5000');
    expect(told(chart)).toEqual([
      '5000 Cost of sales [costOfSales]',
      '  5010 Fruit [costOfSales]',
      '  5020 Glass [costOfSales]',
      '  5030 Interest [financeCost]',
    ]);
  });

  it('gives the system the account that it needs for the results of closed years', () => {
    const chart = grown('Retained earnings');
    expect(recordsOf(chart)[0]?.systemUse).toBe('retainedEarnings');
    const more = planOutline(chart, 'Retained profits', { under: null, newId: () => 'other' });
    expect(more.operations.map(({ account }) => account.systemUse)).toEqual([null]);
  });

  it('says from what each kind was inferred', () => {
    const [, line] = plan('Bank\nFire insurance').lines;
    expect(line?.guess).toMatchObject({ reason: { type: 'words', words: 'insurance' } });
    expect(plan('Rent [bank]').lines[0]?.guess).toBeNull();
  });
});

describe('an outline with mistakes', () => {
  it('names the line, and what is wrong with it', () => {
    expect(problems('6010 Rent\n6010 Power\nRent\n6030 Repairs [wrong kind]')).toEqual([
      { code: 'repeatsLine', field: 'number', line: 1 },
      { code: 'repeatsLine', field: 'name', line: 1 },
      { code: 'unknownKind', words: 'wrong kind', line: 4 },
    ]);
  });

  it('refuses what the chart has already, as the chart would', () => {
    expect(problems('1010 Reserve\nTill', aChart('1010 Bank\n1020 Till'))).toEqual([
      expect.objectContaining({ line: 1, code: 'refused' }),
      expect.objectContaining({ line: 2, code: 'refused' }),
    ]);
  });

  it('leaves out what stands below a line that cannot be, and keeps the others', () => {
    const { lines, operations } = plan('Premises [nonsense]\n  Rent\nWages');
    expect(lines.map(({ problem }) => problem?.code)).toEqual([
      'unknownKind',
      'parentWrong',
      undefined,
    ]);
    expect(operations.map(({ account }) => account.name)).toEqual(['Wages']);
  });

  it('says where the plan has no number', () => {
    const deep = 'Cost of sales\n  Fruit\n    Apples\n      Bramley';
    expect(problems(deep)).toEqual([{ line: 4, code: 'noNumber', why: 'tooDeep' }]);
  });
});

describe('any outline', () => {
  const anyLine = fc.record({
    indent: fc.nat(5),
    tab: fc.boolean(),
    number: fc.option(fc.integer({ min: 1000, max: 6999 })),
    name: fc.string({ maxLength: 20 }),
  });

  it('gives operations that the chart takes, whatever is typed', () => {
    fc.assert(
      fc.property(fc.array(anyLine, { maxLength: 40 }), (lines) => {
        const text = lines
          .map(
            ({ indent, tab, number, name }) =>
              `${(tab ? '\t' : '  ').repeat(indent)}${number ?? ''} ${name}`,
          )
          .join('\n');
        const { operations } = plan(text);
        expect(applyAll(emptyChart(), operations)).toMatchObject({ ok: true });
      }),
    );
  });

  it('accounts for every line that is not empty', () => {
    fc.assert(
      fc.property(fc.array(fc.string(), { maxLength: 30 }), (lines) => {
        const text = lines.join('\n');
        const { lines: understood, operations } = plan(text);
        expect(understood.map(({ entry }) => entry.line)).toEqual(
          readOutline(text).map(({ line }) => line),
        );
        const fine = understood.filter(
          ({ problem, account }) => problem === null && account !== null,
        );
        expect(operations).toHaveLength(fine.length);
      }),
    );
  });

  it('brings thousands of lines in', () => {
    const text = Array.from({ length: 60 }, (_, head) =>
      [
        `Group ${head} [operating expense]`,
        ...Array.from({ length: 40 }, (_one, at) => `  Item ${head}.${at}`),
      ].join('\n'),
    ).join('\n');
    const six = {
      ...emptyChart(),
      settings: {
        ...emptyChart().settings,
        plan: { ...emptyChart().settings.plan, digits: 6, levels: [3, 3] },
      },
    };
    const ranges = six.settings.plan.ranges.map((range) => ({
      ...range,
      first: range.first * 100,
      last: range.last * 100 + 99,
    }));
    const chart = grown(text, {
      ...six,
      settings: { ...six.settings, plan: { ...six.settings.plan, ranges } },
    });
    expect([...eachNode(chart.roots)]).toHaveLength(60 * 41);
    expect(accountOf(chart, 'n1')?.number).toBe('600010');
  });
});
