import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { accountOf, formatAmount, shownAmount, type Account } from '@iunctus/core';
import { catchError, map, of, switchMap } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { shortPeriod } from '../../shared/words/period-words';
import { landingWords } from '../../shared/words/statement-words';
import { ProposedChart } from '../../workspace/model/proposed-chart';

/** What another kind moves: from which line to which, and how much in every fiscal year. */
@Component({
  selector: 'iu-kind-moves',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (years().length > 0) {
      <p i18n>
        From <b>{{ from() }}</b> to <b>{{ to() }}</b>, in every period:
      </p>
      <table>
        <tbody>
          @for (year of years(); track year.period) {
            <tr>
              <td>{{ year.period }}</td>
              <td>{{ year.amount }}</td>
            </tr>
          }
        </tbody>
      </table>
    }
  `,
  styles: `
    :host:not(:empty) {
      display: block;
      margin-top: 4px;
      padding: 8px 12px;
      border-left: 3px solid var(--amber);
      background: var(--amber-wash);
    }
    table {
      width: 100%;
      margin-top: 4px;
      border-collapse: collapse;
    }
    td:last-child {
      text-align: right;
    }
  `,
})
export class KindMovesComponent {
  private readonly proposed = inject(ProposedChart);
  private readonly api = inject(ApiService);
  readonly account = input.required<Account>();

  private readonly was = computed(() => accountOf(this.proposed.base(), this.account().id));
  private readonly changes = computed(() => {
    const was = this.was();
    return was !== undefined && was.kind !== this.account().kind ? was : null;
  });
  protected readonly from = computed(() => landingWords(this.changes()?.kind ?? 'bank'));
  protected readonly to = computed(() => landingWords(this.account().kind));

  private readonly asked = computed(() => this.changes()?.id ?? null);
  private readonly facts = toSignal(
    toObservable(this.asked).pipe(
      switchMap((id) =>
        id === null
          ? of([])
          : this.api
              .ask('postings', {
                clientId: this.proposed.client()?.id ?? '',
                body: { accounts: [id] },
              })
              .pipe(
                map(({ years }) => years),
                catchError(() => of([])),
              ),
      ),
    ),
    { initialValue: [] },
  );
  protected readonly years = computed(() => {
    const currency = this.proposed.client()?.currency ?? 'USD';
    return this.facts().map(({ first, last, amount }) => ({
      period: shortPeriod({ first, last }),
      amount: formatAmount(shownAmount(this.account().kind, amount), { currency, zero: '0.00' }),
    }));
  });
}
