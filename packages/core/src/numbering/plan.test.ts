import fc from 'fast-check';
import { USUAL_SETTINGS } from '../chart/chart';
import { type KIND_CODES } from '../kinds/kinds';
import { apply } from '../operations/apply';
import { aChart } from '../testing';
import { inferPlan } from './infer-plan';
import {
  blockWidth,
  formatNumber,
  parseNumber,
  planProblems,
  rangeOfKind,
  usualPlan,
  type NumberPlan,
} from '../plan/number-plan';
import { rangeFills } from './range-fill';

const SHOPS: NumberPlan = {
  ...usualPlan(4),
  segments: [{ name: 'Shop', width: 2, values: ['01', '02'] }],
};

describe('a number plan', () => {
  it.each([2, 3, 4, 5, 6, 7, 8, 10])('is usable in %i digits as it comes', (digits) => {
    expect(planProblems(usualPlan(digits))).toEqual([]);
  });

  // Revenue in the 4000s, cost of sales in the 5000s, assets from 1000, liabilities from 2000:
  // common practice, no source.
  it('has assets from 1000, liabilities from 2000, revenue from 4000, cost of sales from 5000', () => {
    const first = (kind: (typeof KIND_CODES)[number]) => rangeOfKind(usualPlan(4), kind)?.first;
    expect([
      first('bank'),
      first('tradePayable'),
      first('ownersCapital'),
      first('saleOfGoods'),
      first('costOfSales'),
      first('operatingExpense'),
    ]).toEqual([1000, 2000, 3000, 4000, 5000, 6000]);
  });

  it('gives each level its digits', () => {
    expect([1, 2, 3].map((level) => blockWidth(usualPlan(4), level))).toEqual([100, 10, 1]);
  });

  it('takes a number with segments apart and writes it again', () => {
    expect(parseNumber(SHOPS, '6010-02')).toEqual({ value: 6010, suffix: '-02' });
    expect(formatNumber(SHOPS, 6020, '-02')).toBe('6020-02');
  });

  it.each(['601', '60100', '6010', '6010-03', '6010-1', '6010/01', 'A010-01', ''])(
    'knows that %s is not of its shape',
    (number) => expect(parseNumber(SHOPS, number)).toBeNull(),
  );

  it('reads back every number that it writes', () => {
    fc.assert(
      fc.property(fc.nat(9999), fc.constantFrom('-01', '-02'), (value, suffix) => {
        expect(parseNumber(SHOPS, formatNumber(SHOPS, value, suffix))).toEqual({ value, suffix });
      }),
    );
  });

  const [assets, liabilities, ...rest] = usualPlan(4).ranges;
  if (assets === undefined || liabilities === undefined) throw new Error('the plan has ranges');
  it.each<[string, Partial<NumberPlan>, object]>([
    ['too many digits', { digits: 11, levels: [11] }, { code: 'digitsOutOfBounds' }],
    ['levels that do not add up', { levels: [2, 1] }, { code: 'levelsDoNotAddUp' }],
    ['no step', { step: 0 }, { code: 'stepNotPositive' }],
    [
      'ranges that overlap',
      { ranges: [assets, { ...liabilities, first: 1900 }, ...rest] },
      { code: 'rangesOverlap', index: 1, other: 0 },
    ],
    [
      'a range that ends before it begins',
      { ranges: [{ ...assets, first: 1900, last: 1800 }, liabilities, ...rest] },
      { code: 'rangeUpsideDown', index: 0 },
    ],
    [
      'a range beyond its digits',
      { ranges: [assets, { ...liabilities, first: 12000, last: 12999 }, ...rest] },
      { code: 'rangeOutsideDigits', index: 1 },
    ],
    [
      'a kind in two ranges',
      { ranges: [assets, { ...liabilities, kinds: [...liabilities.kinds, 'bank'] }, ...rest] },
      { code: 'kindInTwoRanges', index: 1, kind: 'bank' },
    ],
    ['a kind without a range', { ranges: [liabilities, ...rest] }, { code: 'kindWithoutRange' }],
    [
      'a segment value of another width',
      { segments: [{ name: 'Shop', width: 2, values: ['1'] }] },
      { code: 'segmentValue', index: 0 },
    ],
    [
      'a separator that numbers may hold themselves',
      { segments: [{ name: 'Shop', width: 1, values: ['1'] }], separator: '0' },
      { code: 'separatorMalformed' },
    ],
  ])('is refused with %s', (_words, change, problem) => {
    const plan = { ...usualPlan(4), ...change };
    expect(planProblems(plan)).toContainEqual(expect.objectContaining(problem));
    expect(apply(aChart('1010 Bank'), { type: 'setPlan', plan, numbered: true }).ok).toBe(false);
  });

  it('does not ask for numbers while an account has none', () => {
    const bare = apply(aChart('1010 Bank'), {
      type: 'setPlan',
      plan: usualPlan(4),
      numbered: false,
    });
    if (!bare.ok) throw new Error('a chart may do without numbers');
    const none = apply(bare.chart, { type: 'renumber', id: '1010', number: null });
    if (!none.ok) throw new Error('an unnumbered chart needs no number');
    expect(
      apply(none.chart, { type: 'setPlan', plan: usualPlan(4), numbered: true }),
    ).toMatchObject({ ok: false, refusal: { code: 'numberMissing', accountId: '1010' } });
  });
});

describe('the plan that a chart’s numbers seem to follow', () => {
  it('has their length, and the digits that each level adds', () => {
    const plan = inferPlan(
      aChart(`
10000 Cash:
  10100 Bank
    10101 Reserve
  10200 Till
50000 Cost of sales:
  50100 Fruit
`),
    );
    expect([plan.digits, plan.levels, plan.step]).toEqual([5, [2, 2, 1], 100]);
  });

  it('has each kind where most of its main accounts stand', () => {
    const plan = inferPlan(aChart('1010 Bank\n7010 Interest [investmentIncome]\n6010 Rent'));
    expect(rangeOfKind(plan, 'investmentIncome')).toMatchObject({ first: 7000, last: 7999 });
    expect(rangeOfKind(plan, 'operatingExpense')).toMatchObject({ first: 6000, last: 6999 });
  });

  it('has segments where nearly all numbers share them', () => {
    const plan = inferPlan(
      aChart('1010-01 Bank\n4010-01 Sales\n4010-02 Sales, mill\n6010-02 Rent'),
    );
    expect(plan.segments).toEqual([{ name: 'Segment 1', width: 2, values: ['01', '02'] }]);
    expect(plan.separator).toBe('-');
  });

  it('does not take leading digits for a rule where most sub-accounts ignore them', () => {
    const plan = inferPlan(
      aChart('1000 Cash:\n  2010 Bank [bank]\n  3010 Till [bank]\n  4010 Safe [bank]'),
    );
    expect(plan.underParent).toBe(false);
  });

  it('can be used, whatever the numbers', () => {
    fc.assert(
      fc.property(
        fc.array(fc.stringMatching(/^[0-9A-Z]{1,8}([.-][0-9]{1,3})?$/), { maxLength: 30 }),
        (numbers) => {
          const text = [...new Set(numbers)].map((number) => `${number} Account [bank]`).join('\n');
          const settings = { ...USUAL_SETTINGS, uniqueNames: 'siblings' as const };
          expect(planProblems(inferPlan(aChart(text, { settings })))).toEqual([]);
        },
      ),
    );
  });
});

describe('how full the ranges are', () => {
  it('counts the numbers in use in each range and in twentieths of it', () => {
    const [assets] = rangeFills(aChart('1010 Bank\n1020 Till\n1990 Deposit'), usualPlan(4));
    expect(assets).toMatchObject({ used: 3, size: 1000 });
    expect(assets?.parts).toEqual([2, ...Array.from({ length: 18 }, () => 0), 1]);
  });
});
