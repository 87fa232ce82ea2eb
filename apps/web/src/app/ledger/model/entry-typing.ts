import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import type { DraftAnswer, DraftRequest, EntryAnswer } from '@iunctus/contract';
import {
  balancingFor,
  checkEntry,
  doubtsOf,
  EMPTY_LINE,
  readTypedEntry,
  isEmptyLine,
  isTypedSource,
  negate,
  sidesOf,
  typedFrom,
  writtenSides,
  type LineFault,
  type PlacedFault,
  type TypedEntry,
  type Unread,
} from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { today } from '../../shared/dates/today';
import { entryFaultWords, lineFaultWords, unreadWords } from '../../shared/words/entry-words';
import { BooksReader } from '../../workspace/model/books-reader';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { KeptDrafts, type KeptDraft } from './kept-drafts';

/** What an entry is begun from, besides a draft. */
export interface Beginning {
  readonly clientId: string;
  readonly draftId: string;
  /** An entry whose lines are taken as a pattern. */
  readonly pattern: string | undefined;
  /** An entry that was taken back and in whose stead this one comes. */
  readonly corrects: string | undefined;
  readonly standing: { readonly standingId: string; readonly due: string } | null;
}

type Typed = Omit<DraftRequest, 'version'>;

/** What is wrong with a line, and the column in which it is put right. */
export interface WrongLine {
  readonly words: string;
  readonly column: string;
}

const columnOfFault = (fault: LineFault): string => {
  switch (fault.code) {
    case 'wantsValue':
    case 'unknownValue':
      return `value-${fault.dimensionId}`;
    case 'noAmount':
    case 'tooMuch':
    case 'wrongConversion':
      return 'debit';
    case 'onlyIn':
      return 'currency';
    case 'wrongRate':
      return 'rate';
    default:
      return 'account';
  }
};

const columnOfUnread = ({ field }: Unread): string =>
  field === 'bothSides' ? 'debit' : field === 'date' ? 'account' : field;

/** Milliseconds after the last key until what is typed goes to the server. */
const PAUSE = 600;

const blank = (): TypedEntry => ({
  date: today(),
  source: 'journal',
  comment: '',
  lines: [EMPTY_LINE, EMPTY_LINE],
});

/** An entry that is being typed: kept in this browser with every key and on the server with every pause, until it is posted. */
@Injectable()
export class EntryTyping {
  private readonly api = inject(ApiService);
  private readonly reader = inject(BooksReader);
  private readonly kept = inject(KeptDrafts);
  private readonly routes = inject(ClientRoutes);

  private clientId = '';
  private draftId = '';
  /** Under which id it is posted, so that asking again after a lost answer posts nothing twice. */
  private postingId = crypto.randomUUID();
  private version = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private saving: Promise<void> = Promise.resolve();
  private readonly typed = signal<Typed | null>(null);
  readonly entry = computed(() => this.typed()?.entry ?? null);
  readonly corrects = computed(() => this.typed()?.corrects ?? null);
  readonly standing = computed(() => this.typed()?.standing ?? null);
  readonly state = signal<'reading' | 'untouched' | 'typing' | 'saving' | 'saved' | 'posting'>(
    'reading',
  );
  readonly problem = signal<ApiProblem | null>(null);
  /** Whether posting was tried: from then on what is missing is said everywhere. */
  readonly tried = signal(false);
  private readonly refused = signal<readonly PlacedFault[]>([]);

  private readonly read = computed(() =>
    readTypedEntry(this.entry() ?? blank(), this.reader.currency()),
  );
  private readonly checking = computed(() => ({
    chart: this.reader.chart(),
    books: this.reader.books(),
    entry: this.read().entry,
    byHand: true,
  }));
  private readonly faults = computed<readonly PlacedFault[]>(() => {
    if (this.refused().length > 0) return this.refused();
    const isDated = this.read().entry.date !== '';
    return checkEntry(this.checking()).filter(
      ({ line, fault }) => isDated || line !== null || fault.code !== 'locked',
    );
  });
  readonly totals = computed(() => {
    const sides = sidesOf(this.read().entry.lines);
    return { ...sides, difference: sides.debit - sides.credit };
  });
  /** The account to which what the entry is out of balance by is offered; `null` for none. */
  readonly balancing = computed(() => {
    const { lines } = this.read().entry;
    const [currency, difference] = [this.reader.currency(), this.totals().difference];
    const context = { chart: this.reader.chart(), routes: this.routes.routes() };
    return balancingFor({ lines }, { difference, currency }, context);
  });
  readonly doubts = computed(() =>
    this.read().entry.date === '' ? [] : doubtsOf(this.checking()),
  );
  readonly isReady = computed(() => this.read().unread.length === 0 && this.faults().length === 0);

  /** What is wrong with a line, by the place where it was typed; what is only missing is said once posting was tried. */
  readonly wrong = computed<ReadonlyMap<number, WrongLine>>(() => {
    const { places, unread } = this.read();
    const wrong = new Map<number, WrongLine>();
    for (const { line, fault } of this.faults()) {
      const place = line === null ? undefined : places[line];
      if (place === undefined || line === null) continue;
      if (fault.code === 'noAmount' && !this.tried()) continue;
      const words = lineFaultWords(fault, this.reader.context());
      wrong.set(place, { words, column: columnOfFault(fault) });
    }
    for (const one of unread) {
      if (one.line === null) continue;
      const isMissing = one.field === 'account' || one.field === 'rate';
      if (isMissing && !this.tried()) wrong.delete(one.line);
      else wrong.set(one.line, { words: unreadWords(one), column: columnOfUnread(one) });
    }
    return wrong;
  });
  /** What is wrong with the entry as a whole; how far it is out of balance is seen in its totals. */
  readonly wrongEntry = computed<readonly string[]>(() => {
    const faults = this.faults().flatMap((one) => (one.line === null ? [one.fault] : []));
    const shown = faults.filter(
      ({ code }) =>
        this.tried() || !['unbalanced', 'tooFewLines', 'memorandumUnbalanced'].includes(code),
    );
    const date = this.read().unread.filter(({ line }) => line === null && this.tried());
    return [
      ...date.map(unreadWords),
      ...shown.map((fault) => entryFaultWords(fault, this.reader.context())),
    ];
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => {
      clearTimeout(this.timer);
      if (this.state() === 'typing') void this.save();
    });
  }

  /** Opens a draft, or begins an entry. */
  async begin(beginning: Beginning): Promise<void> {
    [this.clientId, this.draftId] = [beginning.clientId, beginning.draftId];
    [this.version, this.postingId] = [0, crypto.randomUUID()];
    this.problem.set(null);
    this.tried.set(false);
    this.state.set('reading');
    try {
      this.typed.set((await this.draft()) ?? (await this.fresh(beginning)));
      this.state.set(this.version === 0 ? 'untouched' : 'saved');
    } catch (error) {
      this.problem.set(problemOf(error));
    }
  }

  private async draft(): Promise<Typed | null> {
    const here = await this.kept.take(this.clientId, this.draftId);
    const { clientId } = this;
    const there = await firstValueFrom(this.api.ask('drafts', { clientId }));
    const found = there.find(({ id }) => id === this.draftId);
    this.version = found?.version ?? 0;
    if (here !== null && here.draft.version >= this.version) return typedOf(here);
    return found === undefined ? null : typedOf(found);
  }

  private async fresh({ pattern, corrects, standing }: Beginning): Promise<Typed> {
    const more = { corrects: corrects ?? null, standing };
    if (standing !== null) return { ...more, entry: await this.standingEntry(standing) };
    const from = corrects ?? pattern;
    if (from === undefined) return { ...more, entry: writable(blank()) };
    const { clientId } = this;
    const there = await firstValueFrom(this.api.ask('entry', { clientId, entryId: from }));
    return { ...more, entry: writable(this.patternOf(there, corrects !== undefined)) };
  }

  private patternOf(there: EntryAnswer, keepsDate: boolean): TypedEntry {
    const typed = typedFrom(there, this.reader.currency());
    return {
      ...typed,
      date: keepsDate ? typed.date : today(),
      source: isTypedSource(there.source) ? there.source : 'journal',
    };
  }

  private async standingEntry({ standingId, due }: NonNullable<Beginning['standing']>) {
    const { clientId } = this;
    const all = await firstValueFrom(this.api.ask('standings', { clientId }));
    const found = all.find(({ id }) => id === standingId);
    return { ...(found?.entry ?? writable(blank())), date: due };
  }

  /** Puts the difference on the account to which it is offered, in a line behind those that are typed. */
  balance(): void {
    const [entry, offered, { difference }] = [this.entry(), this.balancing(), this.totals()];
    if (entry === null || offered === null) return;
    const sides = writtenSides(negate(difference), this.reader.currency());
    const line = { ...EMPTY_LINE, accountId: offered.accountId, ...sides };
    this.change({ lines: [...entry.lines.filter((one) => !isEmptyLine(one)), line] });
  }

  /** What is typed is another now. */
  change(change: Partial<TypedEntry>): void {
    const typed = this.typed();
    if (typed === null) return;
    this.refused.set([]);
    this.typed.set({ ...typed, entry: writable({ ...typed.entry, ...change }) });
    this.keepHere();
    this.state.set('typing');
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.save(), PAUSE);
  }

  private keepHere(): void {
    const typed = this.typed();
    if (typed === null) return;
    const draft = { ...typed, version: this.version };
    this.kept.keep(this.clientId, { draftId: this.draftId, draft });
  }

  private save(): Promise<void> {
    this.saving = this.saving.then(() => this.saveNow());
    return this.saving;
  }

  private async saveNow(): Promise<void> {
    const typed = this.typed();
    if (typed === null || this.state() === 'posting' || this.state() === 'saved') return;
    const { clientId, draftId } = this;
    this.state.set('saving');
    try {
      const body = { ...typed, version: this.version };
      const kept = await firstValueFrom(this.api.ask('keepDraft', { clientId, draftId, body }));
      this.version = kept.version;
      this.problem.set(null);
      if (this.typed() === typed) {
        this.kept.forget(clientId);
        this.state.set('saved');
      } else this.state.set('typing');
    } catch (error) {
      this.problem.set(problemOf(error));
      this.state.set('typing');
    }
  }

  /** Posts the entry. Gives its id; `null` where something keeps it from being posted. */
  async post(): Promise<string | null> {
    this.tried.set(true);
    const typed = this.typed();
    if (typed === null || !this.isReady() || !isTypedSource(typed.entry.source)) return null;
    clearTimeout(this.timer);
    await this.saving;
    this.state.set('posting');
    const { clientId, draftId, postingId: id } = this;
    const { entry } = this.read();
    const { corrects, standing } = typed;
    const body = { ...entry, source: typed.entry.source, id, corrects, standing, draftId };
    try {
      await firstValueFrom(this.api.ask('postEntry', { clientId, body: writable(body) }));
    } catch (error) {
      return this.notPosted(problemOf(error));
    }
    this.kept.forget(clientId);
    this.reader.changed(entry.lines.map(({ accountId }) => accountId));
    return id;
  }

  private notPosted(problem: ApiProblem): null {
    this.state.set('saved');
    this.problem.set(problem);
    if (problem.code === 'entryRefused') this.refused.set(problem.faults);
    return null;
  }

  /** Lets go of the draft. */
  async drop(): Promise<void> {
    clearTimeout(this.timer);
    const { clientId, draftId } = this;
    await this.saving;
    this.state.set('posting');
    this.kept.forget(clientId);
    await firstValueFrom(this.api.ask('dropDraft', { clientId, draftId }));
  }
}

const typedOf = (of: DraftAnswer | KeptDraft): Typed => {
  const { entry, corrects, standing } = 'draft' in of ? of.draft : of;
  return { entry, corrects, standing };
};

type Writable<T> = T extends readonly (infer E)[]
  ? Writable<E>[]
  : T extends object
    ? { -readonly [K in keyof T]: Writable<T[K]> }
    : T;

/** The same, as the wire's types have it. */
const writable = <T>(value: T): Writable<T> => value as Writable<T>;
