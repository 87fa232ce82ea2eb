import fc from 'fast-check';
import type { Chart } from '../chart/chart';
import { rollUpOver, type AccountAmounts } from '../ledger/amounts';
import { applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import { usualPlan } from '../plan/number-plan';
import { aChart } from '../testing/a-chart';
import { randomChart } from '../testing/random';
import type { Filer } from '../settings/return-forms';
import { returnSheet } from '../returns/return-sheet';
import { findingsOf, lookAt } from './all-rules';
import type { FindingCode, FindingOf, LookedAt } from './finding';

const PLAN = usualPlan(4);
const OF_FIVE: AccountAmounts = { balance: 5_00, change: 5_00, yearChange: 5_00 };

const after = (chart: Chart, operations: readonly Operation[]): Chart => {
  const outcome = applyAll(chart, operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};
const lookedAt = (chart: Chart, more: Partial<LookedAt> = {}): LookedAt =>
  lookAt(chart, { plan: PLAN, ...more });
/** What a finding is about: its rule and its accounts. */
const said = ({ code, accountIds }: FindingOf<FindingCode>): string =>
  `${code} ${accountIds.join(' ')}`;

describe('numbers that do not fit the plan', () => {
  it('are found at their account, with the number that would fit', () => {
    const chart = aChart('1010 Bank\n1020 Till\n9010 Reserve account [bank]');
    const [found, ...others] = findingsOf('numberMisfit', lookedAt(chart));
    expect(others).toEqual([]);
    expect(found).toMatchObject({ accountIds: ['9010'], severity: 'couldBeNeater' });
  });

  it('are not looked for where the chart goes without numbers', () => {
    const chart = after(aChart('9010 Bank [bank]'), [
      { type: 'setPlan', plan: PLAN, numbered: false },
    ]);
    expect(findingsOf('numberMisfit', lookedAt(chart))).toEqual([]);
  });

  it('are put right by each fix that is offered, and none comes instead', () => {
    fc.assert(
      fc.property(randomChart(24), (chart) => {
        const before = findingsOf('numberMisfit', lookedAt(chart));
        for (const finding of before.slice(0, 4))
          for (const { operations } of finding.fixes) {
            const now = findingsOf('numberMisfit', lookedAt(after(chart, operations)));
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
    expect(findingsOf('planProblem', lookedAt(aChart('1010 Bank'), { plan }))).toMatchObject([
      { severity: 'wrong', accountIds: [], facts: { problem: { code: 'stepNotPositive' } } },
    ]);
  });

  it('is not found in the usual ones', () => {
    for (const digits of [3, 4, 5, 6])
      expect(
        findingsOf('planProblem', lookedAt(aChart('1010 Bank'), { plan: usualPlan(digits) })),
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
  const rollUp = rollUpOver(new Map([['6010', OF_FIVE]]));
  const found = (of: Chart, by: Filer = filer) => {
    const sheet = returnSheet(of, rollUp, by);
    if (sheet === null) throw new Error('a form');
    return findingsOf('misplacedLine', lookedAt(of, { returned: { sheet, filer: by } }));
  };

  it('are found with what is posted to them', () => {
    expect(found(chart)).toMatchObject([
      { accountIds: ['6010'], severity: 'wrong', facts: { why: 'otherForm', amount: 5_00 } },
    ]);
  });

  it('go to the usual line of their kind by the fix', () => {
    const [first] = found(chart);
    const fixed = after(chart, first?.fixes[0]?.operations ?? []);
    expect(found(fixed)).toEqual([]);
  });

  it('have no fix where the form has no line for their kind: another line must be chosen', () => {
    const dividends = after(aChart('6010 Dividends received [investmentIncome]'), [
      line('6010', 'form1120', '4'),
    ]);
    expect(found(dividends, { legalForm: 'soleOwner', country: 'US' })).toMatchObject([
      { facts: { why: 'otherForm' }, fixes: [] },
    ]);
  });

  it('are not looked for without amounts', () => {
    expect(findingsOf('misplacedLine', lookedAt(chart))).toEqual([]);
  });
});
