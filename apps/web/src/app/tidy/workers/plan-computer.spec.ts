import { aChart } from '@iunctus/core/testing';
import { recordOf, type AmountsTuple, type ProposalStep } from '@iunctus/core';
import { createPlanComputer } from './plan-computer';
import type { Aim, PlanWish } from './plan-messages';

const INHERITED = aChart('1010 Checking\n6010 Phone\n6020 Telephone\n6030 Rent of studio', {
  posted: ['1010', '6010', '6020', '6030'],
});
const AMOUNTS: readonly AmountsTuple[] = [
  ['1010', -150_00, -150_00, -150_00],
  ['6010', 30_00, 30_00, 30_00],
  ['6020', 20_00, 20_00, 20_00],
  ['6030', 100_00, 100_00, 100_00],
];
const AIM: Aim = {
  type: 'trade',
  industry: 'professionalServices',
  legalForm: 'soleOwner',
  country: 'US',
};
const WISH: PlanWish = { skipped: [], struck: [], named: [], statement: 'profitAndLoss' };

const started = () => {
  let count = 0;
  const compute = createPlanComputer(() => `id-${(count += 1)}`);
  compute({ type: 'chart', chart: recordOf(INHERITED), steps: [] });
  compute({ type: 'amounts', amounts: AMOUNTS });
  return compute;
};
const idsMade = (operations: readonly ProposalStep['operations'][number][]): readonly string[] =>
  operations.flatMap((one) => (one.type === 'addAccount' ? one.account.id : []));

describe('the worker that finds the whole way', () => {
  it('says nothing until something is aimed at', () => {
    const compute = started();
    expect(compute({ type: 'wish', wish: WISH })).toBeNull();
    expect(compute({ type: 'aim', aim: AIM })?.steps.length).toBeGreaterThan(0);
    expect(compute({ type: 'aim', aim: null })).toBeNull();
  });

  it('merges what stands for one thing, and moves no total', () => {
    const way = started()({ type: 'aim', aim: AIM });
    const merged = way?.steps.find(({ code }) => code === 'merge')?.rows;
    expect(merged).toMatchObject([{ id: '6020', says: { does: 'merge', into: '6010' } }]);
    expect(way?.staysSame).toBe(true);
  });

  it('leaves what is not wanted: a step, or an account of one', () => {
    const compute = started();
    compute({ type: 'aim', aim: AIM });
    const codes = (wish: Partial<PlanWish>) =>
      compute({ type: 'wish', wish: { ...WISH, ...wish } })?.steps.map(({ code, rows }) => [
        code,
        rows.length,
      ]);
    expect(codes({})).toContainEqual(['merge', 1]);
    expect(codes({ skipped: ['merge'] })?.map(([code]) => code)).not.toContain('merge');
    expect(codes({ struck: ['merge 6020'] })?.map(([code]) => code)).not.toContain('merge');
  });

  it('keeps the ids of new headings while only the wish changes, and no longer', () => {
    const compute = started();
    const first = compute({ type: 'aim', aim: AIM });
    const made = idsMade(first?.steps.flatMap(({ operations }) => operations) ?? []);
    expect(made.length).toBeGreaterThan(0);
    const again = compute({ type: 'wish', wish: { ...WISH, skipped: ['rename'] } });
    expect(idsMade(again?.steps.flatMap(({ operations }) => operations) ?? [])).toEqual(made);
    const operations = first?.steps[0]?.operations ?? [];
    const moved = compute({ type: 'steps', steps: [{ id: 'a', operations }] });
    const later = idsMade(moved?.steps.flatMap(({ operations: own }) => own) ?? []);
    expect(later.filter((id) => made.includes(id))).toEqual([]);
  });

  it('shows the statement that is looked at, before and after', () => {
    const compute = started();
    const way = compute({ type: 'aim', aim: AIM });
    const profit = way?.rows.find(({ row }) => row.key === 'total/netProfit');
    expect([profit?.before, profit?.after]).toEqual([-150_00, -150_00]);
    const sheet = compute({ type: 'wish', wish: { ...WISH, statement: 'balanceSheet' } });
    expect(sheet?.rows.some(({ row }) => row.key === 'total/netProfit')).toBe(false);
  });
});
