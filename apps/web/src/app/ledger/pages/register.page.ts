import {
  CdkFixedSizeVirtualScroll,
  CdkVirtualForOf,
  CdkVirtualScrollViewport,
} from '@angular/cdk/scrolling';
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
  linkedSignal,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { Router } from '@angular/router';
import type { RegisterLine } from '@iunctus/contract';
import {
  accountOf,
  firstDayOf,
  fiscalYearStart,
  isOffered,
  monthOf,
  registerAccounts,
  type AccountId,
} from '@iunctus/core';
import { debounceTime, map, tap } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { takeKeyboard } from '../../shared/components/take-keyboard';
import { today } from '../../shared/dates/today';
import { SOURCE_WORDS } from '../../shared/words/choice-words';
import { dateWords } from '../../shared/words/period-words';
import { AccountChoiceComponent } from '../../workspace/components/account-choice.component';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { HoldingComponent } from '../components/holding.component';
import {
  askedBy,
  NarrowingComponent,
  WHATEVER,
  type Narrowing,
} from '../components/narrowing.component';
import { BooksReader } from '../../workspace/model/books-reader';
import { placeBehind } from '../../workspace/model/register-reading';
import { Paged } from '../model/paged';

const ROW_HEIGHT = 26;

/** An account, and for a parent all below it, line by line with its balance. */
@Component({
  selector: 'iu-register-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AccountChoiceComponent,
    CdkFixedSizeVirtualScroll,
    CdkVirtualForOf,
    CdkVirtualScrollViewport,
    HoldingComponent,
    NarrowingComponent,
    ProblemNoteComponent,
  ],
  templateUrl: './register.page.html',
  styleUrl: './register.page.css',
})
export class RegisterPage {
  private readonly api = inject(ApiService);
  private readonly router = inject(Router);
  private readonly proposed = inject(ProposedChart);
  protected readonly reader = inject(BooksReader);
  private readonly viewport = viewChild(CdkVirtualScrollViewport);
  readonly clientId = input.required<string>();
  /** An account’s id, or the key of a statement’s row. */
  readonly of = input<string>();
  /** First and last day, both inclusive. */
  readonly first = input<string>();
  readonly last = input<string>();

  protected readonly rowHeight = ROW_HEIGHT;
  protected readonly sources = SOURCE_WORDS;
  protected readonly day = dateWords;
  protected readonly chart = this.proposed.chart;
  protected readonly found = computed(() => {
    const of = this.of();
    return of === undefined ? null : registerAccounts(this.chart(), of);
  });
  /** The security that the account holds; `null` for none, and where several accounts stand together. */
  protected readonly security = computed(() => {
    const { accounts = [], isMany = true } = this.found() ?? {};
    const account = isMany ? undefined : accountOf(this.chart(), accounts[0] ?? '');
    const held =
      account !== undefined && isOffered(account, 'security') ? account.settings.security : null;
    return held === undefined || held === null || held.symbol === '' ? null : held;
  });
  protected readonly accountId = computed(() => this.found()?.accounts[0] ?? null);

  /** The days of the address; where it has none, those of the fiscal year for what begins anew with it. */
  protected readonly narrowing = linkedSignal<Narrowing>(() => ({
    ...WHATEVER,
    first: this.first() ?? (this.found()?.isOfYear === true ? this.yearStart() : ''),
    last: this.last() ?? '',
  }));
  private readonly settled = toSignal(toObservable(this.narrowing).pipe(debounceTime(200)));
  private readonly yearStart = computed(() =>
    firstDayOf(fiscalYearStart(monthOf(today()), this.reader.books().fiscalYearStart)),
  );
  protected readonly ends = signal<{ before: number; after: number } | null>(null);
  protected readonly cursor = signal(0);

  protected readonly register = new Paged<RegisterLine>((behind) => {
    const found = this.found();
    const body = {
      ...askedBy(this.settled() ?? this.narrowing()),
      accounts: [...(found?.accounts ?? [])],
      fresh: found?.isOfYear ?? false,
      before: placeBehind(behind),
    };
    return this.api.ask('register', { clientId: this.clientId(), body }).pipe(
      tap(({ before, after }) => this.ends.set({ before, after })),
      map(({ lines, more }) => ({ items: lines, more })),
    );
  });

  constructor() {
    const injector = inject(Injector);
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    effect(() => {
      const ready = this.settled() !== undefined && this.found() !== null;
      untracked(() => {
        this.cursor.set(0);
        if (ready) void this.register.restart();
      });
    });
    // The lines have the keyboard, or the account that is to be chosen.
    effect(() => {
      const wanted = this.found() === null ? '.account input' : 'cdk-virtual-scroll-viewport';
      afterNextRender(() => takeKeyboard(host, wanted), { injector });
    });
  }

  protected choose(accountId: AccountId | null): void {
    const asked = { of: accountId, first: null, last: null };
    void this.router.navigate([], { queryParams: asked, queryParamsHandling: 'merge' });
  }

  protected trackLine = (_index: number, { entryId, lineNumber }: RegisterLine): string =>
    `${entryId}/${lineNumber}`;

  /** Reads on before the end is in sight. */
  protected scrolled(index: number): void {
    if (index + 120 > this.register.items().length) void this.register.next();
  }

  protected onKey(event: KeyboardEvent): void {
    const last = this.register.items().length - 1;
    const moves: Readonly<Record<string, number>> = {
      ArrowDown: this.cursor() + 1,
      ArrowUp: this.cursor() - 1,
      PageDown: this.cursor() + 20,
      PageUp: this.cursor() - 20,
      Home: 0,
      End: last,
    };
    const next = moves[event.key];
    if (next !== undefined) {
      event.preventDefault();
      this.cursor.set(Math.max(0, Math.min(next, last)));
      this.bringIntoSight();
    } else if (event.key === 'Enter') this.open(this.register.items()[this.cursor()]);
  }

  private bringIntoSight(): void {
    const viewport = this.viewport();
    if (viewport === undefined) return;
    const [top, y] = [viewport.measureScrollOffset(), this.cursor() * ROW_HEIGHT];
    if (y < top || y + ROW_HEIGHT > top + viewport.getViewportSize())
      viewport.scrollToOffset(Math.max(0, y - viewport.getViewportSize() / 2));
  }

  protected open(line: RegisterLine | undefined): void {
    if (line === undefined) return;
    void this.router.navigate(['/clients', this.clientId(), 'ledger', 'entries', line.entryId]);
  }

  protected debit({ amount }: RegisterLine): string {
    return amount > 0 ? this.reader.amount(amount) : '';
  }

  protected credit({ amount }: RegisterLine): string {
    return amount < 0 ? this.reader.amount(-amount) : '';
  }

  protected whole(): void {
    this.narrowing.update((narrowing) => ({ ...narrowing, source: '', text: '' }));
  }

  /** What the column beside the comment holds. */
  protected readonly otherWords = computed(() =>
    this.found()?.isMany === true ? $localize`Account` : $localize`Against`,
  );
  protected readonly periodWords = computed(() => {
    const { first, last } = this.narrowing();
    if (first !== '' && last !== '') return `${dateWords(first)} – ${dateWords(last)}`;
    if (first !== '') return $localize`from ${dateWords(first)}`;
    return last === '' ? '' : $localize`to ${dateWords(last)}`;
  });
}
