import type { SourceRow } from '../importing/source';
import { readBankLines, recognizeBankList } from './read-bank-lines';

const rowsOf = (text: string): readonly SourceRow[] =>
  text
    .trim()
    .split('\n')
    .map((row, at) => ({ line: at + 1, cells: row.split(';') }))
    .filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));

const read = (text: string, currency = 'USD') => {
  const rows = rowsOf(text);
  return readBankLines({
    rows,
    columns: recognizeBankList(rows),
    currency,
    usualOrder: 'monthFirst',
    order: null,
  });
};

const linesOf = (text: string) =>
  read(text).lines.map(({ date, text: words, amount }) => [date, words, amount]);

describe('a bank’s list', () => {
  it('is read by its headings, with one signed amount', () => {
    expect(
      linesOf(`
Account 4471;;
Date;Description;Amount;Balance
2026-10-01;Rent of the barn;-1,250.00;3,750.00
2026-10-02;Card takings;415.90;4,165.90`),
    ).toEqual([
      ['2026-10-01', 'Rent of the barn', -1250_00],
      ['2026-10-02', 'Card takings', 415_90],
    ]);
  });

  it('is read with money in and out in columns of their own, whatever their signs', () => {
    expect(
      linesOf(`
Date;Details;Paid out;Paid in
13/10/2026;Power;140.59;
14/10/2026;Heron Inn;;233.15
15/10/2026;Fuel;-75.45;`),
    ).toEqual([
      ['2026-10-13', 'Power', -140_59],
      ['2026-10-14', 'Heron Inn', 233_15],
      ['2026-10-15', 'Fuel', -75_45],
    ]);
  });

  it('is read without headings, by what is in its columns, oldest line first', () => {
    expect(linesOf('2026-10-09;Orchard Supply;-76.08\n2026-10-08;Cash paid in;20.00')).toEqual([
      ['2026-10-08', 'Cash paid in', 20_00],
      ['2026-10-09', 'Orchard Supply', -76_08],
    ]);
  });

  it('reads amounts as their column writes them', () => {
    expect(linesOf('Date;Text;Amount\n2026-10-01;Hof;-1.250,00\n2026-10-02;Rad;7,50')).toEqual([
      ['2026-10-01', 'Hof', -1250_00],
      ['2026-10-02', 'Rad', 7_50],
    ]);
  });

  it('names the row, the column and the rule of what cannot be read, and keeps the other lines', () => {
    const { lines, problems } = read(
      'Date;Text;Amount\n2026-10-01;Rent;-9.00\n31 Febtober;Fuel;-5.00\n2026-10-03;Ink;five',
    );
    expect(lines.map(({ text }) => text)).toEqual(['Rent']);
    expect(problems).toMatchObject([
      { line: 3, use: 'date', rule: 'notADate', text: '31 Febtober' },
      { line: 4, use: 'amount', rule: 'notAnAmount', text: 'five' },
    ]);
  });

  it('takes no line in another currency than the books’', () => {
    const { lines, problems } = read(
      'Date;Text;Amount;Currency\n2026-10-01;Rad;5.00;EUR\n2026-10-01;Ink;5.00;usd',
    );
    expect([lines.length, problems[0]?.rule]).toEqual([1, 'otherCurrency']);
  });

  it('passes over balances and rows without an amount', () => {
    expect(
      linesOf(
        'Date;Text;Amount\n2026-10-01;Opening balance;100.00\n2026-10-01;Note;\n2026-10-02;Ink;-4.00',
      ),
    ).toEqual([['2026-10-02', 'Ink', -4_00]]);
  });

  it('tells lines apart that are alike, and knows them again in a list that overlaps', () => {
    const first = read('Date;Text;Amount\n2026-10-01;Tea;-4.00\n2026-10-01;Tea;-4.00').lines;
    const again = read(
      'Date;Text;Amount\n2026-10-01;Tea;-4.00\n2026-10-01;Tea;-4.00\n2026-10-02;Ink;-1.00',
    ).lines;
    expect(new Set(first.map(({ fingerprint }) => fingerprint)).size).toBe(2);
    expect(again.slice(0, 2).map(({ fingerprint }) => fingerprint)).toEqual(
      first.map(({ fingerprint }) => fingerprint),
    );
  });

  it('takes the order of day and month from a day beyond the twelfth, else from the country', () => {
    expect(
      read('Date;Text;Amount\n03/04/2026;A b c;1.00\n13/04/2026;D e f;1.00').lines[0]?.date,
    ).toBe('2026-04-03');
    const open = read('Date;Text;Amount\n03/04/2026;A b c;1.00');
    expect([open.lines[0]?.date, open.isOrderProven]).toEqual(['2026-03-04', false]);
  });
});
