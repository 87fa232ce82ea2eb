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
} from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { contentId } from '../../shared/files/content-id';
import { TableFile } from '../../shared/files/table-file';
import { BooksReader } from '../../workspace/model/books-reader';

/** A bank's file: read in a worker, its columns as they seem to be until somebody says otherwise. */
@Injectable()
export class BankFile {
  private readonly reader = inject(BooksReader);
  private readonly api = inject(ApiService);
  private memory: JournalMemory | null = null;

  readonly file = new TableFile(() => this.recognize());
  readonly columns = signal<BankColumns | null>(null);
  readonly order = signal<DateOrder | null>(null);
  /** Why what the columns mean could not be kept. */
  readonly notKept = signal<ApiProblem | null>(null);

  readonly read = computed(() => {
    const columns = this.columns();
    if (columns === null) return null;
    return readBankLines({
      rows: this.file.rows(),
      columns,
      currency: this.reader.currency(),
      usualOrder: this.reader.order(),
      order: this.order(),
    });
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.file.stop());
  }

  /** Reads a file; what was read before is forgotten. */
  async take(name: string, blob: Blob): Promise<void> {
    this.leave();
    await this.recall();
    await this.file.take(name, blob);
  }

  private recognize(): void {
    this.order.set(null);
    this.columns.set(this.remembered(recognizeBankList(this.file.rows())));
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
    if (column >= 0) this.file.mend(line, column, text);
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
    this.file.leave();
    this.columns.set(null);
    this.order.set(null);
  }
}
