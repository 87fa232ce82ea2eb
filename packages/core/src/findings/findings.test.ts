import fc from 'fast-check';
import type { Chart } from '../chart/chart';
import { rollUpOver, type AccountAmounts } from '../ledger/amounts';
import { applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import { usualPlan } from '../plan/number-plan';
import { aChart } from '../testing/a-chart';
import { randomChart } from '../testing/random';
import { findingsIn } from './all-rules';
import type { Finding, LookedAt } from './finding';

const PLAN = usualPlan(4);
const OF_FIVE: AccountAmounts = { balance: 5_00, change: 5_00, yearChange: 5_00 };

const after = (chart: Chart, operations: readonly Operation[]): Chart => {
  const outcome = applyAll(chart, operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};
const lookedAt = (chart: Chart, more: Partial<LookedAt> = {}): LookedAt => ({
  chart,
  plan: PLAN,
  year: null,
  ...more,
});
/** What a finding is about: its rule and its accounts. */
const said = ({ code, accountIds }: Finding): string => `${code} ${accountIds.join(' ')}`;

describe('numbers that do not fit the plan', () => {
  it('are found at their account, with the number that would fit', () => {
    const chart = aChart('1010 Bank\n1020 Till\n9010 Reserve account [bank]');
    const [found, ...others] = findingsIn(lookedAt(chart), ['numberMisfit']);
    expect(others).toEqual([]);
    expect(found).toMatchObject({ accountIds: ['9010'], severity: 'couldBeNeater' });
  });

  it('are not looked for where the chart goes without numbers', () => {
    const chart = after(aChart('9010 Bank [bank]'), [
      { type: 'setPlan', plan: PLAN, numbered: false },
    ]);
    expect(findingsIn(lookedAt(chart), ['numberMisfit'])).toEqual([]);
  });

  it('are put right by each fix that is offered, and none comes instead', () => {
    fc.assert(
      fc.property(randomChart(24), (chart) => {
        const before = findingsIn(lookedAt(chart), ['numberMisfit']);
        for (const finding of before.slice(0, 4))
          for (const { operations } of finding.fixes) {
            const now = findingsIn(lookedAt(after(chart, operations)), ['numberMisfit']);
            expect(now.map(said)).not.toContain(said(finding));
            expect(now.length).toBeLessThan(before.length);
          }
      }),
      { numRuns: 60 },
    );
  });
});

describe('a plan that contradicts itself', () => {
  it('is wrong, whatever the accounts are', () => {
    const plan = { ...PLAN, step: 0 };
    expect(findingsIn(lookedAt(aChart('1010 Bank'), { plan }), ['planProblem'])).toMatchObject([
      { severity: 'wrong', accountIds: [], facts: { problem: { code: 'stepNotPositive' } } },
    ]);
  });

  it('is not found in the usual ones', () => {
    for (const digits of [3, 4, 5, 6])
      expect(
        findingsIn(lookedAt(aChart('1010 Bank'), { plan: usualPlan(digits) }), ['planProblem']),
      ).toEqual([]);
  });
});

describe('accounts that are not where the return wants them', () => {
  const filer = { legalForm: 'corporation', country: 'US' } as const;
  const line = (id: string, form: string, which: string): Operation => ({
    type: 'changeSetting',
    id,
    setting: 'returnLine',
    value: { form, line: which, copy: 1 },
  });
  const chart = after(aChart('6000 Premises\n  6010 Rent\n6100 Advertising'), [
    line('6010', 'scheduleC', '20b'),
  ]);
  const year = { rollUp: rollUpOver(new Map([['6010', OF_FIVE]])), filer };

  it('are found with what is posted to them', () => {
    expect(findingsIn(lookedAt(chart, { year }), ['misplacedLine'])).toMatchObject([
      { accountIds: ['6010'], severity: 'wrong', facts: { why: 'otherForm', amount: 5_00 } },
    ]);
  });

  it('go to the usual line of their kind by the fix', () => {
    const [found] = findingsIn(lookedAt(chart, { year }), ['misplacedLine']);
    const fixed = after(chart, found?.fixes[0]?.operations ?? []);
    expect(findingsIn(lookedAt(fixed, { year }), ['misplacedLine'])).toEqual([]);
  });

  it('are not looked for without amounts', () => {
    expect(findingsIn(lookedAt(chart), ['misplacedLine'])).toEqual([]);
  });
});
