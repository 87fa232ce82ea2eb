import fc from 'fast-check';
import type { Chart } from '../chart/chart';
import { eachNode } from '../chart/queries';
import { applyAll } from '../operations/apply';
import { returnFormOf, type Filer } from '../settings/return-forms';
import { LEGAL_FORMS } from '../settings/legal-form';
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
  const sheet = returnSheet(chart, rollUpOver(LEDGER), filer);
  if (sheet === null) throw new Error('a form');
  return sheet;
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
    expect(line).toMatchObject({ amount: 70_00, results: 70_00 });
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
    expect(sheet?.misplaced).toEqual([{ id: '8010', why: 'noLine', amount: -4_00 }]);
    expect(balanceOfReturn('scheduleC', [])).toBeNull();
    expect(balanceOfReturn('t2125', [])).toBeNull();
  });

  it('is known for these legal forms of these countries', () => {
    const known = (['US', 'GB', 'CA'] as const).map((country) =>
      LEGAL_FORMS.flatMap((legalForm) => returnFormOf({ legalForm, country }) ?? []),
    );
    expect(known).toEqual([
      ['scheduleC', 'form1065', 'form1065', 'form1120', 'form1120S', 'form990'],
      ['sa103f', 'sa800', 'companyAccounts', 'companyAccounts'],
      ['t2125', 'gifi', 'gifi'],
    ]);
  });

  it('is not known for every country and legal form', () => {
    expect(
      returnSheet(CHART, rollUpOver(LEDGER), { legalForm: 'corporation', country: 'NZ' }),
    ).toBeNull();
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
          const amounts =
            sheet?.amounts.map(({ line, amount }) => ({ line: line.line, amount })) ?? [];
          const balance = balanceOfReturn(sheet?.form ?? '', amounts);
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
          const listed =
            sheet?.amounts.flatMap(({ accounts }) => accounts.map(({ id }) => id)) ?? [];
          expect(new Set(listed).size).toBe(listed.length);
          const known = new Set([...listed, ...(sheet?.misplaced ?? []).map(({ id }) => id)]);
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
