import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import {
  readBankLines,
  recognizeBankList,
  type AccountId,
  type BankColumns,
  type BankUse,
  type DatedLine,
  type DateOrder,
  type SourceRow,
} from '@iunctus/core';
import { LIMITS, type FileProblem, type Reading, type Sheet } from '@iunctus/exchange/reading';
import { contentId } from '../../shared/files/content-id';
import { BooksReader } from '../../workspace/model/books-reader';
import { createBankFileWorker } from '../workers/bank-file-worker.factory';

/** A bank's file: read in a worker, its columns as they seem to be until somebody says otherwise. */
@Injectable()
export class BankFile {
  private readonly reader = inject(BooksReader);
  private worker: Worker | null = null;

  readonly name = signal('');
  readonly sheets = signal<readonly Sheet[] | null>(null);
  readonly sheet = signal(0);
  readonly columns = signal<BankColumns | null>(null);
  readonly order = signal<DateOrder | null>(null);
  readonly problem = signal<FileProblem | null>(null);
  readonly busy = signal(false);

  /** What was put right, by row and column. */
  private readonly mended = signal<ReadonlyMap<string, string>>(new Map());
  readonly rows = computed<readonly SourceRow[]>(() => {
    const rows = this.sheets()?.[this.sheet()]?.rows ?? [];
    const mended = this.mended();
    if (mended.size === 0) return rows;
    return rows.map(({ line, cells }) => ({
      line,
      cells: cells.map((cell, column) => mended.get(`${line}/${column}`) ?? cell),
    }));
  });
  readonly read = computed(() => {
    const columns = this.columns();
    if (columns === null) return null;
    return readBankLines({
      rows: this.rows(),
      columns,
      currency: this.reader.currency(),
      usualOrder: this.reader.order(),
      order: this.order(),
    });
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.worker?.terminate());
  }

  /** Reads a file; what was read before is forgotten. */
  async take(name: string, file: Blob): Promise<void> {
    this.leave();
    this.name.set(name);
    if (file.size > LIMITS.bytes) return this.problem.set({ code: 'tooLarge' });
    this.busy.set(true);
    const bytes = new Uint8Array(await file.arrayBuffer());
    const worker = createBankFileWorker();
    this.worker = worker;
    worker.addEventListener('message', ({ data }: MessageEvent<Reading>) => this.hear(data));
    // A file that the reader cannot bear takes only the worker with it.
    worker.addEventListener('error', () => this.hear({ ok: false, problem: { code: 'damaged' } }));
    worker.postMessage(bytes);
  }

  private hear(reading: Reading): void {
    this.worker?.terminate();
    this.worker = null;
    this.busy.set(false);
    if (!reading.ok) return this.problem.set(reading.problem);
    this.sheets.set(reading.file.sheets);
    this.chooseSheet(0);
  }

  chooseSheet(sheet: number): void {
    this.sheet.set(sheet);
    this.order.set(null);
    this.mended.set(new Map());
    this.columns.set(recognizeBankList(this.rows()));
  }

  /** A column is used otherwise; a use that another column had is free then, but for words. */
  use(column: number, use: BankUse | null): void {
    const columns = this.columns();
    if (columns === null) return;
    const uses = columns.uses.map((had, at) => {
      if (at === column) return use;
      return had === use && use !== 'text' ? null : had;
    });
    this.columns.set({ ...columns, uses });
  }

  /** A cell is put right. */
  mend(line: number, use: BankUse, text: string): void {
    const column = this.columns()?.uses.indexOf(use) ?? -1;
    if (column < 0) return;
    this.mended.set(new Map([...this.mended(), [`${line}/${column}`, text]]));
  }

  /** The lines of the file as those of an account, each under an id that follows from what stands in it. */
  linesAt(accountId: AccountId): Promise<readonly DatedLine[]> {
    const seed = `${this.reader.client()?.id ?? ''}\n${accountId}`;
    return Promise.all(
      (this.read()?.lines ?? []).map(
        async ({ date, text, amount, fingerprint }): Promise<DatedLine> => ({
          id: await contentId(`${seed}\n${fingerprint}`),
          date,
          text,
          amount,
          source: 'bank',
        }),
      ),
    );
  }

  /** Forgets the file. */
  leave(): void {
    this.worker?.terminate();
    this.worker = null;
    this.busy.set(false);
    this.sheets.set(null);
    this.columns.set(null);
    this.order.set(null);
    this.problem.set(null);
  }
}
