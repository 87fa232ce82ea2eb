import type { Chart } from '../chart/chart';
import { chartFrom } from '../chart/build';
import { accountOf } from '../chart/queries';
import { KIND_CODES, statementOf, type KindCode } from '../kinds/kinds';
import { apply, applyAll, invert, rebase } from '../operations/apply';
import type { Operation } from '../operations/operation';
import { type LEGAL_FORMS } from '../countries/legal-form';
import { planSettingsAs } from '../planning/plan-settings';
import { aChart, anAccount } from '../testing';
import { copiedSettings } from './account-settings';
import {
  hasBalanceSheet,
  hasReturnLine,
  RETURN_FORMS,
  returnLineWords,
  usualReturnLine,
} from './return-forms';
import { isOffered, resolvedSettings, SETTING_NAMES } from './rules';

const CLUB =
  '1010 Bank [bank]\n1100 Members [tradeReceivable]\n4010 Fees\n6000 Costs:\n  6010 Boats';
const club = (): Chart => aChart(CLUB);

const bearer = (kind: KindCode) => ({ kind, role: 'posting', settings: {} }) as const;
const offered = (kind: KindCode) =>
  SETTING_NAMES.filter((name) => isOffered({ kind, role: 'posting' }, name));

const codeOf = (operation: Operation): readonly [string?, string?] => {
  const outcome = apply(club(), operation);
  return outcome.ok ? [] : [outcome.refusal.code, outcome.refusal.value];
};

describe('which settings an account is offered', () => {
  it('bank details only where money is kept at a bank', () => {
    const kinds = KIND_CODES.filter((kind) => offered(kind).includes('bank'));
    expect(kinds).toEqual(['bank', 'restrictedCash', 'shortTermInvestment', 'cardPayable']);
  });

  it('a budget for what stands on the profit and loss', () => {
    for (const kind of KIND_CODES)
      expect(offered(kind).includes('budget')).toBe(statementOf(kind) === 'profitAndLoss');
  });

  it('a payee report for expenses and equipment, not for income', () => {
    expect(offered('operatingExpense')).toContain('payeeBox');
    expect(offered('propertyAndEquipment')).toContain('payeeBox');
    expect(offered('services')).not.toContain('payeeBox');
  });

  it('a heading only what concerns its subtotal and its pin', () => {
    const names = SETTING_NAMES.filter((name) =>
      isOffered({ kind: 'operatingExpense', role: 'heading' }, name),
    );
    expect(names).toEqual(['subtotal', 'pinned']);
  });

  it('no return line and no cash flow class for what never reaches a statement', () => {
    expect(offered('memorandum')).not.toContain('returnLine');
    expect(offered('memorandum')).not.toContain('cashFlow');
  });
});

describe('what a setting comes to', () => {
  it('is the usual of the kind: open items for receivables and payables', () => {
    expect(resolvedSettings(bearer('tradeReceivable')).openItems).toBe(true);
    expect(resolvedSettings(bearer('tradePayable')).openItems).toBe(true);
    expect(resolvedSettings(bearer('bank')).openItems).toBe(false);
  });

  it('is that inventory is posted by the system alone, and controls its sub-ledger', () => {
    expect(resolvedSettings(bearer('inventory'))).toMatchObject({
      systemPostedOnly: true,
      controls: 'inventory',
    });
  });

  it('follows another kind as long as nothing of its own is set', () => {
    const chart = aChart('1100 Members [otherCurrentAsset]');
    const outcome = apply(chart, { type: 'changeKind', id: '1100', kind: 'tradeReceivable' });
    if (!outcome.ok) throw new Error(outcome.refusal.code);
    const account = accountOf(outcome.chart, '1100');
    expect(account && resolvedSettings(account).controls).toBe('receivables');
  });

  it('sleeps while the kind does not offer it', () => {
    const own = { kind: 'services', role: 'posting', settings: { openItems: true } } as const;
    expect(resolvedSettings(own).openItems).toBe(false);
  });
});

describe('changing a setting', () => {
  const openItems: Operation = {
    type: 'changeSetting',
    id: '1010',
    setting: 'openItems',
    value: true,
  };

  it('keeps it with the account, and leaves it to the kind again', () => {
    const bank = {
      institution: 'First Quay',
      routing: '011',
      accountNumber: '0042',
      nextCheque: '7',
      nextDeposit: '',
    };
    const set: Operation = { type: 'changeSetting', id: '1010', setting: 'bank', value: bank };
    const outcome = apply(club(), set);
    if (!outcome.ok) throw new Error(outcome.refusal.code);
    expect(accountOf(outcome.chart, '1010')?.settings).toEqual({ bank });
    const back = apply(outcome.chart, invert(set, club()));
    expect(back.ok && accountOf(back.chart, '1010')?.settings).toEqual({});
  });

  it('refuses what the kind does not offer', () => {
    expect(codeOf(openItems)).toEqual(['settingNotOffered', undefined]);
  });

  it('names what is wrong with a value', () => {
    const set = (operation: Partial<Operation>): Operation =>
      ({ type: 'changeSetting', id: '4010', ...operation }) as Operation;
    const line = { form: 'scheduleC', line: '99', copy: 1 };
    expect(codeOf(set({ setting: 'returnLine', value: line }))[1]).toBe('lineUnknown');
    const copy = { form: 'scheduleC', line: '8', copy: 0 };
    expect(codeOf(set({ setting: 'returnLine', value: copy }))[1]).toBe('copyNotPositive');
    const budget = { per: 'month', amounts: [1, 2] } as const;
    expect(codeOf(set({ setting: 'budget', value: budget }))[1]).toBe('monthsMissing');
    const half = { per: 'year', amount: 0.5 } as const;
    expect(codeOf(set({ setting: 'budget', value: half }))[1]).toBe('amountNotExact');
    const currency: Operation = {
      type: 'changeSetting',
      id: '1010',
      setting: 'currency',
      value: 'usd',
    };
    expect(codeOf(currency)).toEqual(['settingWrong', 'currencyMalformed']);
    const bank = {
      institution: '',
      routing: '',
      accountNumber: '',
      nextCheque: '7a',
      nextDeposit: '',
    };
    expect(codeOf({ type: 'changeSetting', id: '1010', setting: 'bank', value: bank })[1]).toBe(
      'documentNumberMalformed',
    );
    const units = { symbol: '', units: '1,5', quoteSource: '' };
    const fund = aChart('1300 Fund [longTermInvestment]');
    expect(
      apply(fund, { type: 'changeSetting', id: '1300', setting: 'security', value: units }),
    ).toMatchObject({ refusal: { value: 'unitsMalformed' } });
  });

  it('conflicts with another value for the same setting, and with no other', () => {
    const mine: Operation = {
      type: 'changeSetting',
      id: '1100',
      setting: 'openItems',
      value: false,
    };
    const landed = (operation: Operation) => ({ operation, inverse: invert(operation, club()) });
    const other: Operation = { ...mine, value: true };
    expect(rebase(mine, landed(other)).type).toBe('conflict');
    expect(rebase(mine, landed(mine)).type).toBe('done');
    const pin: Operation = { type: 'changeSetting', id: '1100', setting: 'pinned', value: true };
    expect(rebase(mine, landed(pin)).type).toBe('keep');
  });

  it('copies no bank number, holding, budget or pin with an account', () => {
    const bank = {
      institution: 'First Quay',
      routing: '',
      accountNumber: '42',
      nextCheque: '',
      nextDeposit: '',
    };
    expect(copiedSettings({ bank, pinned: true, openItems: true })).toEqual({ openItems: true });
  });
});

describe('setting an account as another one is', () => {
  const chart = chartFrom([
    {
      ...anAccount('6010', 'Rent'),
      settings: {
        salesTax: 'exempt',
        payeeBox: 'misc1',
        pinned: true,
        budget: { per: 'year', amount: 5 },
      },
    },
    { ...anAccount('6020', 'Power'), settings: { salesTax: 'standard', openItems: true } },
    anAccount('4010', 'Sales'),
  ]);
  const names = (id: string) =>
    planSettingsAs(chart, id, '6010').map((one) =>
      one.type === 'changeSetting' ? [one.setting, one.value] : [],
    );

  it('takes what differs, and leaves budget and pin its own', () => {
    expect(names('6020')).toEqual([
      ['salesTax', 'exempt'],
      ['payeeBox', 'misc1'],
    ]);
  });

  it('takes only what its kind has', () => {
    expect(names('4010')).toEqual([['salesTax', 'exempt']]);
  });

  it('does nothing to the model itself', () => {
    expect(names('6010')).toEqual([]);
  });

  it('gives a chart that no further change would alter', () => {
    const outcome = applyAll(chart, planSettingsAs(chart, '6020', '6010'));
    expect(outcome.ok && planSettingsAs(outcome.chart, '6020', '6010')).toEqual([]);
  });
});

describe('dimensions', () => {
  const market = { id: 'm', name: 'Market', values: [{ id: 'sat', name: 'Saturday' }] };
  const define = (dimension: typeof market | null): Operation => ({
    type: 'setDimension',
    id: 'm',
    dimension,
    afterId: null,
  });
  const use = (valueId: string | null): Operation => ({
    type: 'changeSetting',
    id: '4010',
    setting: 'dimensions',
    value: [{ dimensionId: 'm', valueId, demanded: true }],
  });
  const codes = (chart: Chart, ...operations: Operation[]): string => {
    const outcome = applyAll(chart, operations);
    return outcome.ok
      ? 'accepted'
      : `${outcome.refusal.code} ${outcome.refusal.value ?? ''}`.trim();
  };

  it('are defined with their values, and an account may ask for one', () => {
    expect(codes(club(), define(market), use('sat'))).toBe('accepted');
  });

  it('must be there before an account asks for them', () => {
    expect(codes(club(), use('sat'))).toBe('dimensionMissing m');
    expect(codes(club(), define(market), use('sun'))).toBe('dimensionMissing m');
  });

  it('stay while an account asks for them or for a value', () => {
    expect(codes(club(), define(market), use('sat'), define(null))).toBe('dimensionInUse');
    const bare = { ...market, values: [] };
    expect(codes(club(), define(market), use('sat'), define(bare))).toBe('dimensionInUse');
    expect(codes(club(), define(market), use(null), define(bare))).toBe('accepted');
  });

  it('keep the values that postings carry', () => {
    const outcome = apply(club(), define(market));
    if (!outcome.ok) throw new Error(outcome.refusal.code);
    const used = { ...outcome.chart, usedValues: new Set(['sat']) };
    expect(codes(used, define({ ...market, values: [] }))).toBe('valueInUse Saturday');
    expect(codes(used, define(null))).toBe('valueInUse Saturday');
  });

  it('are told apart by name, and so are their values', () => {
    const names = (name: string, ...values: string[]) =>
      codes(
        club(),
        define({ id: 'm', name, values: values.map((one) => ({ id: one, name: one })) }),
      );
    expect(names(' ')).toBe('dimensionWrong dimensionUnnamed');
    expect(names('Market', 'A', '')).toBe('dimensionWrong valueUnnamed');
    expect(names('Market', 'A', 'a')).toBe('dimensionWrong valueNameTaken');
    expect(names('M'.repeat(61))).toBe('dimensionWrong nameTooLong');
    const second: Operation = {
      type: 'setDimension',
      id: 'n',
      dimension: { ...market, id: 'n', name: 'MARKET' },
      afterId: 'm',
    };
    expect(codes(club(), define(market), second)).toBe('dimensionWrong dimensionNameTaken');
  });

  it('come back in their place when a removal is taken back', () => {
    const order = (chart: Chart) => chart.settings.dimensions.map(({ id }) => id);
    const fund: Operation = {
      type: 'setDimension',
      id: 'f',
      dimension: { id: 'f', name: 'Fund', values: [] },
      afterId: 'm',
    };
    const both = applyAll(club(), [define(market), fund]);
    if (!both.ok) throw new Error(both.refusal.code);
    const without = apply(both.chart, define(null));
    if (!without.ok) throw new Error(without.refusal.code);
    expect(order(without.chart)).toEqual(['f']);
    const back = apply(without.chart, invert(define(null), both.chart));
    expect(back.ok && order(back.chart)).toEqual(['m', 'f']);
  });
});

describe('return lines', () => {
  // Source: IRS Schedule C (Form 1040), Form 1065 and Form 1120, tax year 2024; from memory.
  it('are those of the client’s legal form, as the forms number them', () => {
    const line = (kind: KindCode, legalForm: (typeof LEGAL_FORMS)[number]) => {
      const usual = usualReturnLine(kind, { legalForm, country: 'US' });
      return usual === null ? null : returnLineWords(usual);
    };
    expect(line('depreciation', 'soleOwner')).toBe('Schedule C line 13, Depreciation');
    expect(line('costOfSales', 'partnership')).toBe('Form 1065 line A 2, Purchases (Form 1125-A)');
    expect(line('bank', 'corporation')).toBe('Form 1120 line L 1, Cash');
    expect(line('bank', 'soleOwner')).toBeNull();
    expect(line('financeCost', 'corporation')).toBe('Form 1120 line 18, Interest expense');
  });

  // Sources: HMRC SA103F and SA800, SI 2008/409, CRA T2125 and RC4088; from memory.
  it('are those of the client’s country', () => {
    const line = (kind: KindCode, legalForm: (typeof LEGAL_FORMS)[number], country: string) => {
      const usual = usualReturnLine(kind, { legalForm, country });
      return usual === null ? null : returnLineWords(usual);
    };
    expect(line('saleOfGoods', 'soleOwner', 'GB')).toBe('SA103F line 15, Turnover');
    expect(line('costOfSales', 'partnership', 'GB')).toBe('SA800 line 3.46, Cost of sales');
    expect(line('inventory', 'limitedCompany', 'GB')).toBe('Company accounts line C I, Stocks');
    expect(line('depreciation', 'soleOwner', 'CA')).toBe('T2125 line 9936, Capital cost allowance');
    expect(line('bank', 'corporation', 'CA')).toBe(
      'T2 GIFI line 1002, Deposits in Canadian banks and institutions',
    );
    expect(line('bank', 'corporation', 'NZ')).toBe(
      'General sheet line 14, Cash and cash equivalents',
    );
  });

  it('take every kind on a statement to one line where the return has a balance sheet', () => {
    for (const form of Object.keys(RETURN_FORMS).filter(hasBalanceSheet))
      for (const kind of KIND_CODES.filter((code) => statementOf(code) !== null)) {
        const lines = RETURN_FORMS[form]?.lines.filter(({ kinds }) => kinds?.includes(kind));
        const untaxed = !['form1065', 'form1120S'].includes(form) || kind !== 'incomeTax';
        if (untaxed) expect([form, kind, lines?.length]).toEqual([form, kind, 1]);
      }
  });

  it('stand once on their form, and name the print they are from', () => {
    const forms = Object.values(RETURN_FORMS).filter((form) => form !== undefined);
    expect(forms).toHaveLength(19);
    for (const { lines, source, year } of forms) {
      expect(new Set(lines.map(({ line }) => line)).size).toBe(lines.length);
      expect(year === null || source.includes(String(year))).toBe(true);
    }
    expect(hasReturnLine({ form: 'scheduleC', line: '8' })).toBe(true);
    expect(hasReturnLine({ form: 'schedule', line: '8' })).toBe(false);
    expect(hasReturnLine({ form: 'constructor', line: 'name' })).toBe(false);
  });
});
