import fc from 'fast-check';
import type { Chart } from '../chart/chart';
import { eachNode } from '../chart/queries';
import { applyAll } from '../operations/apply';
import { returnFormOf, type Filer } from '../settings/return-forms';
import { LEGAL_FORMS } from '../countries/legal-form';
import { rollUpOver, type AccountAmounts } from '../ledger/amounts';
import { aChart } from '../testing/a-chart';
import { balancedLedger, randomChart } from '../testing/random';
import { balanceOfReturn } from './balance-of-return';
import { returnFile } from './return-file';
import { returnSheet } from './return-sheet';

const FILER: Filer = { legalForm: 'corporation', country: 'US' };

const CHART = aChart(
  `
1010 Bank
1500 Van [propertyAndEquipment]
1590 Depreciation to date [accumulatedDepreciation]
3010 Common stock [shareCapital]
3020 Retained earnings [retainedEarnings]
4010 Sales
4090 Returns [returnsAndDiscounts]
6010 Advertising
6020 Rent
6030 Depreciation [depreciation]`,
  { posted: ['1010'] },
);

const of = (balance: number, yearChange = balance): AccountAmounts => ({
  balance,
  change: yearChange,
  yearChange,
});
const LEDGER = new Map([
  ['1010', of(90_00)],
  ['1500', of(40_00)],
  ['1590', of(-10_00)],
  ['3010', of(-50_00)],
  // Sales of 30.00 in earlier years, which no entry closed.
  ['4010', of(-130_00, -100_00)],
  ['4090', of(5_00)],
  ['6010', of(25_00)],
  ['6020', of(20_00)],
  ['6030', of(10_00)],
]);

const withLine = (chart: Chart, id: string, line: string, more = {}): Chart => {
  const value = { form: 'form1120', line, copy: 1, ...more };
  const outcome = applyAll(chart, [{ type: 'changeSetting', id, setting: 'returnLine', value }]);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};

const sheetOf = (chart: Chart, filer = FILER) => {
  return returnSheet(chart, rollUpOver(LEDGER), filer);
};

const amountOn = (chart: Chart, line: string, copy = 1) =>
  sheetOf(chart).amounts.find((one) => one.line.line === line && one.copy === copy)?.amount;

describe('the return of a year', () => {
  it('has for each line the sum of its accounts, on the side on which the line is read', () => {
    expect(amountOn(CHART, '1a')).toBe(100_00);
    expect(amountOn(CHART, '1b')).toBe(5_00);
    expect(amountOn(CHART, '26')).toBe(45_00);
    expect(amountOn(CHART, '20')).toBe(10_00);
    expect(amountOn(CHART, 'L 10a')).toBe(40_00);
    expect(amountOn(CHART, 'L 10b')).toBe(10_00);
    expect(amountOn(CHART, 'L 22')).toBe(50_00);
  });

  it('takes an account where its own setting says, and to the copy that it names', () => {
    const chart = withLine(withLine(CHART, '6010', '22'), '6020', '16', { copy: 2 });
    expect([amountOn(chart, '22'), amountOn(chart, '16', 2), amountOn(chart, '26')]).toEqual([
      25_00,
      20_00,
      undefined,
    ]);
  });

  it('gives retained earnings all results that no entry has closed', () => {
    const line = sheetOf(CHART).amounts.find((one) => one.line.line === 'L 25');
    expect(line).toMatchObject({
      amount: 70_00,
      beside: { what: 'openResults', amount: 70_00 },
    });
  });

  it('has a balance sheet that balances', () => {
    const sheet = sheetOf(CHART);
    const amounts = sheet.amounts.map(({ line, amount }) => ({ line: line.line, amount }));
    expect(balanceOfReturn('form1120', amounts)).toEqual({ assets: 120_00, claims: 120_00 });
  });

  it('lists first what has no line, belongs to another form, or stands below what goes elsewhere', () => {
    const chart = withLine(CHART, '6010', '8', { form: 'scheduleC' });
    expect(sheetOf(chart).misplaced).toEqual([{ id: '6010', why: 'otherForm', amount: 25_00 }]);
  });

  it('of a sole owner has no balance sheet, and so asks no line of it', () => {
    const chart = aChart('1010 Bank\n4010 Sales\n8010 Interest [investmentIncome]');
    const ledger = new Map([
      ['1010', of(9_00)],
      ['4010', of(-5_00)],
      ['8010', of(-4_00)],
    ]);
    const filer: Filer = { legalForm: 'soleOwner', country: 'US' };
    const sheet = returnSheet(chart, rollUpOver(ledger), filer);
    expect(sheet.misplaced).toEqual([{ id: '8010', why: 'noLine', amount: -4_00 }]);
    expect(balanceOfReturn('scheduleC', [])).toBeNull();
    expect(balanceOfReturn('t2125', [])).toBeNull();
  });

  it('is known for these legal forms of these countries', () => {
    const known = (['US', 'GB', 'CA'] as const).map((country) =>
      LEGAL_FORMS.map((legalForm) => returnFormOf({ legalForm, country })),
    );
    expect(known).toEqual([
      ['scheduleC', 'form1065', 'scheduleC', 'form1065', 'form1120', 'form1120S', 'form990'],
      ['sa103f', 'sa800', 'general', 'companyAccounts', 'companyAccounts', 'general', 'general'],
      ['t2125', 't5013', 'general', 'gifi', 'gifi', 'general', 'general'],
    ]);
  });

  it('of landlords and farmers who are no company has forms of its own', () => {
    const of = (country: string, industry: string) =>
      returnFormOf({ legalForm: 'soleOwner', country, industry });
    expect(['US', 'GB', 'CA'].map((country) => of(country, 'landlord'))).toEqual([
      'scheduleE',
      'sa105',
      't776',
    ]);
    expect(['US', 'GB', 'CA'].map((country) => of(country, 'farm'))).toEqual([
      'scheduleF',
      'sa103f',
      't2042',
    ]);
    expect(returnFormOf({ legalForm: 'corporation', country: 'US', industry: 'farm' })).toBe(
      'form1120',
    );
  });

  it('of partnerships and S corporations that let has their rents on Form 8825, and their balance sheet', () => {
    const let_ = (legalForm: Filer['legalForm'], industry: string) =>
      returnFormOf({ legalForm, country: 'US', industry });
    expect(let_('partnership', 'landlord')).toBe('form1065Letting');
    expect(let_('limitedCompany', 'landlord')).toBe('form1065Letting');
    expect(let_('sCorporation', 'landlord')).toBe('form1120SLetting');
    expect(let_('corporation', 'landlord')).toBe('form1120');
    const chart = aChart(
      '1010 Bank\n3010 Capital [ownersCapital]\n4010 Rents [services]\n6010 Upkeep [operatingExpense]\n7010 Loan interest [financeCost]',
    );
    const ledger = new Map([
      ['1010', of(60_00)],
      ['4010', of(-90_00)],
      ['6010', of(20_00)],
      ['7010', of(10_00)],
    ]);
    const filer: Filer = { legalForm: 'partnership', country: 'US', industry: 'landlord' };
    const { amounts, misplaced } = returnSheet(chart, rollUpOver(ledger), filer);
    const on = Object.fromEntries(amounts.map(({ line, amount }) => [line.line, amount]));
    expect(on).toMatchObject({ '8825 2': 90_00, '8825 9': 10_00, '8825 15': 20_00, 'L 1': 60_00 });
    expect(misplaced).toEqual([]);
  });

  it('is the general sheet, by the lines of the statements, where no form is known', () => {
    const sheet = sheetOf(CHART, { legalForm: 'corporation', country: 'NZ' });
    const named = Object.fromEntries(sheet.amounts.map(({ line, amount }) => [line.words, amount]));
    expect(sheet.form).toBe('general');
    expect(named).toMatchObject({
      'Operating expenses': 45_00,
      'Cash and cash equivalents': 90_00,
      'Property and equipment': 30_00,
      'Retained earnings': 70_00,
    });
  });

  it('has the cost of sales by its parts, purchases being what was used and what the stock grew by', () => {
    const chart = aChart(
      `
1010 Bank
1200 Goods [inventory]
4010 Sales
5010 Goods sold [costOfSales]
5020 Makers’ wages [costOfSales]`,
    );
    const ledger = new Map([
      ['1200', of(70_00, 20_00)],
      ['1010', of(-95_00, -45_00)],
      ['5010', of(60_00)],
      ['5020', of(25_00)],
      ['4010', of(-60_00)],
    ]);
    const amounts = (filer: Filer, wages: string) => {
      const value = { form: returnFormOf(filer), line: wages, copy: 1 };
      const outcome = applyAll(chart, [
        { type: 'changeSetting', id: '5020', setting: 'returnLine', value },
      ]);
      if (!outcome.ok) throw new Error(outcome.refusal.code);
      const { amounts: all } = returnSheet(outcome.chart, rollUpOver(ledger), filer);
      return Object.fromEntries(all.map(({ line, amount }) => [line.line, amount]));
    };
    // Opening 50.00 + purchases 80.00 + labor 25.00 − closing 70.00 = 85.00.
    expect(amounts({ legalForm: 'soleOwner', country: 'US' }, '37')).toMatchObject({
      '35': 50_00,
      '36': 80_00,
      '37': 25_00,
      '41': 70_00,
      '4': 85_00,
    });
    expect(amounts(FILER, 'A 3')).toMatchObject({
      'A 1': 50_00,
      'A 2': 80_00,
      'A 3': 25_00,
      'A 7': 70_00,
      '2': 85_00,
    });
    expect(amounts({ legalForm: 'corporation', country: 'CA' }, '8340')).toMatchObject({
      '8300': 50_00,
      '8320': 80_00,
      '8340': 25_00,
      '8500': 70_00,
      '8518': 85_00,
    });
  });

  it('of a sole trader in the UK follows the capital from year to year', () => {
    const chart = aChart(
      `
1010 Bank
3010 Capital [ownersCapital]
3020 Earlier years [retainedEarnings]
3090 Drawings [drawings]
4010 Sales`,
    );
    const filer: Filer = { legalForm: 'soleOwner', country: 'GB' };
    const boxes = (ledger: ReadonlyMap<string, AccountAmounts>) =>
      Object.fromEntries(
        returnSheet(chart, rollUpOver(ledger), filer)
          .amounts.filter(({ line }) => Number(line.line) >= 95)
          .map(({ line, amount }) => [line.line, amount]),
      );
    // Box numbers: HMRC SA103F, from memory. First year: 100.00 put in, 80.00 earned, 30.00 taken.
    const first = new Map([
      ['1010', of(150_00)],
      ['3010', of(-100_00)],
      ['3090', of(30_00)],
      ['4010', of(-80_00)],
    ]);
    expect(boxes(first)).toEqual({ '95': 0, '96': 80_00, '97': 100_00, '98': 30_00, '99': 150_00 });
    // Second year, nothing closed: 5.00 put in, 60.00 earned, 40.00 taken.
    const second = new Map([
      ['1010', of(175_00, 25_00)],
      ['3010', of(-105_00, -5_00)],
      ['3090', of(70_00, 40_00)],
      ['4010', of(-140_00, -60_00)],
    ]);
    expect(boxes(second)).toEqual({
      '95': 150_00,
      '96': 60_00,
      '97': 5_00,
      '98': 40_00,
      '99': 175_00,
    });
  });

  it('keeps to itself what is no line of the form, and tells it', () => {
    const chart = aChart('4010 Rents\n8010 House sold [gains]');
    const ledger = new Map([
      ['4010', of(-5_00)],
      ['8010', of(-4_00)],
    ]);
    const filer: Filer = { legalForm: 'soleOwner', country: 'GB', industry: 'landlord' };
    const sheet = returnSheet(chart, rollUpOver(ledger), filer);
    expect(sheet.amounts.map(({ line }) => line.words)).toContainEqual(
      expect.stringContaining('Not on the return'),
    );
    const about = { filer: 'Lets', currency: 'GBP', first: '2026-01', last: '2026-12' };
    expect(returnFile(sheet, about).amounts.map(({ line }) => line)).toEqual(['20']);
  });

  it('leaves for tax software as amounts by form, line and copy, with the year of the print', () => {
    const about = { filer: 'Cider works', currency: 'USD', first: '2026-01', last: '2026-12' };
    const file = returnFile(sheetOf(CHART), about);
    expect(file).toMatchObject({ form: 'form1120', formYear: 2024, filer: 'Cider works' });
    expect(file.amounts).toContainEqual({ line: '1a', copy: 1, amount: 100_00 });
  });
});

const WITH_BALANCE_SHEET = [
  ['partnership', 'US'],
  ['corporation', 'US'],
  ['sCorporation', 'US'],
  ['nonProfit', 'US'],
  ['soleOwner', 'GB'],
  ['partnership', 'CA'],
  ['corporation', 'NZ'],
  ['partnership', 'GB'],
  ['limitedCompany', 'GB'],
  ['corporation', 'CA'],
] as const;

describe.each(WITH_BALANCE_SHEET)('on any ledger a %s of %s', (legalForm, country) => {
  it('has assets equal to liabilities and equity on its return', () => {
    fc.assert(
      fc.property(
        randomChart(30),
        fc.array(fc.integer({ min: -99_999, max: 99_999 }), { maxLength: 30 }),
        (drawn, seed) => {
          const { chart, ledger } = balancedLedger(drawn, seed);
          const sheet = returnSheet(chart, rollUpOver(ledger), { legalForm, country });
          const amounts = sheet.amounts.map(({ line, amount }) => ({ line: line.line, amount }));
          const balance = balanceOfReturn(sheet.form, amounts);
          expect(balance?.assets).toBe(balance?.claims);
        },
      ),
      { numRuns: 100 },
    );
  });

  it('has every account that was posted to on one line, or says why not', () => {
    fc.assert(
      fc.property(
        randomChart(30),
        fc.array(fc.integer({ min: -999, max: 999 }), { maxLength: 20 }),
        (drawn, seed) => {
          const { chart, ledger } = balancedLedger(drawn, seed);
          const sheet = returnSheet(chart, rollUpOver(ledger), { legalForm, country });
          const listed = sheet.amounts.flatMap(({ accounts }) => accounts.map(({ id }) => id));
          expect(new Set(listed).size).toBe(listed.length);
          const known = new Set([...listed, ...sheet.misplaced.map(({ id }) => id)]);
          const posted = [...eachNode(chart.roots)].filter(
            ({ account }) =>
              account.role === 'posting' && account.kind !== 'memorandum' && ledger.has(account.id),
          );
          expect(posted.filter(({ account }) => !known.has(account.id))).toEqual([]);
        },
      ),
      { numRuns: 60 },
    );
  });
});
