import type { SourceRow } from '../importing/source';
import { readOpenItems, recognizeItems } from './read-open-items';

const rowsOf = (text: string): readonly SourceRow[] =>
  text
    .trim()
    .split('\n')
    .map((row, at) => ({ line: at + 1, cells: row.split(';') }))
    .filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));

const read = (text: string, sign: 1 | -1 = 1) => {
  const rows = rowsOf(text);
  const columns = recognizeItems(rows);
  return readOpenItems({ rows, columns, currency: 'USD', order: 'monthFirst', sign });
};
const itemsOf = (text: string, sign: 1 | -1 = 1) =>
  read(text, sign).items.map(({ party, reference, date, amount }) => [
    party,
    reference,
    date,
    amount,
  ]);

describe('a list of open items', () => {
  it('is read by its headings; by when something is due is passed over, and so are sums', () => {
    expect(
      itemsOf(`
Unpaid invoices;;;;
Customer;Invoice no;Invoice date;Due date;Open balance
Heron Inn;1041;10/13/2026;11/12/2026;1,250.00
Tern Market;1044;10/20/2026;11/19/2026;(75.50)
Total;;;;1,174.50`),
    ).toEqual([
      ['Heron Inn', '1041', '2026-10-13', 1250_00],
      ['Tern Market', '1044', '2026-10-20', -75_50],
    ]);
  });

  it('is read with what was paid in a column of its own; what is paid in full brings no item', () => {
    expect(
      itemsOf('Name;Ref;Amount;Paid\nHeron Inn;7;100.00;40.00\nTern Market;8;50.00;50.00'),
    ).toEqual([['Heron Inn', '7', null, 60_00]]);
  });

  it('carries a name that stands above its items', () => {
    expect(
      itemsOf(
        'Supplier;Bill;Amount\nOrchard Supply;;\n;88;12.00\n;89;8.00\nTotal Orchard Supply;;20.00\nBarrel House;91;5.00',
      ),
    ).toEqual([
      ['Orchard Supply', '88', null, 12_00],
      ['Orchard Supply', '89', null, 8_00],
      ['Barrel House', '91', null, 5_00],
    ]);
  });

  it('takes what is left of an invoice, where the list says what it came to, too', () => {
    expect(itemsOf('Customer;Amount;Open balance\nHeron Inn;100.00;40.00')).toEqual([
      ['Heron Inn', '', null, 40_00],
    ]);
  });

  it('loses nobody who is called as sums are', () => {
    expect(
      itemsOf('Customer;Invoice;Amount\nTotal Harvest;7;5.00\nTotal Total Harvest;;5.00'),
    ).toEqual([['Total Harvest', '7', null, 5_00]]);
    expect(itemsOf('Customer;Amount\nTotal Harvest;5.00\nTotal;5.00')).toEqual([
      ['Total Harvest', '', null, 5_00],
    ]);
  });

  it('is read without headings, by what is in its columns', () => {
    expect(itemsOf('Heron Inn;2026-10-13;20.00\nTern Market;2026-10-14;30.00')).toEqual([
      ['Heron Inn', '', '2026-10-13', 20_00],
      ['Tern Market', '', '2026-10-14', 30_00],
    ]);
  });

  it('stands in credit where it is of suppliers', () => {
    expect(itemsOf('Supplier;Amount\nOrchard Supply;12.00', -1)).toEqual([
      ['Orchard Supply', '', null, -12_00],
    ]);
  });

  it('names row, field and rule of what cannot be read, and keeps the other rows', () => {
    const { items, problems } = read(`
Customer;Date;Amount
Heron Inn;2026-02-30;10.00
Tern Market;2026-10-01;ten
${'x'.repeat(201)};2026-10-01;5.00
Gull Café;2026-10-01;20000000000000.00
Swan Hotel;2026-10-01;7.00`);
    expect(items.map(({ party }) => party)).toEqual(['Swan Hotel']);
    expect(problems.map(({ line, use, rule }) => [line, use, rule])).toEqual([
      [2, 'date', 'notADate'],
      [3, 'amount', 'notAnAmount'],
      [4, 'party', 'textTooLong'],
      [5, 'amount', 'amountTooLarge'],
    ]);
  });

  it('asks whose an item is that follows no name', () => {
    expect(read('Customer;Invoice;Amount\n;12;5.00').problems).toEqual([
      { line: 2, use: 'party', text: '', rule: 'missing' },
    ]);
  });
});
