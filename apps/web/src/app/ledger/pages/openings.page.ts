import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import type { EntryAnswer } from '@iunctus/contract';
import {
  accountOf,
  addMonths,
  eachNode,
  fiscalYearStart,
  lastDayOf,
  ledgerOf,
  monthOf,
  oddBalance,
  planOpening,
  readSides,
  rollUpOver,
  sidesOf,
  statementOf,
  titleOf,
  trialBalance,
  writtenSides,
  type AccountId,
  type Sides,
  type WantedBalance,
} from '@iunctus/core';
import { firstValueFrom, map } from 'rxjs';
import { Rights } from '../../session/state/rights';
import { ApiService } from '../../shared/api/api.service';
import { Doing } from '../../shared/api/doing';
import { reading } from '../../shared/api/reading';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { WhenFieldComponent } from '../../shared/components/when-field.component';
import { today } from '../../shared/dates/today';
import { dateWords } from '../../shared/words/period-words';
import { PostedEntryComponent } from '../components/posted-entry.component';
import { BooksReader } from '../../workspace/model/books-reader';
import { Paged } from '../model/paged';

type Side = keyof Sides;
const NOTHING: Sides = { debit: '', credit: '' };

/** Typing the balances that accounts are to have at the end of a month; what was posted of such can be taken back. */
@Component({
  selector: 'iu-openings-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    PostedEntryComponent,
    ProblemNoteComponent,
    ReadingNoteComponent,
    RouterLink,
    WhenFieldComponent,
  ],
  templateUrl: './openings.page.html',
  styleUrl: './openings.page.css',
})
export class OpeningsPage {
  private readonly api = inject(ApiService);
  protected readonly rights = inject(Rights);
  protected readonly reader = inject(BooksReader);
  readonly clientId = input.required<string>();
  protected readonly day = dateWords;
  protected readonly ofYear = signal(false);
  protected readonly doing = new Doing();
  protected readonly posted = signal<string | null>(null);
  protected readonly unfolded = signal<string | null>(null);

  /** The month before the fiscal year, until another is typed. */
  protected readonly month = linkedSignal(() =>
    addMonths(fiscalYearStart(monthOf(today()), this.reader.books().fiscalYearStart), -1),
  );
  protected readonly lastDay = computed(() => lastDayOf(this.month()));
  private readonly period = computed(() => ({
    first: fiscalYearStart(this.month(), this.reader.books().fiscalYearStart),
    last: this.month(),
  }));
  protected readonly balances = reading(
    () => ({ clientId: this.clientId(), query: this.period() }),
    (asked) => this.api.ask('balances', asked),
  );
  protected readonly openings = new Paged<EntryAnswer>(() =>
    this.api
      .ask('journal', {
        clientId: this.clientId(),
        body: { first: null, last: null, source: 'opening', text: '', before: null },
      })
      .pipe(map(({ entries, more }) => ({ items: entries, more }))),
  );

  private readonly books = computed(() => {
    const { amounts = [], splits = [] } = this.balances.value() ?? {};
    return [...amounts, ...splits];
  });
  private readonly now = computed(() =>
    trialBalance(this.reader.chart(), rollUpOver(ledgerOf(this.books())), false),
  );
  /** What was typed, by account. */
  private readonly typed = linkedSignal<ReadonlyMap<AccountId, Sides>>(() => {
    this.balances.value();
    return new Map();
  });
  protected readonly rows = computed(() =>
    [...eachNode(this.reader.chart().roots)].flatMap(({ account }) => {
      const shown = this.ofYear() || statementOf(account.kind) === 'balanceSheet';
      if (account.role !== 'posting' || account.retiredOn !== null || !shown) return [];
      const sides =
        this.typed().get(account.id) ??
        writtenSides(this.now().get(account.id) ?? 0, this.reader.currency());
      return [
        {
          id: account.id,
          title: titleOf(account),
          sides,
          wrong: this.read(sides).unread.length > 0,
        },
      ];
    }),
  );
  private readonly wanted = computed<readonly WantedBalance[]>(() =>
    [...this.typed()].map(([accountId, sides]) => ({
      accountId,
      amount: this.read(sides).amount,
    })),
  );
  protected readonly totals = computed(() =>
    sidesOf(
      this.rows().map(({ id, sides }) => ({ accountId: id, amount: this.read(sides).amount })),
    ),
  );
  protected readonly plan = computed(() =>
    planOpening(this.reader.chart(), this.books(), this.wanted()),
  );
  /** What stands open in the account for opening balances until somebody clears it; empty for nothing. */
  protected readonly uncleared = computed(() =>
    [...eachNode(this.reader.chart().roots)].flatMap(({ account }) => {
      const balance = this.now().get(account.id) ?? 0;
      const isOpen = oddBalance(account.kind, balance) === 'toBeCleared';
      return isOpen
        ? [{ id: account.id, title: titleOf(account), amount: this.reader.amount(-balance) }]
        : [];
    }),
  );
  protected readonly isReadable = computed(() => this.rows().every(({ wrong }) => !wrong));
  /** Where the difference goes. */
  protected readonly equity = computed(() => {
    const { equityId } = this.plan();
    const account = equityId === null ? undefined : accountOf(this.reader.chart(), equityId);
    return account === undefined ? null : titleOf(account);
  });

  constructor() {
    effect(() => {
      this.clientId();
      untracked(() => void this.openings.restart());
    });
  }

  private read(sides: Sides) {
    return readSides(sides, this.reader.currency());
  }

  protected labelOf(side: Side, title: string): string {
    return side === 'debit' ? $localize`Debit of ${title}` : $localize`Credit of ${title}`;
  }

  protected type(accountId: AccountId, side: Side, text: string): void {
    const sides = { ...NOTHING, [side]: text };
    this.typed.set(new Map([...this.typed(), [accountId, sides]]));
    this.posted.set(null);
  }

  /** The arrow keys and Enter go up and down a column. */
  protected onKey(event: KeyboardEvent): void {
    const by = event.key === 'ArrowUp' ? -1 : ['ArrowDown', 'Enter'].includes(event.key) ? 1 : 0;
    const field = event.target as HTMLElement;
    const side = field.dataset['side'];
    if (by === 0 || side === undefined) return;
    event.preventDefault();
    const column = [
      ...(field.closest('table')?.querySelectorAll<HTMLInputElement>(`[data-side="${side}"]`) ??
        []),
    ];
    const next = column[column.indexOf(field as HTMLInputElement) + by];
    next?.focus();
    next?.select();
  }

  protected async post(): Promise<void> {
    const balances = this.wanted().map((wanted) => ({ ...wanted }));
    const asked = {
      clientId: this.clientId(),
      body: { last: this.month(), list: '', balances },
    };
    let posted = 0;
    const done = await this.doing.run(async () => {
      ({ posted } = await firstValueFrom(this.api.ask('postOpening', asked)));
    });
    if (done) this.say(posted);
    this.reader.changed(balances.map(({ accountId }) => accountId));
    this.again();
  }

  private say(posted: number): void {
    this.posted.set(
      posted === 0
        ? $localize`All of them have these balances already.`
        : $localize`Posted at ${dateWords(this.lastDay())}.`,
    );
  }

  protected again(): void {
    this.balances.again();
    void this.openings.restart();
  }

  protected setMonth(month: string | null): void {
    if (month !== null && month !== '') this.month.set(month);
  }
}
