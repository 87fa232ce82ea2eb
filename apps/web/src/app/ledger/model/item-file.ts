import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { readOpenItems, recognizeItems, type ItemColumns, type ItemUse } from '@iunctus/core';
import { TableFile } from '../../shared/files/table-file';
import { BooksReader } from '../../workspace/model/books-reader';

/** A list of open items: read in a worker, its columns as they seem to be until somebody says otherwise. */
@Injectable()
export class ItemFile {
  private readonly reader = inject(BooksReader);
  readonly table = new TableFile(() => this.columns.set(recognizeItems(this.table.rows())));
  readonly columns = signal<ItemColumns | null>(null);
  /** `1` where what the list says is owed is a debit, `-1` where it is a credit. */
  readonly sign = signal<1 | -1>(1);
  readonly read = computed(() => {
    const columns = this.columns();
    if (columns === null || !columns.uses.includes('amount')) return null;
    return readOpenItems({
      rows: this.table.rows(),
      columns,
      currency: this.reader.currency(),
      order: this.reader.order(),
      sign: this.sign(),
    });
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.table.stop());
  }

  /** A column is used otherwise; a use that another column had is free then, but for what names an item. */
  use(column: number, use: ItemUse | null): void {
    const columns = this.columns();
    if (columns === null) return;
    const uses = columns.uses.map((had, at) => {
      if (at === column) return use;
      return had === use && use !== 'reference' ? null : had;
    });
    this.columns.set({ ...columns, uses });
  }

  /** A cell is put right; one of a column that the list does not have cannot be. */
  mend(line: number, use: ItemUse, text: string): void {
    const column = this.columns()?.uses.indexOf(use) ?? -1;
    if (column >= 0) this.table.mend(line, column, text);
  }

  /** Forgets the list. */
  leave(): void {
    this.table.leave();
    this.columns.set(null);
  }
}
