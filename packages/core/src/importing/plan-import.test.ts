import fc from 'fast-check';
import { emptyChart } from '../chart/build';
import type { Chart } from '../chart/chart';
import { accountOf, idByNumber, levelOf, parentIdOf, recordsOf } from '../chart/queries';
import { KINDS } from '../kinds/kinds';
import { apply } from '../operations/apply';
import { aChart, outlineOf } from '../testing/a-chart';
import { adopted, aList, importOf } from '../testing/a-list';
import { randomChart } from '../testing/random';
import type { ImportPlan } from './import-plan';
import type { SourceRow } from './source';

const CHART = aChart(`
1000 Cash and bank:
  1010 Operating account
  1020 Petty cash [cashOnHand]
4000 Sales:
  4010 Taproom sales
5000 Cost of sales:
  5010 Fruit
6000 Running costs:
  6010 Rent
  6020 Insurance`);

const statuses = (plan: ImportPlan) => plan.rows.map(({ status }) => status);

describe('a line of a list that takes postings', () => {
  it('is never a heading of the chart, whatever it is called', () => {
    const plan = importOf(CHART, aList('Number|Name|Balance\n1015|Cash and bank|120.00'));
    expect(plan.rows[0]).toMatchObject({
      status: 'wrong',
      problems: [{ refusal: { code: 'nameTaken', otherId: '1000' } }],
    });
    const apart = importOf(CHART, aList('Number|Name|Balance\n1015|Cash at bank|120.00'));
    expect(apart.rows[0]).toMatchObject({ status: 'new' });
  });

  it('is that heading where it has others below it', () => {
    const list = aList('Name\nCash and bank\n  Operating account\n  Petty cash');
    expect(statuses(importOf(CHART, list))).toEqual(['same', 'same', 'same']);
  });
});

describe('a line without a number', () => {
  it('is asked about where it is called nearly as an account', () => {
    const plan = importOf(CHART, aList('Name|Balance\nOperating acct|120.00\nTeapots|5.00'));
    expect(plan.rows[0]).toMatchObject({ status: 'question', question: { type: 'renamed' } });
    expect(plan.rows[1]).toMatchObject({ status: 'new' });
  });
});

describe('a list on a client without a chart', () => {
  const LIST = aList(`
Number|Name|Type|Balance
|Assets||
1000|Operating account|Bank|1,200.00
1200|Trade debtors|Accounts receivable|300.00
|Expenses||
6000|Rent|Expense|900.00
6100|Sundries|Expense|20.00`);

  it('becomes its accounts in the order of the list, with its numbers and a plan read off them', () => {
    const chart = adopted(emptyChart(), importOf(emptyChart(), LIST));
    expect(outlineOf(chart)).toEqual([
      '1000 Operating account',
      '1200 Trade debtors',
      '6000 Rent',
      '6100 Sundries',
    ]);
    expect(chart.settings.plan.digits).toBe(4);
  });

  it('gets numbers of five digits where four leave no room, and no account stays without', () => {
    const names = Array.from({ length: 120 }, (_one, at) => `  Bank of the ${at}th branch|Bank`);
    const chart = adopted(
      emptyChart(),
      importOf(emptyChart(), aList(['Name|Type', 'Banks|Bank', ...names].join('\n'))),
    );
    const numbers = recordsOf(chart).map(({ number }) => number);
    expect(numbers.every((number) => number?.length === 5)).toBe(true);
    expect(new Set(numbers).size).toBe(121);
  });

  it('says of each kind how sure it is and why', () => {
    const kinds = importOf(emptyChart(), LIST).rows.flatMap(({ kind }) => kind ?? []);
    expect(kinds[0]?.kind).toBe('bank');
    expect(kinds[0]?.confidence).toBeGreaterThan(0.9);
    expect(kinds[2]).toMatchObject({ kind: 'operatingExpense' });
  });

  it('brings balances along, debit positive', () => {
    expect(importOf(emptyChart(), LIST).balances.map(({ amount }) => amount)).toEqual([
      120000, 30000, 90000, 2000,
    ]);
  });

  it('without numbers gets them from the usual plan', () => {
    const rows = aList('Name\nCash at bank\nTrade payables\nSales\nRent expense');
    const numbers = recordsOf(adopted(emptyChart(), importOf(emptyChart(), rows)));
    expect(numbers.map(({ number }) => number?.charAt(0))).toEqual(['1', '2', '4', '6']);
  });

  it('keeps its own numbers also where paths name a heading that has none, which gets the one before', () => {
    const rows = aList(`
Number|Name|Type
6000|Repairs:Boats:Eights|Expense
6010|Repairs:Boats:Sculls|Expense
6020|Repairs:Boathouse|Expense`);
    expect(outlineOf(adopted(emptyChart(), importOf(emptyChart(), rows)))).toEqual([
      '5998 Repairs',
      '  5999 Boats',
      '    6000 Eights',
      '    6010 Sculls',
      '  6020 Boathouse',
    ]);
  });

  it('numbers a heading that has no number before those below it, also where the plan has one after them', () => {
    const groups = Array.from({ length: 20 }, (_, group) => {
      const numbers = Array.from({ length: 25 }, (_own, at) => 10001 + group * 25 + at);
      const own = numbers.slice(1).map((number) => `    Till ${number}|${number}|Asset`);
      return [`  Group ${group}|${numbers[0]}|Asset`, ...own].join('\n');
    });
    const rows = aList(['Name|Number|Type', 'Assets||Asset', ...groups].join('\n'));
    const [assets] = recordsOf(adopted(emptyChart(), importOf(emptyChart(), rows)));
    expect(assets).toMatchObject({ name: 'Assets', number: '10000' });
  });

  it('makes headings of what has others below and no balance', () => {
    const rows = aList(
      'Number|Name|Parent|Type\n6000|Running costs||Expense\n6010|Rent|6000|Expense',
    );
    const chart = adopted(emptyChart(), importOf(emptyChart(), rows));
    expect(recordsOf(chart).map(({ role }) => role)).toEqual(['heading', 'posting']);
  });

  const TRIAL = `
Number|Name|Parent|Type|Balance
1000|Cash||Asset|500.00
1010|Till|1000|Asset|200.00
1020|Banks|1000|Asset|300.00
1021|Quay Street|1020|Asset|120.00
1022|Harbour|1020|Asset|180.00
4000|Sales||Income|-500.00`;

  it('takes amounts of headings that are what stands below them for totals', () => {
    const plan = importOf(emptyChart(), aList(TRIAL));
    const amounts = plan.balances.map(({ amount }) => amount);
    expect(amounts).toEqual([200_00, 120_00, 180_00, -500_00]);
    const roles = recordsOf(adopted(emptyChart(), plan)).map(({ role }) => role);
    expect(roles).toEqual(['heading', 'posting', 'heading', 'posting', 'posting', 'posting']);
    expect(plan.unplaced).toEqual([]);
  });

  it('leaves what is above others its own amount where it is another than theirs', () => {
    const plan = importOf(emptyChart(), aList(TRIAL.replace('500.00', '510.00')));
    expect(plan.balances[0]).toMatchObject({ amount: 510_00 });
    expect(plan.rows[0]).toMatchObject({ role: 'posting' });
  });

  it('tells of an amount that stands on a heading, for nothing of the list is lost unsaid', () => {
    const list = aList(`
Number|Name|Parent|Role|Balance
1000|Cash||Heading|510.00
1010|Till|1000|Posting|200.00
4000|Sales||Posting|-710.00`);
    const plan = importOf(emptyChart(), list);
    expect(plan.unplaced).toMatchObject([{ line: 2, amount: 510_00 }]);
    expect(plan.balances.map(({ amount }) => amount)).toEqual([200_00, -710_00]);
  });

  it('lets all below a heading share its element, whatever their names suggest', () => {
    const rows = aList('Name\nVehicle costs\n  Fuel\n  Vehicles');
    const kinds = importOf(emptyChart(), rows).rows.map(
      ({ kind }) => KINDS[kind?.kind ?? 'bank'].element,
    );
    expect(kinds).toEqual(['expense', 'expense', 'expense']);
  });

  it('knows a contra among the type of its group by name', () => {
    const rows = aList(
      'Number|Name|Type\n1500|Boats|Fixed asset\n1590|Depreciation of boats to date|Fixed asset',
    );
    const kinds = importOf(emptyChart(), rows).rows.map(({ kind }) => kind?.kind);
    expect(kinds).toEqual(['propertyAndEquipment', 'accumulatedDepreciation']);
  });

  it('brought in again leaves kinds as they were understood or put right', () => {
    const rows = aList(
      'Number|Name|Type\n1500|Boats|Fixed asset\n1590|Depreciation of boats to date|Fixed asset\n1600|Club house|Fixed asset',
    );
    const mended = new Map([[4, { kind: 'otherNonCurrentAsset' as const }]]);
    const chart = adopted(emptyChart(), importOf(emptyChart(), rows, { mended }));
    expect(importOf(chart, rows).operations).toEqual([]);
  });

  it('understands a type as the user says', () => {
    const rows = aList('Number|Name|Type\n1000|Main|Zk\n1010|Other|Zk');
    const plan = importOf(emptyChart(), rows, { types: new Map([['Zk', 'bank']]) });
    expect(plan.rows.map(({ kind }) => kind?.kind)).toEqual(['bank', 'bank']);
  });
});

describe('a list lined up with the chart that is there', () => {
  it('finds what is the same, changed, new and missing', () => {
    const plan = importOf(
      CHART,
      aList(`
Number|Name|Parent
1000|Cash and bank|
1010|Operating account|1000
4000|Sales|
4010|Taproom sale|4000
4020|Bottle sales|4000
6015|Rent|6000
6000|Running costs|`),
    );
    expect(statuses(plan)).toEqual(['same', 'same', 'same', 'changed', 'new', 'changed', 'same']);
    expect(plan.rows[3]?.changes).toMatchObject([
      { field: 'name', from: 'Taproom sales', to: 'Taproom sale' },
    ]);
    expect(plan.rows[5]?.changes).toMatchObject([{ field: 'number', from: '6010', to: '6015' }]);
    expect(plan.missing.map(({ account }) => account.number)).toEqual([
      '1020',
      '5000',
      '5010',
      '6020',
    ]);
  });

  it('leaves what it does not say as it is', () => {
    const chart = adopted(CHART, importOf(CHART, aList('Number|Name\n5010|Fruit\n6010|Rent')));
    expect(recordsOf(chart)).toEqual(recordsOf(CHART));
  });

  it('asks about a number that means something else, and does nothing until it is answered', () => {
    const rows = aList('Number|Name\n5010|Motor insurance');
    const plan = importOf(CHART, rows);
    expect(plan.rows[0]?.question).toEqual({ type: 'numberMeansOther', accountId: '5010' });
    expect(plan.operations).toEqual([]);
    const renamed = adopted(CHART, importOf(CHART, rows, { answers: new Map([[2, '5010']]) }));
    expect(accountOf(renamed, '5010')?.name).toBe('Motor insurance');
    const another = adopted(CHART, importOf(CHART, rows, { answers: new Map([[2, null]]) }));
    expect(accountOf(another, '5010')?.name).toBe('Fruit');
    expect(accountOf(another, 'new-0')).toMatchObject({
      name: 'Motor insurance',
      kind: 'operatingExpense',
    });
  });

  it('asks about a name that is only alike under another number', () => {
    const plan = importOf(CHART, aList('Number|Name\n6900|Insurances'));
    expect(plan.rows[0]?.question).toEqual({ type: 'renamed', accountId: '6020' });
  });

  it('lets numbers swap', () => {
    const swapped = adopted(
      CHART,
      importOf(CHART, aList('Number|Name\n6020|Rent\n6010|Insurance')),
    );
    expect([idByNumber(swapped, '6020'), idByNumber(swapped, '6010')]).toEqual(['6010', '6020']);
  });

  it('takes swapped names for swapped numbers, unless the user says which is which', () => {
    const rows = aList('Number|Name\n6010|Insurance\n6020|Rent');
    const plan = importOf(CHART, rows);
    expect(plan.rows.map(({ changes }) => changes[0]?.field)).toEqual(['number', 'number']);
    const said = importOf(CHART, rows, { answers: new Map([[2, '6010'], [3, '6020']]) }); // prettier-ignore
    expect(said.rows.map(({ changes }) => changes.map(({ field }) => field))).toEqual([
      ['name'],
      ['name'],
    ]);
    const chart = adopted(CHART, said);
    expect(['6010', '6020'].map((id) => accountOf(chart, id)?.name)).toEqual(['Insurance', 'Rent']);
  });

  it('lets three names go round', () => {
    const rows = aList('Number|Name\n5010|Rent\n6010|Insurance\n6020|Fruit');
    const answers = new Map([[2, '5010'], [3, '6010'], [4, '6020']]); // prettier-ignore
    const chart = adopted(CHART, importOf(CHART, rows, { answers }));
    const names = ['5010', '6010', '6020'].map((id) => accountOf(chart, id)?.name);
    expect(names).toEqual(['Rent', 'Insurance', 'Fruit']);
  });

  it('refuses a number that an account keeps which the list does not have', () => {
    const plan = importOf(CHART, aList('Number|Name\n6020|Rent'));
    expect(plan.rows[0]).toMatchObject({
      status: 'wrong',
      problems: [{ rule: 'refused', refusal: { code: 'numberTaken', otherId: '6020' } }],
    });
    expect(plan.operations).toEqual([]);
  });

  it('moves an account below the parent that the list states, and keeps its place where it states none', () => {
    const moved = adopted(
      CHART,
      importOf(CHART, aList('Number|Name|Parent\n6020|Insurance|5000\n5000|Cost of sales|')),
    );
    expect(parentIdOf(moved, '6020')).toBe('5000');
  });

  it('puts a new account where its number belongs', () => {
    const rows = aList('Number|Name|Parent\n6000|Running costs|\n6012|Rates|6000');
    const chart = adopted(CHART, importOf(CHART, rows));
    expect(outlineOf(chart).slice(-3)).toEqual(['  6010 Rent', '  6012 Rates', '  6020 Insurance']);
  });

  it('retires or deletes what is missing as the user says, and says where that cannot be', () => {
    const posted = { ...CHART, posted: new Set(['6010']) };
    const rows = aList('Number|Name\n1010|Operating account');
    const plan = importOf(posted, rows, {
      fates: new Map([['6010', 'delete'], ['6020', 'delete'], ['5010', 'retire']]),
    }); // prettier-ignore
    const chart = adopted(posted, plan);
    expect(accountOf(chart, '6020')).toBeUndefined();
    expect(accountOf(chart, '5010')?.retiredOn).toBe('2026-11-25');
    expect(plan.missing.find(({ account }) => account.id === '6010')?.refusal?.code).toBe(
      'hasPostings',
    );
  });

  it('leaves alone what was merged, and knows accounts by what they were called before', () => {
    const outcome = apply(CHART, { type: 'merge', id: '6020', into: '6010', acrossKinds: false });
    if (!outcome.ok) throw new Error('merged');
    const plan = importOf(outcome.chart, aList('Number|Name\n6020|Insurance\n4010|Bar takings'), {
      former: [{ accountId: '4010', number: '4010', name: 'Bar takings' }],
    });
    expect(plan.rows.map(({ status }) => status)).toEqual(['merged', 'changed']);
  });

  it('sets budgets, and none twice', () => {
    const rows = aList('Number|Name|Budget\n6010|Rent|12,000.00');
    const chart = adopted(CHART, importOf(CHART, rows));
    expect(accountOf(chart, '6010')?.settings.budget).toEqual({ per: 'year', amount: 1200000 });
    expect(importOf(chart, rows).operations).toEqual([]);
  });
});

describe('a row that is wrong', () => {
  const problemsOf = (text: string) =>
    importOf(emptyChart(), aList(text)).rows.map(({ problems }) => problems[0]?.rule ?? null);

  it('names its line, its cell and the rule, and the others go on', () => {
    const plan = importOf(
      emptyChart(),
      aList('Number|Name|Balance\n1000|Cash|12.345\n1000|Bank|1.00\n10 10!|Till|\n1020|Safe|5.00'),
    );
    expect(plan.rows.map(({ entry, problems }) => [entry.line, problems[0]])).toMatchObject([
      [2, { use: 'balance', rule: 'amountMalformed', text: '12.345' }],
      [3, { use: 'number', rule: 'numberRepeated', otherLine: 2 }],
      [4, { use: 'number', rule: 'numberMalformed', text: '10 10!' }],
      [5, undefined],
    ]);
    expect(plan.operations.filter(({ type }) => type === 'addAccount')).toHaveLength(1);
  });

  it('has an amount beyond what can be counted: it is refused at the row, and nothing breaks', () => {
    const list = `Number|Name|Balance\n1000|Cash|90071992547409.93\n1010|Bank|99999999999999999999\n1020|Safe|5.00`;
    expect(
      importOf(emptyChart(), aList(list)).rows.map(({ problems }) => problems[0]?.rule),
    ).toEqual(['amountTooLarge', 'amountTooLarge', undefined]);
  });

  it('takes what is below it along, which says so', () => {
    expect(problemsOf('Number|Name|Parent\n10 !|Cash|\n1010|Till|Cash')).toEqual([
      'numberMalformed',
      'parentWrong',
    ]);
  });

  it('may be of another element than its parent, and can be taken out from under it', () => {
    const rows = aList('Number|Name|Parent|Type\n6000|Costs||Expense\n6010|Loan|6000|Liability');
    expect(importOf(emptyChart(), rows).rows[1]?.problems).toEqual([
      { rule: 'elementDiffers', parent: 'Costs' },
    ]);
    const mended = importOf(emptyChart(), rows, { mended: new Map([[3, { alone: true }]]) });
    expect(mended.rows[1]).toMatchObject({ status: 'new', level: 1 });
  });

  it('can be mended on the spot, cell by cell, or left out', () => {
    const rows = aList('Number|Name\n1000|Cash\n1000|Bank\n1020|');
    const plan = importOf(emptyChart(), rows, {
      mended: new Map([[3, { cells: { number: '1010' } }], [4, { leftOut: true }]]),
    }); // prettier-ignore
    expect(statuses(plan)).toEqual(['new', 'new', 'leftOut']);
  });

  it('is never done by halves: where a name cannot be given, the number stays as it was too', () => {
    const rows = aList('Number|Name\n6011|Insurance');
    const plan = importOf(CHART, rows, { answers: new Map([[2, '6010']]) });
    expect(statuses(plan)).toEqual(['wrong']);
    expect(plan.operations).toEqual([]);
  });
});

/** A chart as a list, as the exchange writes it. */
const listed = (chart: Chart): readonly SourceRow[] => [
  { line: 1, cells: ['Number', 'Name', 'Level', 'Parent', 'Role', 'Kind', 'Guidance', 'Retired on'] },
  ...recordsOf(chart).map((account, index) => {
    const parent = account.parentId === null ? undefined : accountOf(chart, account.parentId);
    const { number, name, role, kind, guidance, retiredOn } = account;
    const cells = [number ?? '', name, String(levelOf(chart, account.id)), parent?.number ?? parent?.name ?? ''];
    return { line: index + 2, cells: [...cells, role, KINDS[kind].name, guidance, retiredOn ?? ''] };
  }),
]; // prettier-ignore

describe('any chart', () => {
  it('written as a list and lined up with itself changes nothing', () => {
    fc.assert(
      fc.property(randomChart(40), (chart) => {
        const plan = importOf(chart, listed(chart));
        expect(plan.operations).toEqual([]);
        expect(new Set(statuses(plan))).toEqual(
          new Set(recordsOf(chart).length > 0 ? ['same'] : []),
        );
      }),
      { numRuns: 150 },
    );
  });

  it('comes out of its list on an empty client as it went in, and the list again changes nothing', () => {
    fc.assert(
      fc.property(randomChart(40), (chart) => {
        const plan = importOf(emptyChart(), listed(chart));
        const made = adopted(emptyChart(), plan);
        const bare = (of: Chart) =>
          recordsOf(of).map(({ number, name, role, kind, guidance, retiredOn, parentId }) => ({
            number, name, kind, guidance, retiredOn,
            role: kind === 'retainedEarnings' ? '' : role,
            parent: parentId === null ? null : accountOf(of, parentId)?.name,
          })); // prettier-ignore
        expect(bare(made)).toEqual(bare(chart));
        expect(importOf(made, listed(made)).operations).toEqual([]);
      }),
      { numRuns: 150 },
    );
  });
});
