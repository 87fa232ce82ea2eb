import { computed, effect, inject, Injectable, linkedSignal, signal } from '@angular/core';
import {
  addMonths,
  fiscalYearStart,
  isMonth,
  isPostable,
  LIST_NAME_LIMIT,
  monthOf,
  monthOfList,
  openingAmounts,
  type AmountsTuple,
  type OpeningBalances,
  type Period,
} from '@iunctus/core';
import { catchError, EMPTY, map, of, type Observable } from 'rxjs';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { StatementEngine } from '../../workspace/model/statement-engine';
import { today } from '../../shared/dates/today';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { ImportDraft } from './import-draft';
import { ImportEngine } from './import-engine';

/** The balances of the list beside those of the books, and whether they come along with the accounts. */
@Injectable()
export class ImportOpening {
  private readonly proposed = inject(ProposedChart);
  private readonly statements = inject(StatementEngine);
  private readonly engine = inject(ImportEngine);
  private readonly draft = inject(ImportDraft);
  private readonly api = inject(ApiService);

  private readonly dated = computed(() => this.engine.plan()?.dated ?? null);
  /** The month at whose end the list was drawn up, as far as it says so. */
  readonly last = linkedSignal(
    () =>
      monthOfList(this.dated(), this.draft.columns(), {
        today: today(),
        order: this.proposed.dateOrder(),
        startsIn: this.startsIn(),
      }) ??
      this.proposed.client()?.latestMonth ??
      addMonths(monthOf(today()), -1),
  );
  /** A client without entries wants the balances of its list; another is asked. */
  readonly along = linkedSignal<unknown, boolean>({
    source: () => this.draft.seen(),
    computation: () => this.proposed.client()?.latestMonth === null,
  });
  /** Whether an account is added for what the balances leave open. */
  readonly withTaker = linkedSignal<unknown, boolean>({
    source: () => this.draft.seen(),
    computation: () => false,
  });
  readonly problem = signal<ApiProblem | null>(null);
  private readonly books = signal<readonly AmountsTuple[] | null>(null);

  private readonly balances = computed(() => this.engine.plan()?.balances ?? []);
  /** Whether the list has any balance. */
  readonly listed = computed(() => this.balances().some(({ amount }) => amount !== 0));
  private readonly listedOpening = computed<OpeningBalances>(() => ({
    last: this.last(),
    list: this.draft.name().slice(0, LIST_NAME_LIMIT),
    balances: this.balances().map(({ accountId, amount }) => ({ accountId, amount })),
  }));
  /** The balances and the entry they would be; `null` until that is worked out. */
  readonly planned = computed(() => {
    const opened = this.engine.opening();
    return opened === null ? null : { opening: this.listedOpening(), plan: opened.plan };
  });
  /** Whether bringing the balances along would change any. */
  readonly changes = computed(() => {
    const plan = this.engine.opening()?.plan;
    return plan !== undefined && plan.lines.length + plan.refused.length > 0;
  });
  /** Whether they are wanted but cannot be posted as they are. */
  readonly stuck = computed(() => {
    const plan = this.engine.opening()?.plan;
    return this.along() && this.listed() && plan !== undefined && !isPostable(plan);
  });
  /** Whether they are wanted and not worked out yet. */
  readonly waiting = computed(
    () => this.along() && this.listed() && this.engine.opening() === null,
  );
  /** Whether what the balances leave open has no account, and one would settle it. */
  readonly wantsTaker = computed(() => {
    const plan = this.engine.opening()?.plan;
    return plan !== undefined && plan.difference !== 0 && plan.equityId === null;
  });
  /** What adds that account. */
  readonly taker = computed(() =>
    this.opening() === null ? [] : (this.engine.opening()?.taker ?? []),
  );
  /** What goes into the proposal; `null` for nothing. */
  readonly opening = computed(() =>
    this.along() && this.listed() && this.changes() && !this.stuck() ? this.listedOpening() : null,
  );

  private readonly year = computed<Period>(() => ({
    first: fiscalYearStart(this.last(), this.startsIn()),
    last: this.last(),
  }));

  constructor() {
    effect((onCleanup) => {
      const asking = this.booksOf(this.year()).subscribe((books) => this.books.set(books));
      onCleanup(() => asking.unsubscribe());
    });
    effect(() => {
      const books = this.books();
      if (books === null || this.engine.plan() === null || !this.listed()) return;
      // Balances that are in the proposal already count as posted.
      const pending = openingAmounts(this.statements.openings(), this.year(), this.startsIn());
      this.engine.askOpening([...books, ...pending], this.withTaker());
    });
  }

  chooseMonth(text: string): void {
    if (isMonth(text)) this.last.set(text);
  }

  private startsIn(): number {
    return this.proposed.client()?.fiscalYearStart ?? 1;
  }

  /** What the books come to over a fiscal year; nothing for a client without a chart. */
  private booksOf(year: Period): Observable<readonly AmountsTuple[]> {
    const client = this.proposed.client();
    this.problem.set(null);
    if (client === null) return EMPTY;
    if (client.chart === null) return of([]);
    return this.api.ask('balances', { clientId: client.id, query: year }).pipe(
      map(({ amounts, splits }) => [...amounts, ...splits]),
      catchError((error: unknown) => {
        this.problem.set(problemOf(error));
        return EMPTY;
      }),
    );
  }
}
