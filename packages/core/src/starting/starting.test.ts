import { emptyChart } from '../chart/build';
import { eachNode } from '../chart/queries';
import { isContra } from '../kinds/kinds';
import { applyAll } from '../operations/apply';
import { misfits } from '../numbering/crosswalk';
import { usualPlan } from '../numbering/plan';
import { composeStartingChart, startingOperations } from './compose';
import { INDUSTRY_CODES } from './industries';
import { LEGAL_FORMS } from './starting-chart';

const COMBINATIONS = INDUSTRY_CODES.flatMap((industry) =>
  LEGAL_FORMS.map((legalForm) => ({ industry, legalForm })),
);

const counter = () => {
  let count = 0;
  return () => String((count += 1));
};

describe.each(COMBINATIONS)('the starting chart for $industry as $legalForm', (choice) => {
  const groups = composeStartingChart(choice);
  const outcome = applyAll(emptyChart(), startingOperations(groups, counter()));

  it('breaks no rule of the chart', () => {
    expect(outcome).toMatchObject({ ok: true });
  });

  it('has numbers that fit the usual plan', () => {
    if (!outcome.ok) throw new Error('the chart stands');
    expect(misfits(outcome.chart, usualPlan(4))).toEqual(new Map());
  });

  it('gives every account guidance, and says which module brought it in', () => {
    const lines = groups.flatMap(({ accounts }) => accounts);
    expect(lines.filter(({ guidance, from }) => guidance === '' || from === '')).toEqual([]);
  });

  it('has no heading without accounts, and numbers within the heading’s hundred, in order', () => {
    for (const { number, accounts } of groups) {
      const own = accounts.map((account) => Number(account.number));
      expect(own.length).toBeGreaterThan(0);
      expect(own).toEqual([...own].sort((a, b) => a - b));
      expect(own.every((value) => value > Number(number) && value < Number(number) + 100)).toBe(
        true,
      );
    }
  });

  it('puts contras last in their group', () => {
    if (!outcome.ok) throw new Error(outcome.refusal.code);
    for (const { children } of eachNode(outcome.chart.roots)) {
      const contras = children.map(({ account }) => isContra(account.kind));
      expect(contras).toEqual([...contras].sort((a, b) => Number(a) - Number(b)));
    }
  });

  it('has exactly one account for the results of closed years', () => {
    const uses = groups
      .flatMap(({ accounts }) => accounts)
      .filter(({ systemUse }) => systemUse !== null);
    expect(uses).toHaveLength(1);
  });
});

describe('a legal form', () => {
  const names = (legalForm: (typeof LEGAL_FORMS)[number]) =>
    composeStartingChart({ industry: 'onlineSeller', legalForm }).flatMap(({ accounts }) =>
      accounts.map(({ name }) => name),
    );

  it('decides on equity and on tax', () => {
    expect(names('corporation')).toEqual(
      expect.arrayContaining(['Share capital', 'Income tax expense']),
    );
    expect(names('soleOwner')).toContain('Owner’s drawings');
    expect(names('soleOwner')).not.toContain('Income tax expense');
    expect(names('partnership')).toContain('Second partner’s capital');
  });
});
