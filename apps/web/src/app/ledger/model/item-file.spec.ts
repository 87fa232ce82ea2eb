import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { BooksReader } from '../../workspace/model/books-reader';
import { ItemFile } from './item-file';

jest.mock('../../shared/files/file-worker.factory', () => ({ createFileWorker: jest.fn() }));

/** A list that was read: its rows, cell by cell. */
const opened = (...rows: readonly string[]) => {
  TestBed.configureTestingModule({
    providers: [
      ItemFile,
      { provide: BooksReader, useValue: { currency: () => 'USD', order: signal('monthFirst') } },
    ],
  });
  const file = TestBed.inject(ItemFile);
  const cells = rows.map((row, at) => ({ line: at + 1, cells: row.split(';') }));
  file.table.sheets.set([{ name: 'Open', rows: cells }] as never);
  file.table.chooseSheet(0);
  return file;
};
const amounts = (file: ItemFile) => file.read()?.items.map(({ amount }) => amount);

describe('a list of open items that is brought', () => {
  it('is read by its headings as soon as its sheet is chosen', () => {
    const file = opened('Customer;Balance', 'Heron Inn;12.00');
    expect(amounts(file)).toEqual([12_00]);
  });

  it('is not read before a column is its amount', () => {
    const file = opened('Customer;Sum of it', 'Heron Inn;12.00');
    expect(file.read()).toBeNull();
    file.use(1, 'amount');
    expect(amounts(file)).toEqual([12_00]);
  });

  it('has one column of each use; the one that had it before is passed over', () => {
    const file = opened('Customer;Balance;Amount due', 'Heron Inn;12.00;7.00');
    file.use(2, 'amount');
    expect([file.columns()?.uses, amounts(file)]).toEqual([['party', null, 'amount'], [7_00]]);
  });

  it('stands on the other side where its signs are', () => {
    const file = opened('Supplier;Balance', 'Orchard Supply;12.00');
    file.sign.set(-1);
    expect(amounts(file)).toEqual([-12_00]);
  });

  it('is read anew when a cell is put right', () => {
    const file = opened('Customer;Balance', 'Heron Inn;twelve');
    expect(file.read()?.problems).toMatchObject([{ line: 2, use: 'amount' }]);
    file.mend(2, 'amount', '12');
    file.mend(2, 'paid', '5');
    expect([amounts(file), file.read()?.problems]).toEqual([[12_00], []]);
  });

  it('is forgotten when it is left', () => {
    const file = opened('Customer;Balance', 'Heron Inn;12.00');
    file.leave();
    expect([file.read(), file.table.rows()]).toEqual([null, []]);
  });
});
