import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { formatAmount, namedPeriod, type Period, type PeriodName } from '@iunctus/core';
import { UserMenuComponent } from '../../session/pages/user-menu.component';
import { Rights } from '../../session/state/rights';
import { ApiService } from '../../shared/api/api.service';
import { reading } from '../../shared/api/reading';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { PLAIN_STATEMENT_WORDS } from '../../shared/words/look-words';
import { endOfPeriod, longPeriod } from '../../shared/words/period-words';
import { PlainStatementComponent } from '../components/plain-statement.component';
import { lookedAt, plainAccounts, plainStatement } from '../model/plain-statements';

const PERIODS: readonly PickOption<PeriodName>[] = [
  { value: 'yearToDate', words: $localize`This business year so far` },
  { value: 'month', words: $localize`The latest month` },
  { value: 'twelveMonths', words: $localize`The last twelve months` },
  { value: 'lastYear', words: $localize`The business year before` },
];

/** One client for somebody who looks on: what came in and went out, what there is and what is owed, and what belongs where. */
@Component({
  selector: 'iu-look-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    PickComponent,
    PlainStatementComponent,
    ReadingNoteComponent,
    RouterLink,
    UserMenuComponent,
  ],
  templateUrl: './look.page.html',
  styleUrl: './look.page.css',
})
export class LookPage {
  private readonly api = inject(ApiService);
  protected readonly rights = inject(Rights);
  readonly clientId = input.required<string>();
  protected readonly periods = PERIODS;
  protected readonly named = signal<PeriodName>('yearToDate');
  protected readonly overviewed = reading(
    () => this.clientId(),
    (clientId) => this.api.ask('overview', { clientId }),
  );
  protected readonly overview = this.overviewed.value;
  protected readonly statementWords = PLAIN_STATEMENT_WORDS;

  protected readonly period = computed<Period | null>(() => {
    const client = this.overview()?.client;
    if (client?.latestMonth === undefined || client.latestMonth === null) return null;
    return namedPeriod(this.named(), client.latestMonth, client.fiscalYearStart);
  });
  protected readonly balances = reading(
    () => {
      const [period, overview] = [this.period(), this.overview()];
      return period === null || overview?.chart === null ? undefined : period;
    },
    (query) => this.api.ask('balances', { clientId: this.clientId(), query }),
  );
  private readonly looked = computed(() => {
    const [overview, balances] = [this.overview(), this.balances.value()];
    return overview === null || balances === null ? null : lookedAt(overview, balances);
  });
  protected readonly cameIn = computed(() => {
    const looked = this.looked();
    return looked === null ? [] : plainStatement(looked, 'profitAndLoss');
  });
  protected readonly owned = computed(() => {
    const looked = this.looked();
    return looked === null ? [] : plainStatement(looked, 'balanceSheet');
  });
  protected readonly accounts = computed(() => {
    const looked = this.looked();
    return looked === null ? [] : plainAccounts(looked);
  });
  protected readonly periodWords = computed(() => {
    const period = this.period();
    return period === null ? '' : longPeriod(period);
  });
  protected readonly endWords = computed(() => {
    const period = this.period();
    return period === null ? '' : `On ${endOfPeriod(period)}`;
  });

  protected amount(amount: number): string {
    return amount === 0
      ? '–'
      : formatAmount(amount, { currency: this.overview()?.client.currency ?? 'USD' });
  }

  protected print(): void {
    window.print();
  }
}
