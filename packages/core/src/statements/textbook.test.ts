import { chartFrom } from '../chart/build';
import type { KindCode } from '../kinds/kinds';
import { anAccount } from '../testing/a-chart';
import { rollUpOver, type AccountAmounts } from '../ledger/amounts';
import { buildStatement } from './build';
import { columnsOfSet } from './columns';
import { buildTable } from './table';
import { tableBooks } from './table-books';
import type { StatementRow } from './statement';

// Source, from memory: OpenStax, Principles of Accounting, Volume 1: Financial Accounting, ch. 3–5,
// the “Printing Plus” example, January 2019. Amounts in dollars; debits positive.
const UNADJUSTED: readonly (readonly [
  number: string,
  name: string,
  kind: KindCode,
  dollars: number,
])[] = [
  ['1010', 'Cash', 'bank', 24_800],
  ['1200', 'Accounts receivable', 'tradeReceivable', 1_200],
  ['1210', 'Interest receivable', 'otherReceivable', 0],
  ['1400', 'Supplies', 'otherCurrentAsset', 500],
  ['1500', 'Equipment', 'propertyAndEquipment', 3_500],
  ['1590', 'Accumulated depreciation: equipment', 'accumulatedDepreciation', 0],
  ['2000', 'Accounts payable', 'tradePayable', -500],
  ['2200', 'Salaries payable', 'payrollPayable', 0],
  ['2400', 'Unearned revenue', 'deferredRevenue', -4_000],
  ['3000', 'Common stock', 'shareCapital', -20_000],
  ['3050', 'Retained earnings', 'retainedEarnings', 0],
  ['3090', 'Dividends', 'drawings', 100],
  ['4010', 'Service revenue', 'services', -9_500],
  ['4800', 'Interest revenue', 'investmentIncome', 0],
  ['6010', 'Salaries expense', 'operatingExpense', 3_600],
  ['6120', 'Utility expense', 'operatingExpense', 300],
  ['6130', 'Supplies expense', 'operatingExpense', 0],
  ['6400', 'Depreciation expense: equipment', 'depreciation', 0],
];

const ADJUSTMENTS: readonly (readonly [debit: string, credit: string, dollars: number])[] = [
  ['6130', '1400', 100],
  ['6400', '1590', 75],
  ['2400', '4010', 600],
  ['1210', '4800', 140],
  ['6010', '2200', 1_500],
];

const adjusted = (): Map<string, number> => {
  const balances = new Map(UNADJUSTED.map(([number, , , dollars]) => [number, dollars * 100]));
  for (const [debit, credit, dollars] of ADJUSTMENTS) {
    balances.set(debit, (balances.get(debit) ?? 0) + dollars * 100);
    balances.set(credit, (balances.get(credit) ?? 0) - dollars * 100);
  }
  return balances;
};

const chart = chartFrom(
  UNADJUSTED.map(([number, name, kind]) => anAccount(number, name, { kind })),
);

const allIn = (amount: number): AccountAmounts => ({
  balance: amount,
  change: amount,
  yearChange: amount,
});

const amountOf = (rows: readonly StatementRow[], key: string): number | null => {
  const row = rows.find((candidate) => candidate.key === key);
  return row !== undefined && 'amount' in row ? row.amount : null;
};

describe('the textbook’s trial balance', () => {
  const balances = adjusted();
  const rollUp = rollUpOver(new Map([...balances].map(([id, amount]) => [id, allIn(amount)])));
  const options = { depth: Infinity, zeroLines: true };
  const profit = buildStatement('profitAndLoss', { chart, rollUp }, options).rows;
  const sheet = buildStatement('balanceSheet', { chart, rollUp }, options).rows;
  const debits = [...balances.values()].filter((amount) => amount > 0);

  it('has 34,000 on each side before adjustments', () => {
    const amounts = UNADJUSTED.map(([, , , dollars]) => dollars);
    expect(amounts.filter((d) => d > 0).reduce((a, b) => a + b, 0)).toBe(34_000);
    expect(amounts.reduce((a, b) => a + b, 0)).toBe(0);
  });

  it('has 35,715 on each side after them', () => {
    expect(debits.reduce((a, b) => a + b, 0)).toBe(3_571_500);
  });

  it('gives the published net income of 4,665', () => {
    expect(amountOf(profit, 'total/netProfit')).toBe(466_500);
  });

  it('gives the published total assets of 29,965', () => {
    expect(amountOf(sheet, 'total/totalAssets')).toBe(2_996_500);
  });

  it('gives the published liabilities of 5,400', () => {
    expect(amountOf(sheet, 'total/totalLiabilities')).toBe(540_000);
  });

  it('gives the published equity of 24,565', () => {
    expect(amountOf(sheet, 'sum/equity')).toBe(2_456_500);
    expect(amountOf(sheet, 'total/totalLiabilitiesAndEquity')).toBe(2_996_500);
  });

  it('gives the published retained earnings after closing of 4,565: the result less dividends', () => {
    const result = amountOf(sheet, 'result/thisYear') ?? 0;
    const dividends = amountOf(sheet, 'equity/3090') ?? 0;
    expect(result + dividends).toBe(456_500);
  });
});

// The sums follow from the same example: net income 4,665, and cash 24,800 where there was none before.
describe('the textbook’s cash flow', () => {
  it('leads from its net income to its cash', () => {
    const monthly = {
      first: '2019-01',
      rows: [...adjusted()].map(([number, amount]) => [number, amount] as const),
    };
    const main = { first: '2019-01', last: '2019-01' };
    const context = { main, startsIn: 1, now: '2019-01' };
    const { rows, agrees } = buildTable(
      { chart, books: tableBooks(monthly, 1), options: { depth: Infinity, zeroLines: false } },
      { sheet: 'cashFlow', columns: columnsOfSet('plain', context, 'cashFlow'), context },
    );
    const dollars = (key: string) => (rows.find(({ row }) => row.key === key)?.cells[0] ?? 0) / 100;
    expect(dollars('total/netProfitOfPeriod')).toBe(4_665);
    expect(dollars('adjustments/1590')).toBe(75);
    expect(dollars('workingCapital/1200')).toBe(-1_200);
    expect(dollars('total/cashFromOperating')).toBe(8_400);
    expect(dollars('sum/investing')).toBe(-3_500);
    expect(dollars('sum/financing')).toBe(19_900);
    expect(dollars('total/cashAtEnd')).toBe(24_800);
    expect(agrees).toBe(true);
  });
});
