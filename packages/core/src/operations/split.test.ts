import type { Chart, Split } from '../chart/chart';
import { accountOf, nodeOf, splitsOf } from '../chart/queries';
import { planSplit } from '../planning/plan-split';
import { rollUpOver } from '../ledger/amounts';
import { aChart, outlineOf } from '../testing';
import { apply, applyAll, invert, rebase } from './apply';
import type { Operation } from './operation';

const ORCHARD = `
1010 Bank
4010 Sales
6000 Operating:
  6010 Supplies
  6020 Rent
`;
const orchard = (): Chart => aChart(ORCHARD, { posted: ['1010', '4010', '6010'] });

const ALL = { first: null, last: null, sources: [], words: '', value: null, upTo: 99 } as const;
const LABELS = { ...ALL, words: 'labels' } as const;

const aSplit = (more: Partial<Split> = {}): Split => ({
  id: 's1',
  from: '6010',
  into: '6020',
  choice: LABELS,
  ...more,
});
const splitting = (more: Partial<Split> = {}): Operation => ({
  type: 'split',
  split: aSplit(more),
});

const after = (chart: Chart, ...operations: Operation[]): Chart => {
  const outcome = applyAll(chart, operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};
const codeOf = (chart: Chart, ...operations: Operation[]): string | undefined => {
  const outcome = applyAll(chart, operations);
  return outcome.ok ? undefined : outcome.refusal.code;
};

const plain = (amount: number) => ({ balance: amount, change: amount, yearChange: amount });
const LEDGER = new Map([
  ['1010', plain(50)],
  ['4010', plain(-150)],
  ['6010', plain(100)],
  ['s1', plain(30)],
]);
const totalOf = (chart: Chart, id: string): number => {
  const node = nodeOf(chart, id);
  if (node === undefined) throw new Error(`no account ${id}`);
  return rollUpOver(LEDGER).total(node);
};

describe('splitting an account', () => {
  it('counts the chosen postings with the other account, and the total above stays', () => {
    const chart = after(orchard(), splitting());
    expect(totalOf(chart, '6010')).toBe(70);
    expect(totalOf(chart, '6020')).toBe(30);
    expect(totalOf(chart, '6000')).toBe(100);
  });

  it('is taken back as if it had not been', () => {
    const chart = after(orchard(), splitting());
    const back = after(chart, invert(splitting(), orchard()));
    expect(totalOf(back, '6010')).toBe(100);
    expect(splitsOf(back)).toEqual([]);
  });

  it('goes with the postings of an account that is merged, and comes back with them', () => {
    const start = aChart(`${ORCHARD}  6030 Packaging\n`, { posted: ['6010'] });
    const merge: Operation = { type: 'merge', id: '6010', into: '6030', acrossKinds: false };
    const chart = after(start, splitting(), merge);
    expect(totalOf(chart, '6030')).toBe(70);
    const apart = after(chart, invert(merge, after(start, splitting())));
    expect(totalOf(apart, '6030')).toBe(0);
    expect(totalOf(apart, '6010')).toBe(70);
  });

  it('comes to nothing where both ends are merged into one account', () => {
    const start = after(orchard(), splitting());
    const merge: Operation = { type: 'merge', id: '6020', into: '6010', acrossKinds: false };
    expect(totalOf(after(start, merge), '6010')).toBe(100);
  });

  describe('what it refuses', () => {
    it('itself as the target', () => {
      expect(codeOf(orchard(), splitting({ into: '6010' }))).toBe('splitIntoItself');
    });

    it('a heading at either end, or one end off the statements', () => {
      expect(codeOf(orchard(), splitting({ into: '6000' }))).toBe('headingTakesNoPostings');
      expect(codeOf(orchard(), splitting({ from: '6000' }))).toBe('headingTakesNoPostings');
      const guarantees = aChart(`${ORCHARD}9010 Guarantees [memorandum]`);
      expect(codeOf(guarantees, splitting({ into: '9010' }))).toBe('memorandumWithPostings');
    });

    it('no account because it is retired: what is moved was posted before', () => {
      const retired = aChart(ORCHARD, { retired: ['6020'] });
      expect(codeOf(retired, splitting())).toBeUndefined();
    });

    it('an account that is not there', () => {
      expect(codeOf(orchard(), splitting({ into: '9999' }))).toBe('accountMissing');
      expect(codeOf(orchard(), splitting({ from: '9999' }))).toBe('accountMissing');
    });

    it('dates that end before they begin, or are none', () => {
      const backwards = { ...ALL, first: '2026-05-01', last: '2026-04-30' };
      expect(codeOf(orchard(), splitting({ choice: backwards }))).toBe('choiceWrong');
      const noDate = { ...ALL, first: '2026-02-30' };
      expect(codeOf(orchard(), splitting({ choice: noDate }))).toBe('choiceWrong');
    });

    it('bringing postings into an account that was split already', () => {
      const first = splitting({ id: 's2', from: '6020', into: '6010' });
      expect(codeOf(orchard(), first, splitting())).toBe('splitFurther');
    });

    it('being made twice', () => {
      expect(codeOf(orchard(), splitting(), splitting())).toBe('splitExists');
    });
  });

  it('keeps the account that received postings from being deleted or made a heading', () => {
    const chart = after(orchard(), splitting());
    expect(codeOf(chart, { type: 'deleteAccount', id: '6020' })).toBe('hasSplits');
    const heading: Operation = { type: 'changeRole', id: '6020', role: 'heading' };
    expect(codeOf(chart, heading)).toBe('headingTakesNoPostings');
  });

  it('is not taken back while what it brought was split in its turn', () => {
    const start = aChart(`${ORCHARD}  6030 Paper labels\n`, { posted: ['6010'] });
    const further = splitting({ id: 's2', from: '6020', into: '6030' });
    const chart = after(start, splitting(), further);
    expect(codeOf(chart, { type: 'unsplit', split: aSplit() })).toBe('splitFurther');
  });

  it('gives way when the account it would fill is removed by somebody else', () => {
    const removal: Operation = { type: 'deleteAccount', id: '6020' };
    const inverse = invert(removal, orchard());
    expect(rebase(splitting(), { operation: removal, inverse })).toEqual({ type: 'conflict' });
  });
});

const counter = (): (() => string) => {
  let next = 0;
  return () => `new${(next += 1)}`;
};

describe('planning a split', () => {
  const parts = [
    { name: ' Bottle  labels ', choice: LABELS },
    { name: 'Boxes', choice: ALL },
  ];

  it('makes a sub-account for each part, in order, with the next numbers and the same kind', () => {
    const plan = planSplit(orchard(), { id: '6010', parts, newId: counter() });
    if (!plan.ok) throw new Error(plan.refusal.code);
    expect(plan.accounts.map(({ number, name, kind }) => ({ number, name, kind }))).toEqual([
      { number: '6011', name: 'Bottle labels', kind: 'operatingExpense' },
      { number: '6012', name: 'Boxes', kind: 'operatingExpense' },
    ]);
    const chart = after(orchard(), ...plan.operations);
    expect(outlineOf(chart)).toEqual([
      '1010 Bank',
      '4010 Sales',
      '6000 Operating',
      '  6010 Supplies',
      '    6011 Bottle labels',
      '    6012 Boxes',
      '  6020 Rent',
    ]);
  });

  it('splits what was merged into the account as well', () => {
    const merge: Operation = { type: 'merge', id: '6020', into: '6010', acrossKinds: false };
    const chart = after(orchard(), merge);
    const plan = planSplit(chart, { id: '6010', parts: parts.slice(0, 1), newId: counter() });
    if (!plan.ok) throw new Error(plan.refusal.code);
    const whole = after(chart, ...plan.operations);
    expect(
      splitsOf(whole)
        .map(({ from }) => from)
        .sort(),
    ).toEqual(['6010', '6020']);
  });

  it('stands the parts of a contra in the order in which they were named', () => {
    const chart = aChart('1500 Press [propertyAndEquipment]\n1590 Wear [accumulatedDepreciation]');
    const plan = planSplit(chart, { id: '1590', parts, newId: counter() });
    if (!plan.ok) throw new Error(plan.refusal.code);
    const names = nodeOf(after(chart, ...plan.operations), '1590')?.children.map(
      ({ account }) => account.name,
    );
    expect(names).toEqual(['Bottle labels', 'Boxes']);
  });

  it('says which part is refused, and why', () => {
    const twice = [parts[1], { name: 'boxes', choice: ALL }].filter((part) => part !== undefined);
    const plan = planSplit(orchard(), { id: '6010', parts: twice, newId: counter() });
    expect(plan).toMatchObject({ ok: false, part: 1, refusal: { code: 'nameTaken' } });
    const nameless = planSplit(orchard(), {
      id: '6010',
      parts: [{ name: '  ', choice: ALL }],
      newId: counter(),
    });
    expect(nameless).toMatchObject({ ok: false, part: 0, refusal: { code: 'nameEmpty' } });
  });

  it('lets neighbours give way when no number is left', () => {
    const full = aChart('6010 Supplies\n6011 Rent\n6012 Power', { posted: ['6010'] });
    const plan = planSplit(full, { id: '6010', parts: parts.slice(0, 1), newId: counter() });
    if (!plan.ok) throw new Error(plan.refusal.code);
    expect(apply(full, plan.operations[0] ?? splitting()).ok).toBe(true);
    const chart = after(full, ...plan.operations);
    const [account] = plan.accounts;
    expect(accountOf(chart, account?.id ?? '')?.number).toBe(account?.number);
    expect(account?.number).not.toBeNull();
  });
});
