import { OneOfComponent, type OneOf } from '../../shared/components/one-of.component';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { ExportQuery, TaxSoftwareAnswer } from '@iunctus/contract';
import { fiscalYearStart, RETURN_FORMS, returnFormOf, type Period } from '@iunctus/core';
import { catchError, EMPTY } from 'rxjs';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import { Rights } from '../../session/state/rights';
import { addressOf, ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { longPeriod } from '../../shared/words/period-words';
import { KeepChartComponent } from '../components/keep-chart.component';
import { BACKUP_GROUP, EXPORT_GROUPS, returnGroup, type ExportOffer } from '../model/export-list';

/** Taking the chart, its balances and its tax return out, in open formats; and the way to bring a list in. */
@Component({
  selector: 'iu-exchange-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    OneOfComponent,
    FocusFirstDirective,
    KeepChartComponent,
    ProblemNoteComponent,
    RouterLink,
  ],
  templateUrl: './exchange.page.html',
  styleUrl: './exchange.page.css',
})
export class ExchangePage {
  private readonly proposed = inject(ProposedChart);
  protected readonly rights = inject(Rights);
  private readonly store = inject(Store);
  private readonly api = inject(ApiService);
  private readonly balances = this.store.selectSignal(workspaceFeature.selectBalances);
  protected readonly adopted = this.store.selectSignal(workspaceFeature.selectAdopted);
  protected readonly load = this.store.selectSignal(workspaceFeature.selectLoad);
  protected readonly client = this.proposed.client;
  protected readonly pending = this.proposed.changes;
  /** Whether files of the chart bear amounts. */
  protected readonly amounts = signal(true);
  /** Whether the printed chart bears guidance, and in which order it is. */
  protected readonly guidance = signal(false);
  protected readonly orders: readonly OneOf<'number' | 'statement'>[] = [
    { value: 'number', words: $localize`By number` },
    { value: 'statement', words: $localize`By statement line` },
  ];
  protected readonly by = signal<'number' | 'statement'>('number');
  protected readonly receipt = signal<TaxSoftwareAnswer | null>(null);
  protected readonly problem = signal<ApiProblem | null>(null);

  protected readonly form = computed(() => {
    const client = this.client();
    return client === null ? null : (RETURN_FORMS[returnFormOf(client)] ?? null);
  });
  protected readonly groups = computed(() => {
    const form = this.form();
    const safe = this.rights.may('backUp') ? [BACKUP_GROUP] : [];
    return [...EXPORT_GROUPS, ...(form === null ? [] : [returnGroup(form)]), ...safe];
  });
  protected readonly period = computed(() => {
    const balances = this.balances();
    return balances === null ? '' : longPeriod(balances);
  });
  /** The fiscal year in which the shown period ends, up to its end. */
  private readonly year = computed<Period | null>(() => {
    const [balances, client] = [this.balances(), this.client()];
    if (balances === null || client === null) return null;
    const { last } = balances;
    return { first: fiscalYearStart(last, client.fiscalYearStart), last };
  });
  protected readonly yearWords = computed(() => {
    const year = this.year();
    return year === null ? '' : longPeriod(year);
  });

  protected address(offer: ExportOffer): string {
    const clientId = this.client()?.id ?? '';
    if (offer.format === 'backup') return addressOf('backUpClient', { clientId });
    const printed: ExportQuery = { by: this.by(), guidance: this.guidance() ? 'yes' : 'no' };
    const query = { ...this.monthsOf(offer), ...(offer.format === 'pdf' ? printed : {}) };
    return addressOf('exportChart', { clientId, format: offer.format, query });
  }

  private monthsOf({ amounts }: ExportOffer): ExportQuery {
    const wanted = amounts === 'period' || (amounts === 'wanted' && this.amounts());
    const period = amounts === 'year' ? this.year() : wanted ? this.balances() : null;
    return period === null ? {} : { first: period.first, last: period.last };
  }

  /** Hands the return to the simulated tax software, and shows what it says. */
  protected send(offer: ExportOffer): void {
    this.receipt.set(null);
    this.problem.set(null);
    this.api
      .sendReturn(this.address(offer))
      .pipe(
        catchError((error: unknown) => {
          this.problem.set(problemOf(error));
          return EMPTY;
        }),
      )
      .subscribe((answer) => this.receipt.set(answer));
  }

  protected receiptWords({ accepted, form, lines, objections }: TaxSoftwareAnswer): string {
    return accepted
      ? $localize`The tax software took ${form} with ${lines} lines.`
      : $localize`The tax software took nothing. ${objections.join(' ')}`;
  }
}
