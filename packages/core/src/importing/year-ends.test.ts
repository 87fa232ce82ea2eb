import { emptyChart } from '../chart/build';
import { elementOf } from '../kinds/kinds';
import { aList, importOf } from '../testing/a-list';

/** Name, element and balance of each line that is a new account, “sum” for one that is worked out. */
const linesOf = (text: string) =>
  importOf(emptyChart(), aList(text))
    .rows.filter(({ status }) => status === 'new' || status === 'total')
    .map(({ entry, kind, status }) => [
      entry.name,
      status === 'total' || kind === null ? 'sum' : elementOf(kind.kind),
      entry.balance,
    ]);

const YEAR = `
|2026
RECEIPTS
Hall hire|6,400
Fundraising|2,200
PAYMENTS
Caretaker|3,100
Insurance|1,900`;

describe('what a year began with and ended with, behind what it comes to', () => {
  it('is equity first and money last, never a payment', () => {
    const lines = linesOf(
      `${YEAR}\nSurplus for the year|3,600\nBank balance at 1 April 2025|8,200\nBank balance at 31 March 2026|11,800`,
    );
    expect(lines.slice(-2)).toEqual([
      ['Bank balance at 1 April 2025', 'equity', -820000],
      ['Bank balance at 31 March 2026', 'asset', 1180000],
    ]);
  });

  it('brings the whole in to the last penny', () => {
    const { balances } = importOf(
      emptyChart(),
      aList(`${YEAR}\nNet receipts|3,600\nCash brought forward|400\nCash carried forward|4,000`),
    );
    expect(balances.reduce((all, { amount }) => all + amount, 0)).toBe(0);
  });

  it('may follow a deficit that is printed without a minus', () => {
    const lines = linesOf(`
|2026
RECEIPTS
Hall hire|1,400
PAYMENTS
Caretaker|3,100
Deficit for the year|1,700
Opening bank balance|8,200
Closing bank balance|6,500`);
    expect(lines.slice(-2).map(([, element]) => element)).toEqual(['equity', 'asset']);
  });

  it('is counted once where other lines hold the money that the year ended with', () => {
    const lines = linesOf(
      `${YEAR}\nSurplus for the year|3,600\nOpening balance|8,200\nClosing balance|11,800\nRepresented by\nCurrent account|1,800\nDeposit account|10,000`,
    );
    expect(lines.find(([name]) => name === 'Closing balance')?.[1]).toBe('sum');
    expect(lines.slice(-2).map(([, element]) => element)).toEqual(['asset', 'asset']);
  });

  it('is counted once where a balance sheet behind it has the fund and the money', () => {
    const { balances } = importOf(
      emptyChart(),
      aList(
        `${YEAR}\nSurplus for the year|3,600\nBank balance at 1 April 2025|8,200\nBank balance at 31 March 2026|11,800\nStatement of balances|\nCash at bank|11,800\nAccumulated fund brought forward|8,200`,
      ),
    );
    expect(balances.reduce((all, { amount }) => all + amount, 0)).toBe(0);
    expect(balances).toHaveLength(6);
  });

  it('leaves a fund at its end to what it is worked out from', () => {
    const lines = linesOf(
      `${YEAR}\nSurplus for the year|3,600\nAccumulated fund at 1 April 2025|8,200\nAccumulated fund at 31 March 2026|11,800`,
    );
    expect(lines.slice(-2).map(([, element]) => element)).toEqual(['equity', 'sum']);
  });

  it.each([
    ['Less drawings|-2,000', 'Retained|1,600'],
    ['Drawings|2,000', 'Carried to capital|1,600'],
    ['Drawings|1,500\nTax on the year|500', 'Left in the business|1,600'],
  ])('is no account where it is what drawings leave of the profit: %s, %s', (taken, left) => {
    const lines = linesOf(`${YEAR}\nNet profit|3,600\n${taken}\n${left}`);
    expect(lines.at(-1)?.[1]).toBe('sum');
    expect(lines.filter(([, element]) => element === 'sum')).toHaveLength(2);
  });

  it('is an account where its name says nothing of the kind: two partners share all of a profit', () => {
    const lines = linesOf(`${YEAR}\nNet profit|3,600\nDrawings Ada|2,000\nDrawings Bo|1,600`);
    expect(lines.slice(-2).map(([, element]) => element)).toEqual(['equity', 'equity']);
  });

  it.each(['Appropriation', 'Appropriation of profit', 'Reconciliation of funds'])(
    'leads to no account where partners share it: %s',
    (title) => {
      const lines = linesOf(
        `${YEAR}\nNet profit|3,600\n${title}|\nShare of profit - Ada|2,000\nShare of profit - Bo|1,600\n|3,600`,
      );
      expect(lines.slice(-5).map(([, element]) => element)).toEqual(Array(5).fill('sum'));
    },
  );

  it('is seen by what adds up alone: other lines behind a result are accounts', () => {
    const lines = linesOf(
      `${YEAR}\nSurplus for the year|3,600\nOpening balance|8,200\nBank account|9,999`,
    );
    expect(lines.at(-1)).toEqual(['Bank account', 'asset', 999900]);
  });
});

describe('what a letter says around a list', () => {
  it('is no account: a greeting, sentences, a farewell', () => {
    const lines = linesOf(`
Hello Maren,
here are the figures that you asked for:
Rent|12,000
Wages|31,000
Sales|90,000
Best wishes
Tilda`);
    expect(lines.map(([name]) => name)).toEqual(['Rent', 'Wages', 'Sales']);
  });

  it('is none in one line before account numbers, commas or not', () => {
    const { rows } = importOf(
      emptyChart(),
      aList('Hi Jo - the chart| as I had it| Sam\n10 Bank\n20 Supplier\n40 Sales\n60 Rent'),
    );
    expect(rows.map(({ entry }) => entry.name)).toEqual(['Bank', 'Supplier', 'Sales', 'Rent']);
  });

  it('is not taken from a list of names alone', () => {
    const lines = linesOf('Rent\nWages\nThanks\nSales');
    expect(lines.map(([name]) => name)).toEqual(['Rent', 'Wages', 'Thanks', 'Sales']);
  });
});
