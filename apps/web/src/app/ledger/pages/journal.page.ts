import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  Injector,
  input,
  signal,
  untracked,
} from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { Router, RouterLink } from '@angular/router';
import type { EntryAnswer } from '@iunctus/contract';
import { debounceTime, map } from 'rxjs';
import { Rights } from '../../session/state/rights';
import { ApiService } from '../../shared/api/api.service';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { takeKeyboard } from '../../shared/components/take-keyboard';
import { SOURCE_WORDS } from '../../shared/words/choice-words';
import { dateWords } from '../../shared/words/period-words';
import { DueListComponent } from '../components/due-list.component';
import {
  askedBy,
  NarrowingComponent,
  WHATEVER,
  type Narrowing,
} from '../components/narrowing.component';
import { PostedEntryComponent } from '../components/posted-entry.component';
import { BooksReader } from '../../workspace/model/books-reader';
import { Paged } from '../model/paged';

/** Every entry, newest first; what is due and what was left half typed stands above. */
@Component({
  selector: 'iu-journal-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    DueListComponent,
    NarrowingComponent,
    PostedEntryComponent,
    ProblemNoteComponent,
    RouterLink,
  ],
  templateUrl: './journal.page.html',
  styleUrl: './journal.page.css',
})
export class JournalPage {
  private readonly api = inject(ApiService);
  private readonly router = inject(Router);
  protected readonly rights = inject(Rights);
  protected readonly reader = inject(BooksReader);
  readonly clientId = input.required<string>();

  protected readonly sources = SOURCE_WORDS;
  protected readonly day = dateWords;
  protected readonly narrowing = signal<Narrowing>(WHATEVER);
  private readonly settled = toSignal(toObservable(this.narrowing).pipe(debounceTime(250)), {
    initialValue: WHATEVER,
  });
  protected readonly unfolded = signal<string | null>(null);
  protected readonly isNarrow = computed(() => this.settled() !== WHATEVER);

  protected readonly journal = new Paged<EntryAnswer>((behind) =>
    this.api
      .ask('journal', {
        clientId: this.clientId(),
        body: {
          ...askedBy(this.settled()),
          before: behind === null ? null : { date: behind.date, sequence: behind.sequence },
        },
      })
      .pipe(map(({ entries, more }) => ({ items: entries, more }))),
  );

  constructor() {
    const injector = inject(Injector);
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    effect(() => {
      this.clientId();
      this.settled();
      untracked(() => void this.journal.restart());
    });
    // The newest entry has the keyboard once it is there.
    const newest = effect(() => {
      if (this.journal.items().length === 0) return;
      newest.destroy();
      afterNextRender(() => takeKeyboard(host, '.entry-head'), { injector });
    });
  }

  protected toggle({ id }: EntryAnswer): void {
    this.unfolded.update((open) => (open === id ? null : id));
  }

  /** The arrow keys go from entry to entry; at the end they read on. */
  protected onKey(event: KeyboardEvent): void {
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    const head = (event.target as HTMLElement).closest<HTMLElement>('.entry-head');
    if (by === 0 || head === null) return;
    event.preventDefault();
    const heads = [...(head.closest('ol')?.querySelectorAll<HTMLElement>('.entry-head') ?? [])];
    const next = heads[heads.indexOf(head) + by];
    if (next === undefined && by > 0) void this.journal.next();
    next?.focus();
  }

  protected correct({ id }: EntryAnswer): void {
    void this.router.navigate(
      ['/clients', this.clientId(), 'ledger', 'typing', crypto.randomUUID()],
      { queryParams: { corrects: id } },
    );
  }

  protected clear(): void {
    this.narrowing.set(WHATEVER);
  }
}
