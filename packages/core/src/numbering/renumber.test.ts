import { lookAt } from '../findings/all-rules';
import { numberMisfits } from '../findings/rules/number-misfits';
import fc from 'fast-check';
import type { Chart, ChartNode } from '../chart/chart';
import { accountOf, eachNode, recordsOf } from '../chart/queries';
import { isContra } from '../kinds/kinds';
import { apply } from '../operations/apply';
import { aChart, anAccount } from '../testing';
import { chartFrom } from '../chart/build';
import { USUAL_SETTINGS } from '../chart/chart';
import {
  crosswalkTo,
  idsWithin,
  numbersOf,
  replaceLeading,
  shiftNumbers,
  type Crosswalk,
} from './crosswalk';
import { fitNumbers } from './fit';
import { makeRoom } from './make-room';
import {
  blockWidth,
  parseNumber,
  rangeOfKind,
  usualPlan,
  type NumberPlan,
} from '../plan/number-plan';

const PLAN = usualPlan(4);

const fewest = (chart: Chart, plan = PLAN): Crosswalk =>
  crosswalkTo(chart, { plan, movable: null, keep: true });
const afresh = (chart: Chart, plan = PLAN): Crosswalk =>
  crosswalkTo(chart, { plan, movable: null, keep: false });
const told = ({ rows }: Crosswalk): readonly string[] =>
  rows.map(({ from, to, why }) => `${from} → ${to} (${why})`);

const renumbered = (chart: Chart, { rows }: Crosswalk): Chart => {
  const outcome = apply(chart, { type: 'renumberMany', numbers: numbersOf(rows) });
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};

describe('renumbering with the fewest changes', () => {
  it('leaves a chart alone that fits its plan', () => {
    const chart = aChart(`
1000 Cash and bank:
  1010 Operating account [bank]
  1020 Tax reserve [bank]
4010 Taproom sales
4090 Returns [returnsAndDiscounts]
5000 Cost of sales:
  5010 Fruit
`);
    expect(fewest(chart).rows).toEqual([]);
  });

  it('moves the one account that is out of order, not all after it', () => {
    const chart = aChart(`
6010 Rent
6050 Power
6020 Repairs
6030 Insurance
`);
    expect(told(fewest(chart))).toEqual(['6050 → 6015 (outOfOrder)']);
  });

  it('brings a main account into the range of its kind', () => {
    const chart = aChart('7010 Fruit [costOfSales]\n5020 Bottles [costOfSales]');
    expect(told(fewest(chart))).toEqual(['7010 → 5010 (outOfRange)']);
  });

  it('brings a sub-account under its parent’s leading digits', () => {
    const chart = aChart(`
5000 Cost of sales:
  5010 Fruit
  6310 Excise duty [costOfSales]
`);
    expect(told(fewest(chart))).toEqual(['6310 → 5020 (notUnderParent)']);
  });

  it('moves a parent to its sub-accounts rather than the sub-accounts to their parent', () => {
    const chart = aChart(`
6400 Vehicles:
  6210 Fuel
  6220 Insurance
  6230 Repairs
`);
    expect(told(fewest(chart))).toEqual(['6400 → 6200 (subAccountsElsewhere)']);
  });

  it('makes way with as few as possible where there is no room between', () => {
    const chart = aChart('6010 Rent\n9000 Power [operatingExpense]\n6011 Repairs\n6050 Insurance');
    expect(told(fewest(chart))).toEqual(['9000 → 6020 (outOfRange)', '6011 → 6030 (makesRoom)']);
  });

  it('numbers contra accounts last in their group', () => {
    const chart = aChart(`
1500 Equipment: [propertyAndEquipment]
  1510 Accumulated depreciation [accumulatedDepreciation]
  1520 Van [propertyAndEquipment]
`);
    expect(told(fewest(chart))).toEqual(['1510 → 1590 (outOfOrder)']);
  });

  it('gives a number to an account that has none', () => {
    const chart = chartFrom(
      [anAccount('1010', 'Bank'), { ...anAccount('x', 'Till', { kind: 'bank' }), number: null }],
      { settings: { ...USUAL_SETTINGS, numbered: false } },
    );
    expect(told(fewest(chart))).toEqual(['null → 1020 (noNumber)']);
  });

  it('lets two accounts swap numbers in one step', () => {
    const chart = aChart('6020 Rent\n6010 Power');
    const after = renumbered(chart, { ...fewest(chart), rows: [
      { id: '6020', from: '6020', to: '6010', why: 'asAsked' },
      { id: '6010', from: '6010', to: '6020', why: 'asAsked' },
    ] }); // prettier-ignore
    expect(recordsOf(after).map(({ number, name }) => `${number} ${name}`)).toEqual([
      '6010 Rent',
      '6020 Power',
    ]);
  });

  it('says for which accounts the plan has no number', () => {
    const chart = aChart(`
5000 Cost of sales:
  5010 Fruit:
    5011 Apples:
      5012 Bramley
`);
    const { rows, unplaced } = fewest(chart);
    expect(rows).toEqual([]);
    expect(unplaced).toEqual([{ id: '5012', why: 'tooDeep' }]);
  });

  it('says which group has more sub-accounts than its parent’s digits leave numbers for', () => {
    const lines = Array.from({ length: 12 }, (_, index) => `    50${20 + index} Sort ${index}`);
    const chart = aChart(['5000 Cost of sales:', '  5010 Fruit:', ...lines].join('\n'));
    const { unplaced } = fewest(chart);
    expect(unplaced).toHaveLength(12);
    expect(new Set(unplaced.map(({ why }) => why))).toEqual(new Set(['noRoom']));
  });

  it('changes only what is selected', () => {
    const chart = aChart('6050 Rent\n6010 Power\n6020 Repairs');
    const movable = new Set(['6010', '6020']);
    const { rows } = crosswalkTo(chart, { plan: PLAN, movable, keep: true });
    expect(rows.map(({ from, to }) => `${from} → ${to}`)).toEqual(['6010 → 6060', '6020 → 6070']);
  });

  it('only adds the segment that a plan asks for, where the number fits otherwise', () => {
    const plan: NumberPlan = {
      ...PLAN,
      segments: [{ name: 'Shop', width: 2, values: ['01', '02'] }],
    };
    expect(told(fewest(aChart('6010 Wages\n6020-02 Rent\n6030 Power'), plan))).toEqual([
      '6010 → 6010-01 (malformed)',
      '6030 → 6030-01 (malformed)',
    ]);
  });

  it('moves accounts that differ in a segment alone together', () => {
    const plan: NumberPlan = {
      ...PLAN,
      segments: [{ name: 'Shop', width: 2, values: ['01', '02'] }],
    };
    const chart = aChart('6000-01 Rent\n6010-01 Wages\n6010-02 Wages, shop 2');
    expect(told(fewest(chart, plan))).toEqual([]);
    const mixed = aChart('6020-01 Rent\n6010-01 Wages\n6010-02 Wages, shop 2');
    expect(told(fewest(mixed, plan))).toEqual(['6020-01 → 6005-01 (outOfOrder)']);
  });
});

describe('renumbering afresh', () => {
  it('numbers evenly, each account within its parent’s digits', () => {
    const chart = aChart(`
1001 Cash:
  1002 Bank
  1003 Till [cashOnHand]
1004 Receivables [tradeReceivable]
6001 People:
  6002 Wages
6003 Premises:
  6004 Rent
`);
    const after = renumbered(chart, afresh(chart));
    expect(recordsOf(after).map(({ number, name }) => `${number} ${name}`)).toEqual([
      '1000 Cash',
      '1010 Bank',
      '1020 Till',
      '1100 Receivables',
      '6000 People',
      '6010 Wages',
      '6100 Premises',
      '6110 Rent',
    ]);
  });

  it('narrows the step where many stand together', () => {
    const lines = Array.from({ length: 30 }, (_, index) => `  50${10 + index} Sort ${index}`);
    const chart = aChart(['5000 Cost of sales:', ...lines].join('\n'));
    const numbers = recordsOf(renumbered(chart, afresh(chart))).map(({ number }) => number);
    expect(numbers.slice(0, 4)).toEqual(['5000', '5002', '5004', '5006']);
  });
});

describe('renumbering as asked', () => {
  const chart = aChart('6010 Rent\n6020 Power\n5010 Fruit');

  it('adds an amount to the chosen numbers', () => {
    expect(shiftNumbers(chart, ['6010', '6020'], 1000).map(({ to }) => to)).toEqual([
      '7010',
      '7020',
    ]);
  });

  it('replaces leading digits, and leaves numbers alone that begin otherwise', () => {
    const rows = replaceLeading(chart, ['6010', '6020', '5010'], { from: '6', to: '7' });
    expect(rows.map(({ from, to }) => `${from} → ${to}`)).toEqual(['6010 → 7010', '6020 → 7020']);
  });

  it('refuses a number that an account outside the selection bears', () => {
    const numbers = numbersOf(shiftNumbers(chart, ['6010'], 10));
    expect(apply(chart, { type: 'renumberMany', numbers })).toEqual({
      ok: false,
      refusal: {
        code: 'numberTaken',
        accountId: '6010',
        field: 'number',
        value: '6020',
        otherId: '6020',
      },
    });
  });

  it('takes a branch with all below it', () => {
    const tree = aChart('5000 Cost:\n  5010 Fruit\n    5011 Pears\n6000 People');
    expect(idsWithin(tree, ['5010'])).toEqual(['5010', '5011']);
  });
});

describe('making room', () => {
  it('renumbers the fewest neighbours when a new account finds none between them', () => {
    const chart = aChart('6010 Wages\n6011 Bonus\n6012 Training\n6050 Rent');
    const room = makeRoom(chart, anAccount('new', 'Overtime', { kind: 'operatingExpense' }), {
      parentId: null,
      afterId: '6011',
    });
    expect(room).toEqual({
      number: '6020',
      rows: [{ id: '6012', from: '6012', to: '6030', why: 'makesRoom' }],
    });
  });
});

// What a plan asks, written again without regard to how the renumbering finds it.
const fitsPlan = (chart: Chart, plan: NumberPlan): boolean => {
  const valueOf = (node: ChartNode): number => {
    const value = parseNumber(plan, node.account.number)?.value;
    if (value === undefined) throw new Error('every number is of the plan’s shape');
    return value;
  };
  const numbers = recordsOf(chart).map(({ number }) => number);
  if (new Set(numbers).size !== numbers.length) return false;
  const spanOf = (node: ChartNode, level: number): [number, number] => {
    const value = valueOf(node);
    if (node.children.length === 0) return [value, value];
    const width = blockWidth(plan, level);
    const start = Math.floor(value / width) * width;
    return [start, start + width - 1];
  };
  const rises = (nodes: readonly ChartNode[], level: number, above: number): boolean => {
    const ordered = [
      ...nodes.filter(({ account }) => !isContra(account.kind)),
      ...nodes.filter(({ account }) => isContra(account.kind)),
    ];
    let last = above;
    return ordered.every((node) => {
      const [start, end] = spanOf(node, level);
      if (start <= last) return false;
      last = end;
      const value = valueOf(node);
      const within = node.children.every((child) => {
        const [from, to] = spanOf(child, level + 1);
        return from > value && to <= end;
      });
      return within && rises(node.children, level + 1, value);
    });
  };
  return plan.ranges.every((range) => {
    const roots = chart.roots.filter(({ account }) => rangeOfKind(plan, account.kind) === range);
    const inside = roots.every((root) => {
      const [start, end] = spanOf(root, 1);
      return start >= range.first && end <= range.last;
    });
    return inside && rises(roots, 1, range.first - 1);
  });
};

const TINY: NumberPlan = {
  ...usualPlan(2),
  levels: [1, 1],
  step: 1,
  ranges: [
    { name: 'Assets', first: 10, last: 29, kinds: ['bank', 'accumulatedDepreciation'] },
    { name: 'Costs', first: 30, last: 39, kinds: ['operatingExpense'] },
  ],
};

/** Small charts with numbers of two digits, in any disorder. */
const tinyChart = fc
  .array(
    fc.record({
      number: fc.oneof(fc.integer({ min: 10, max: 19 }), fc.integer({ min: 10, max: 39 })),
      below: fc.boolean(),
      kind: fc.constantFrom('bank' as const, 'bank' as const, 'operatingExpense' as const),
      contra: fc.nat(5),
    }),
    { minLength: 1, maxLength: 5 },
  )
  .map((rows) => {
    let parent: { readonly id: string; readonly kind: string } | null = null;
    const seen = new Set<number>();
    const records = rows.flatMap(({ number, below, kind, contra }, index) => {
      if (seen.has(number)) return [];
      seen.add(number);
      const id = `a${index}`;
      const under = below && parent !== null ? parent : null;
      const own = under === null ? kind : under.kind === 'bank' ? 'bank' : 'operatingExpense';
      const record = anAccount(String(number), `Account ${index}`, {
        id,
        kind: own === 'bank' && contra === 0 ? 'accumulatedDepreciation' : own,
        parentId: under?.id ?? null,
      });
      if (under === null) parent = { id, kind };
      return [record];
    });
    return chartFrom(records, { settings: { ...USUAL_SETTINGS, plan: TINY } });
  });

/** The most numbers that can stand, by trying every number for every account. */
const mostKept = (chart: Chart, plan: NumberPlan): number => {
  const records = recordsOf(chart);
  let best = -1;
  const values = Array.from({ length: 30 }, (_, index) => String(10 + index));
  const visit = (index: number, given: Map<string, string>, kept: number): void => {
    const rest = records.length - index;
    if (kept + rest <= best) return;
    const record = records[index];
    if (record === undefined) {
      const numbered = chartFrom(
        records.map((one) => ({ ...one, number: given.get(one.id) ?? null })),
        { settings: chart.settings },
      );
      if (fitsPlan(numbered, plan)) best = kept;
      return;
    }
    const used = new Set(given.values());
    const own = record.number;
    const [low, high] = record.kind === 'operatingExpense' ? [30, 39] : [10, 29];
    const options = [own, ...values.filter((value) => value !== own)];
    for (const value of options) {
      if (value === null || used.has(value)) continue;
      if (Number(value) < low || Number(value) > high) continue;
      visit(index + 1, new Map(given).set(record.id, value), kept + (value === own ? 1 : 0));
    }
  };
  visit(0, new Map(), 0);
  return best;
};

describe('the laws of renumbering', () => {
  it('keeps as many numbers as trying every numbering of small charts does', () => {
    fc.assert(
      fc.property(tinyChart, (chart) => {
        const { rows, unplaced } = fewest(chart, TINY);
        fc.pre(unplaced.length === 0 && recordsOf(chart).length <= 4);
        expect(fitsPlan(renumbered(chart, { rows, unplaced, considered: 0 }), TINY)).toBe(true);
        expect(recordsOf(chart).length - rows.length).toBe(mostKept(chart, TINY));
      }),
      { numRuns: 200 },
    );
  });

  const wildChart = fc
    .array(fc.record({ number: fc.integer({ min: 1000, max: 6999 }), up: fc.nat(5), kind: fc.nat(9) }), {
      minLength: 1,
      maxLength: 60,
    }) // prettier-ignore
    .map((rows) => {
      const kinds = ['bank', 'tradePayable', 'costOfSales', 'operatingExpense', 'saleOfGoods'] as const;
      const path: { id: string; kind: (typeof kinds)[number] }[] = [];
      const seen = new Set<number>();
      const records = rows.flatMap(({ number, up, kind }, index) => {
        if (seen.has(number)) return [];
        seen.add(number);
        path.length = Math.max(Math.min(path.length - (up % 4) + (up > 3 ? 2 : 0), 2, path.length), 0);
        const above = path.at(-1);
        const own = above?.kind ?? kinds[kind % 5] ?? 'bank';
        const id = `a${index}`;
        path.push({ id, kind: own });
        return [anAccount(String(number), `Account ${index}`, { id, kind: own, parentId: above?.id ?? null })];
      });
      return chartFrom(records);
    }); // prettier-ignore

  it.each([
    ['with the fewest changes', true],
    ['afresh', false],
  ])('keeps order, ranges, leading digits and uniqueness %s', (_words, keep) => {
    fc.assert(
      fc.property(wildChart, (chart) => {
        const crosswalk = crosswalkTo(chart, { plan: PLAN, movable: null, keep });
        fc.pre(crosswalk.unplaced.length === 0);
        expect(fitsPlan(renumbered(chart, crosswalk), PLAN)).toBe(true);
      }),
    );
  });

  it('has nothing left to change when done twice', () => {
    fc.assert(
      fc.property(wildChart, (chart) => {
        const crosswalk = fewest(chart);
        const after = renumbered(chart, crosswalk);
        fc.pre(crosswalk.unplaced.length === 0);
        expect(numberMisfits(lookAt(after, { plan: PLAN }))).toEqual([]);
      }),
    );
  });

  it('never changes an account that was not selected, and never takes its number', () => {
    fc.assert(
      fc.property(wildChart, fc.array(fc.nat(59)), (chart, picks) => {
        const ids = recordsOf(chart).map(({ id }) => id);
        const movable = new Set(picks.flatMap((at) => ids[at] ?? []));
        const { rows } = crosswalkTo(chart, { plan: PLAN, movable, keep: true });
        expect(rows.every(({ id }) => movable.has(id))).toBe(true);
        const after = renumbered(chart, { rows, unplaced: [], considered: 0 });
        for (const { account } of eachNode(chart.roots))
          if (!movable.has(account.id))
            expect(accountOf(after, account.id)?.number).toBe(account.number);
      }),
    );
  });

  it('gives every account a number, or says why not', () => {
    fc.assert(
      fc.property(wildChart, (chart) => {
        const { numbers, unplaced } = fitNumbers(chart, { plan: PLAN, movable: null, keep: true });
        expect(numbers.size + unplaced.length).toBe(recordsOf(chart).length);
      }),
    );
  });
});
