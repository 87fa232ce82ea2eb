import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import {
  accountOf,
  addMonths,
  fiscalYearStart,
  formatAmount,
  hasAccount,
  isMonth,
  ledgerOf,
  monthOf,
  planOpening,
  rollUpOver,
  sidesOf,
  titleOf,
  trialBalance,
  type AccountId,
  type ListedBalance,
  type Minor,
  type OpeningPlan,
} from '@iunctus/core';
import { Store } from '@ngrx/store';
import { catchError, EMPTY } from 'rxjs';
import { BenchModel } from '../../bench/model/bench-model';
import { today } from '../../bench/model/tree-words';
import { BenchPageActions } from '../../bench/state/bench.actions';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';

const WHY: Readonly<Record<OpeningPlan['refused'][number]['why'], string>> = {
  gone: 'is not adopted yet',
  heading: 'is a heading',
  retired: 'is retired',
  wantsDimension: 'demands a dimension value and has none by default',
};

/** The balances of the list beside those of the books, and the entry that makes them equal. */
@Component({
  selector: 'iu-balances-part',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ProblemNoteComponent],
  templateUrl: './balances-part.component.html',
  styleUrl: './balances-part.component.css',
})
export class BalancesPartComponent {
  private readonly bench = inject(BenchModel);
  private readonly api = inject(ApiService);
  private readonly store = inject(Store);
  readonly balances = input.required<readonly ListedBalance[]>();

  /** The month at whose end the list was drawn up. */
  protected readonly last = linkedSignal(
    () => this.bench.client()?.latestMonth ?? addMonths(monthOf(today()), -1),
  );
  private readonly now = signal<ReadonlyMap<AccountId, Minor> | null>(null);
  /** Counts how often the books were read, for they change by what is posted. */
  private readonly asked = signal(0);
  protected readonly problem = signal<ApiProblem | null>(null);
  protected readonly posted = signal<number | null>(null);

  /** Accounts that are only proposed cannot be posted to. */
  protected readonly waiting = computed(
    () =>
      this.balances().filter(({ accountId }) => !hasAccount(this.bench.base(), accountId)).length,
  );
  protected readonly plan = computed(() => {
    const now = this.now();
    return now === null ? null : planOpening(this.bench.base(), now, this.balances());
  });
  protected readonly lines = computed(() =>
    (this.plan()?.lines ?? []).map((line) => ({ ...line, title: this.called(line.accountId) })),
  );
  protected readonly sum = computed(() => sidesOf(this.balances()));
  protected readonly refused = computed(() =>
    (this.plan()?.refused ?? []).map(
      ({ accountId, why }) => `${this.called(accountId)} ${WHY[why]}`,
    ),
  );
  protected readonly equity = computed(() => {
    const id = this.plan()?.equityId ?? null;
    return id === null ? null : this.called(id);
  });
  /** Whether the entry can be posted as it is. */
  protected readonly ready = computed(() => {
    const plan = this.plan();
    if (plan === null || this.waiting() > 0 || plan.refused.length > 0) return false;
    return plan.lines.length > 0 && (plan.difference === 0 || plan.equityId !== null);
  });

  constructor() {
    effect((onCleanup) => {
      const [client, last] = [this.bench.client(), this.last()];
      this.asked();
      if (client === null || client.chart === null || !isMonth(last)) return;
      const first = fiscalYearStart(last, client.fiscalYearStart);
      const asking = this.api
        .balances(client.id, { first, last })
        .pipe(catchError((error: unknown) => this.failed(error)))
        .subscribe(({ amounts, splits }) => {
          const rollUp = rollUpOver(ledgerOf([...amounts, ...splits]));
          this.now.set(trialBalance(this.bench.base(), rollUp, false));
        });
      onCleanup(() => asking.unsubscribe());
    });
  }

  protected amount(value: Minor): string {
    return formatAmount(value, { currency: this.bench.client()?.currency ?? 'USD', zero: '–' });
  }

  protected chooseMonth(event: Event): void {
    const { value } = event.target as HTMLInputElement;
    this.posted.set(null);
    if (isMonth(value)) this.last.set(value);
  }

  protected bring(): void {
    const client = this.bench.client();
    if (client === null || !this.ready()) return;
    this.problem.set(null);
    const balances = this.balances().map(({ accountId, amount }) => ({ accountId, amount }));
    this.api
      .bringOpening(client.id, { last: this.last(), balances })
      .pipe(catchError((error: unknown) => this.failed(error)))
      .subscribe(({ posted }) => {
        this.posted.set(posted);
        this.asked.update((count) => count + 1);
        // The bench and its statements have other amounts now.
        this.store.dispatch(BenchPageActions.clientOpened({ clientId: client.id }));
      });
  }

  private called(id: AccountId): string {
    const account = accountOf(this.bench.base(), id) ?? accountOf(this.bench.chart(), id);
    return account === undefined ? 'An account of the list' : titleOf(account);
  }

  private failed(error: unknown): typeof EMPTY {
    this.problem.set(problemOf(error));
    return EMPTY;
  }
}
