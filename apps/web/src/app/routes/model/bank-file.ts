import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { headingsKey, type JournalMemory } from '@iunctus/contract';
import {
  readBankLines,
  recognizeBankList,
  type AccountId,
  type BankColumns,
  type BankUse,
  type DatedLine,
  type DateOrder,
  type LineSource,
  type SourceRow,
} from '@iunctus/core';
import { LIMITS, type FileProblem, type Reading, type Sheet } from '@iunctus/exchange/reading';
import { firstValueFrom } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { contentId } from '../../shared/files/content-id';
import { BooksReader } from '../../workspace/model/books-reader';
import { createBankFileWorker } from '../workers/bank-file-worker.factory';

/** A bank's file: read in a worker, its columns as they seem to be until somebody says otherwise. */
@Injectable()
export class BankFile {
  private readonly reader = inject(BooksReader);
  private readonly api = inject(ApiService);
  private worker: Worker | null = null;
  private memory: JournalMemory | null = null;

  readonly name = signal('');
  readonly sheets = signal<readonly Sheet[] | null>(null);
  readonly sheet = signal(0);
  readonly columns = signal<BankColumns | null>(null);
  readonly order = signal<DateOrder | null>(null);
  readonly problem = signal<FileProblem | null>(null);
  /** Why what the columns mean could not be kept. */
  readonly notKept = signal<ApiProblem | null>(null);
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
    await this.recall();
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
    this.columns.set(this.remembered(recognizeBankList(this.rows())));
  }

  /** What columns meant before. That it cannot be had keeps no file from being read. */
  private async recall(): Promise<void> {
    const asked = this.api.ask('journalMemory', { clientId: this.clientId() });
    this.memory = await firstValueFrom(asked).catch(() => null);
  }

  /** The columns of a list that was taken before mean what they meant then. */
  private remembered(columns: BankColumns): BankColumns {
    const key = headingsKey(columns.headings);
    const known = this.memory?.bankLists.find(({ headings }) => headingsKey(headings) === key);
    if (columns.headings.length === 0 || known?.uses.length !== columns.uses.length) return columns;
    return { ...columns, uses: known.uses };
  }

  /** Keeps what the columns of this list mean, for everybody who works on the client. */
  private remember(): void {
    const [columns, memory] = [this.columns(), this.memory];
    if (columns === null || memory === null || columns.headings.length === 0) return;
    const key = headingsKey(columns.headings);
    const others = memory.bankLists.filter(({ headings }) => headingsKey(headings) !== key);
    const own = { headings: [...columns.headings], uses: [...columns.uses] };
    this.memory = { ...memory, bankLists: [own, ...others].slice(0, 60) };
    this.api
      .ask('keepJournalMemory', { clientId: this.clientId(), body: this.memory })
      .subscribe({ error: (error: unknown) => this.notKept.set(problemOf(error)) });
  }

  private clientId(): string {
    return this.reader.client()?.id ?? '';
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
    this.remember();
  }

  /** A cell is put right. */
  mend(line: number, use: BankUse, text: string): void {
    const column = this.columns()?.uses.indexOf(use) ?? -1;
    if (column < 0) return;
    this.mended.set(new Map([...this.mended(), [`${line}/${column}`, text]]));
  }

  /** The lines of the file as those of an account, each under an id that follows from what stands in it. */
  linesAt(accountId: AccountId, source: LineSource): Promise<readonly DatedLine[]> {
    const seed = `${this.clientId()}\n${accountId}`;
    return Promise.all(
      (this.read()?.lines ?? []).map(
        async ({ date, text, amount, fingerprint }): Promise<DatedLine> => ({
          id: await contentId(`${seed}\n${fingerprint}`),
          date,
          text,
          amount,
          source,
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
