import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import {
  headingsKey,
  type JournalMemory,
  type PostListAnswer,
  type PostListRequest,
} from '@iunctus/contract';
import {
  accountKey,
  hasAccount,
  recordOf,
  type AccountId,
  type DateOrder,
  type JournalColumns,
  type JournalUse,
  type TypedSource,
} from '@iunctus/core';
import { LIMITS, type FileProblem } from '@iunctus/exchange/reading';
import { firstValueFrom } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { createJournalWorker } from '../workers/journal-worker.factory';
import type {
  JournalAnswer,
  JournalPlan,
  JournalQuestion,
  JournalSheet,
} from '../workers/journal-messages';
import { BooksReader } from '../../workspace/model/books-reader';
import { ENTRIES_AT_ONCE, ListPosting } from '../../workspace/model/list-posting';

/** How far posting is: entries done of all, and what became of them. */
export interface Posting {
  readonly done: number;
  readonly all: number;
  readonly posted: number;
  readonly known: number;
  readonly refused: PostListAnswer['refused'];
  readonly state: 'posting' | 'done' | 'stopped';
}

/** A list of entries on its way into the books: read and held against them in a worker, posted part by part. */
@Injectable()
export class JournalImport {
  private readonly api = inject(ApiService);
  private readonly reader = inject(BooksReader);
  private readonly lists = inject(ListPosting);
  private worker = this.started();
  private serial = 0;
  private memory: JournalMemory = { lists: [], bankLists: [], accounts: {} };
  private taken: ((entries: PostListRequest['entries']) => void) | null = null;

  readonly name = signal('');
  readonly sheets = signal<readonly JournalSheet[] | null>(null);
  readonly sheet = signal(0);
  readonly columns = signal<JournalColumns | null>(null);
  readonly order = signal<DateOrder | null>(null);
  readonly source = signal<TypedSource>('journal');
  readonly accounts = signal<ReadonlyMap<string, AccountId>>(new Map());
  private readonly mended = signal<
    ReadonlyMap<number, Readonly<Partial<Record<JournalUse, string>>>>
  >(new Map());
  readonly fileProblem = signal<FileProblem | null>(null);
  readonly problem = signal<ApiProblem | null>(null);
  readonly busy = signal(false);
  readonly plan = signal<JournalPlan | null>(null);
  /** Ids of its entries that are in the books already. */
  private readonly known = signal<ReadonlySet<string>>(new Set());
  readonly knownCount = computed(() => this.known().size);
  readonly freshCount = computed(() => (this.plan()?.ids.length ?? 0) - this.known().size);
  readonly posting = signal<Posting | null>(null);
  /** Whether all of it is posted. */
  readonly isPosted = computed(() => this.posting()?.state === 'done');

  constructor() {
    inject(DestroyRef).onDestroy(() => {
      this.serial += 1;
      this.worker.terminate();
    });
  }

  /** Reads a file; what was read before is forgotten. */
  async read(name: string, file: Blob): Promise<void> {
    this.leave();
    this.name.set(name);
    if (file.size > LIMITS.bytes) return this.fileProblem.set({ code: 'tooLarge' });
    this.busy.set(true);
    await this.recall();
    const bytes = new Uint8Array(await file.arrayBuffer());
    this.send({ type: 'read', bytes, chart: recordOf(this.reader.chart()) });
  }

  private async recall(): Promise<void> {
    const asked = { clientId: this.clientId() };
    try {
      this.memory = await firstValueFrom(this.api.ask('journalMemory', asked));
    } catch (error) {
      this.problem.set(problemOf(error));
    }
    const known = Object.entries(this.memory.accounts);
    this.accounts.set(new Map(known.filter(([, id]) => hasAccount(this.reader.chart(), id))));
  }

  /** Forgets the list. */
  leave(): void {
    this.worker.terminate();
    this.worker = this.started();
    this.serial += 1;
    for (const one of [this.sheets, this.columns, this.order, this.plan, this.posting])
      one.set(null);
    this.fileProblem.set(null);
    this.problem.set(null);
    this.sheet.set(0);
    this.accounts.set(new Map());
    this.mended.set(new Map());
    this.known.set(new Set());
    this.busy.set(false);
  }

  chooseSheet(sheet: number): void {
    this.sheet.set(sheet);
    this.columns.set(this.remembered(this.sheets()?.[sheet]?.columns ?? null));
    this.mended.set(new Map());
    this.again();
  }

  /** The columns of a list that was brought in before mean what they meant then. */
  private remembered(columns: JournalColumns | null): JournalColumns | null {
    if (columns === null || columns.headings.length === 0) return columns;
    const key = headingsKey(columns.headings);
    const known = this.memory.lists.find(({ headings }) => headingsKey(headings) === key);
    const ids = new Set(this.reader.dimensions().map(({ id }) => `value/${id}`));
    if (known?.uses.length !== columns.uses.length) return columns;
    const uses = known.uses.map((use) =>
      use !== null && use.startsWith('value/') && !ids.has(use) ? null : use,
    );
    return { ...columns, uses };
  }

  /** Keeps what the columns and names of this list mean, for everybody of the practice. */
  private remember(): void {
    const columns = this.columns();
    if (columns === null) return;
    const key = headingsKey(columns.headings);
    const others = this.memory.lists.filter(({ headings }) => headingsKey(headings) !== key);
    const own = { headings: [...columns.headings], uses: [...columns.uses] };
    this.memory = {
      ...this.memory,
      lists: columns.headings.length === 0 ? others : [own, ...others].slice(0, 60),
      accounts: { ...this.memory.accounts, ...Object.fromEntries(this.accounts()) },
    };
    const asked = { clientId: this.clientId(), body: this.memory };
    this.api.ask('keepJournalMemory', asked).subscribe({
      error: (error: unknown) => this.problem.set(problemOf(error)),
    });
  }

  /** A column is used otherwise; a use that another column had is free then. */
  use(column: number, use: JournalUse | null): void {
    const columns = this.columns();
    if (columns === null) return;
    const uses = columns.uses.map((had, at) => (at === column ? use : had === use ? null : had));
    this.columns.set({ ...columns, uses });
    this.again();
  }

  chooseOrder(order: DateOrder): void {
    this.order.set(order);
    this.again();
  }

  chooseSource(source: TypedSource): void {
    this.source.set(source);
    this.again();
  }

  /** A text stands for an account. */
  nameAccount(text: string, accountId: AccountId): void {
    this.accounts.set(new Map([...this.accounts(), [accountKey(text), accountId]]));
    this.again();
  }

  /** A cell is put right. */
  mend(line: number, use: JournalUse, text: string): void {
    const had = this.mended().get(line) ?? {};
    this.mended.set(new Map([...this.mended(), [line, { ...had, [use]: text }]]));
    this.again();
  }

  private again(): void {
    const columns = this.columns();
    if (columns === null) return;
    this.serial += 1;
    this.busy.set(true);
    this.posting.set(null);
    this.send({
      type: 'plan',
      serial: this.serial,
      sheet: this.sheet(),
      columns,
      order: this.order(),
      accounts: this.accounts(),
      mended: this.mended(),
      chart: recordOf(this.reader.chart()),
      books: this.reader.books(),
      usualOrder: this.reader.order(),
      source: this.source(),
      clientId: this.reader.client()?.id ?? '',
    });
  }

  private send(message: JournalQuestion): void {
    this.worker.postMessage(message);
  }

  private started(): Worker {
    const worker = createJournalWorker();
    worker.addEventListener('message', ({ data }: MessageEvent<JournalAnswer>) => this.hear(data));
    // A file that the reader cannot bear takes only the worker with it.
    worker.addEventListener('error', () => {
      this.leave();
      this.fileProblem.set({ code: 'damaged' });
    });
    return worker;
  }

  private hear(answer: JournalAnswer): void {
    if ('serial' in answer && answer.serial !== this.serial) return;
    switch (answer.type) {
      case 'read':
        this.sheets.set(answer.sheets);
        return this.chooseSheet(0);
      case 'unreadable':
        this.busy.set(false);
        return this.fileProblem.set(answer.problem);
      case 'planned':
        this.plan.set(answer.plan);
        return void this.lookUp(answer.plan.ids);
      case 'taken':
        this.taken?.(answer.entries);
    }
  }

  /** Which of the entries are in the books already. */
  private async lookUp(ids: readonly string[]): Promise<void> {
    const { serial } = this;
    try {
      const known = await this.lists.known(ids);
      if (serial === this.serial) this.known.set(new Set(known.keys()));
    } catch (error) {
      this.problem.set(problemOf(error));
    }
    if (serial === this.serial) this.busy.set(false);
  }

  private clientId(): string {
    return this.reader.client()?.id ?? '';
  }

  private entries(from: number): Promise<PostListRequest['entries']> {
    return new Promise((resolve) => {
      this.taken = resolve;
      this.send({ type: 'take', serial: this.serial, from, count: ENTRIES_AT_ONCE });
    });
  }

  /** Posts the entries that can be, part by part; what was posted stays where it is stopped. */
  async post(): Promise<void> {
    const all = this.plan()?.ids.length ?? 0;
    const { serial } = this;
    this.problem.set(null);
    this.remember();
    let so: Posting = { done: 0, all, posted: 0, known: 0, refused: [], state: 'posting' };
    this.posting.set(so);
    try {
      while (so.done < all && this.posting()?.state === 'posting' && serial === this.serial) {
        const entries = await this.entries(so.done);
        const { posted, known, refused } = await this.lists.post(entries);
        so = {
          ...so,
          done: so.done + entries.length,
          posted: so.posted + posted,
          known: so.known + known,
          refused: [...so.refused, ...refused],
        };
        if (serial !== this.serial) return;
        this.posting.set({ ...so, state: this.posting()?.state ?? 'stopped' });
      }
    } catch (error) {
      this.problem.set(problemOf(error));
    }
    this.posting.set({ ...so, state: so.done === all ? 'done' : 'stopped' });
    this.lists.tell();
    void this.lookUp(this.plan()?.ids ?? []);
  }

  /** Posts no more; what was posted stays. */
  stop(): void {
    const posting = this.posting();
    if (posting !== null) this.posting.set({ ...posting, state: 'stopped' });
  }
}
