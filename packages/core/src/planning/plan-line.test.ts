import fc from 'fast-check';
import type { Chart } from '../chart/chart';
import { rollUpOver } from '../ledger/amounts';
import { applyAll, inverseOf } from '../operations/apply';
import { aChart } from '../testing/a-chart';
import { randomChart } from '../testing/random';
import { buildStatement } from '../statements/build';
import { planLineKind, planLineStep, type LinePlan, type StatementLine } from './plan-line';
import { planLineOnto, type LinePlace } from './plan-line-onto';

const CIDER = aChart(
  [
    '1010 Bank [bank]',
    '1100 Debtors [tradeReceivable]',
    '1500 Press [propertyAndEquipment]',
    '1590 Worn so far [accumulatedDepreciation]',
    '4010 Taproom [saleOfGoods]',
    '4020 Wholesale [saleOfGoods]',
    '5010 Fruit [costOfSales]',
    '6000 Running costs: [operatingExpense]',
    '  6010 Rent [operatingExpense]',
    '  6020 Fuel [operatingExpense]',
    '  6030 Excise duty [operatingExpense]',
  ].join('\n'),
);

const STATEMENTS = ['profitAndLoss', 'balanceSheet'] as const;

const linesOf = (chart: Chart): readonly string[] =>
  STATEMENTS.flatMap((code) =>
    buildStatement(
      code,
      { chart, rollUp: rollUpOver(new Map()) },
      { depth: Infinity, zeroLines: true },
    ).rows.map(({ key }) => key),
  );

const after = (chart: Chart, plan: LinePlan): Chart => {
  if (!plan.ok) throw new Error(plan.why);
  const outcome = applyAll(chart, plan.operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};

const line = (section: StatementLine['section'], accountId: string): StatementLine => ({
  section,
  accountId,
});

describe('a line moved on the statement', () => {
  it('moves its account among its neighbours', () => {
    const moved = after(CIDER, planLineStep(CIDER, line('revenue', '4020'), 'up'));
    expect(linesOf(moved).slice(1, 3)).toEqual(['revenue/4020', 'revenue/4010']);
  });

  it('stays at the edge of its group', () => {
    expect(planLineStep(CIDER, line('operatingExpenses', '6030'), 'down')).toEqual({
      ok: false,
      why: 'edge',
    });
  });

  it.each([
    ['currentAssets', '1100', 'up'],
    ['nonCurrentAssets', '1590', 'up'],
  ] as const)('stays where the kinds order the lines: %s %s', (section, id, direction) => {
    expect(planLineStep(CIDER, line(section, id), direction)).toEqual({
      ok: false,
      why: 'orderOfKinds',
    });
  });

  it('steps back to the statement of before, on any chart', () => {
    fc.assert(
      fc.property(randomChart(25), fc.nat(), fc.boolean(), (bare, drawn, up) => {
        // Nothing is posted here: what is retired is out of sight.
        const chart: Chart = { ...bare, posted: new Set() };
        const before = linesOf(chart);
        const lines = before.flatMap((key) => {
          const [section = '', id, more] = key.split('/');
          const isLine = more === undefined && !['sum', 'title', 'total', 'group', 'result'].includes(section); // prettier-ignore
          return isLine ? line(section as StatementLine['section'], id ?? '') : [];
        });
        const at = lines[drawn % Math.max(lines.length, 1)];
        if (at === undefined) return;
        const plan = planLineStep(chart, at, up ? 'up' : 'down');
        if (!plan.ok) return;
        const moved = after(chart, plan);
        expect(linesOf(moved)).not.toEqual(before);
        const back = after(moved, planLineStep(moved, at, up ? 'down' : 'up'));
        expect(linesOf(back)).toEqual(before);
      }),
    );
  });
});

describe('a line sent to another section', () => {
  it('takes the kind that leads there, and stays under its heading', () => {
    const plan = planLineKind(CIDER, line('operatingExpenses', '6030'), 'costOfSales');
    const moved = linesOf(after(CIDER, plan));
    expect(moved).toContain('costOfSales/6030');
    expect(moved).not.toContain('operatingExpenses/6030');
  });

  it('takes along all that a heading holds there', () => {
    const plan = planLineKind(CIDER, line('operatingExpenses', '6000'), 'otherExpense');
    const moved = linesOf(after(CIDER, plan));
    expect(moved.filter((key) => key.startsWith('otherIncomeAndCosts/60'))).toHaveLength(3);
  });

  it('leaves its parent where it crosses to another element', () => {
    const plan = planLineKind(CIDER, line('operatingExpenses', '6020'), 'prepaidExpense');
    expect(linesOf(after(CIDER, plan))).toContain('currentAssets/6020');
  });

  it('does nothing where it is of that kind already', () => {
    const plan = planLineKind(CIDER, line('costOfSales', '5010'), 'costOfSales');
    expect(plan).toEqual({ ok: false, why: 'nothing' });
  });
});

describe('a line put onto another', () => {
  const put = (from: string, target: string, where: LinePlace): Chart => {
    const [a = '', b = ''] = [from, target];
    const of = (key: string): StatementLine => {
      const [section = '', accountId = ''] = key.split('/');
      return line(section as StatementLine['section'], accountId);
    };
    return after(CIDER, planLineOnto(CIDER, { line: of(a), target: of(b), where }));
  };
  const nearby = (chart: Chart, key: string): readonly string[] => {
    const lines = linesOf(chart);
    const at = lines.indexOf(key);
    return lines.slice(at - 1, at + 2);
  };

  it('stands beside it, in its group, with a number among its neighbours', () => {
    const moved = put('operatingExpenses/6030', 'operatingExpenses/6010', 'before');
    expect(nearby(moved, 'operatingExpenses/6030')).toEqual([
      'title/operatingExpenses',
      'operatingExpenses/6030',
      'operatingExpenses/6010',
    ]);
  });

  it('takes the kind that leads to another section, beside its lines', () => {
    const moved = put('operatingExpenses/6030', 'costOfSales/5010', 'behind');
    expect(nearby(moved, 'costOfSales/6030').slice(0, 2)).toEqual([
      'costOfSales/5010',
      'costOfSales/6030',
    ]);
    expect(linesOf(moved)).not.toContain('operatingExpenses/6030');
  });

  it('goes into the group that another heads', () => {
    const moved = put('costOfSales/5010', 'operatingExpenses/6000', 'into');
    expect(linesOf(moved)).toContain('operatingExpenses/5010');
  });

  it('stays where the order of kinds wants it, and within itself', () => {
    const contra = planLineOnto(CIDER, {
      line: line('nonCurrentAssets', '1590'),
      target: line('nonCurrentAssets', '1500'),
      where: 'before',
    });
    expect(contra).toEqual({ ok: false, why: 'orderOfKinds' });
    const inside = planLineOnto(CIDER, {
      line: line('operatingExpenses', '6000'),
      target: line('operatingExpenses', '6010'),
      where: 'behind',
    });
    expect(inside).toEqual({ ok: false, why: 'nothing' });
  });

  const PLACES: readonly LinePlace[] = ['before', 'behind', 'into'];

  /** Every way in which a line of the chart can be put onto another. */
  const putsOf = (chart: Chart) => {
    const lines = linesOf(chart)
      .filter(
        (key) => /^[a-zA-Z]+\/[^/]+$/.test(key) && !/^(title|sum|total|group|result)\//.test(key),
      )
      .map((key) => {
        const [section = '', id = ''] = key.split('/');
        return line(section as StatementLine['section'], id);
      });
    return lines.flatMap((one) =>
      lines.flatMap((target) =>
        PLACES.flatMap((where) => {
          const plan = planLineOnto(chart, { line: one, target, where });
          if (!plan.ok) return [];
          const outcome = applyAll(chart, plan.operations);
          return outcome.ok ? [{ at: `${target.section}/${one.accountId}`, outcome }] : [];
        }),
      ),
    );
  };

  it('stands where it was put, and the inverse brings the statement of before back, on any chart', () => {
    const drawn = randomChart(20)
      .map((chart) => ({ chart, puts: putsOf(chart) }))
      .filter(({ puts }) => puts.length > 0)
      .chain(({ chart, puts }) =>
        fc.record({ chart: fc.constant(chart), put: fc.constantFrom(...puts) }),
      );
    fc.assert(
      fc.property(drawn, ({ chart, put }) => {
        expect(linesOf(put.outcome.chart)).toContain(put.at);
        const back = applyAll(put.outcome.chart, inverseOf(put.outcome.landed));
        if (!back.ok) throw new Error(back.refusal.code);
        expect(linesOf(back.chart)).toEqual(linesOf(chart));
      }),
      { numRuns: 100 },
    );
  });
});
