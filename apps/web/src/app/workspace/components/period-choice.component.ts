import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Store } from '@ngrx/store';
import { isMonth, namedPeriod, PERIOD_NAMES, type PeriodName } from '@iunctus/core';
import { PopoverDirective } from '../../shared/components/popover.directive';
import { WhenFieldComponent } from '../../shared/components/when-field.component';
import { PERIOD_WORDS, shortPeriod } from '../../shared/words/period-words';
import { ProposedChart } from '../model/proposed-chart';
import { WorkspaceActions } from '../state/workspace.actions';
import { workspaceFeature } from '../state/workspace.feature';

/** Choosing the period of the amounts: by name, or from month to month. */
@Component({
  selector: 'iu-period-choice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, PopoverDirective, WhenFieldComponent],
  template: `
    @if (period(); as chosen) {
      <button #anchor class="button" type="button" popovertarget="period-panel">
        {{ words() }} <span aria-hidden="true">▾</span>
      </button>
      <div
        id="period-panel"
        [iuPopover]="anchor"
        #panel="iuPopover"
        role="dialog"
        i18n-aria-label
        aria-label="Period"
      >
        <div class="panel">
          @for (named of choices(); track named.name) {
            <button
              type="button"
              class="choice"
              [attr.aria-current]="
                named.period.first === chosen.first && named.period.last === chosen.last
                  ? true
                  : null
              "
              (click)="choose(named.name); panel.hide()"
            >
              <span>{{ named.words }}</span>
              <small>{{ named.dates }}</small>
            </button>
          }
          <form (ngSubmit)="chooseMonths() && panel.hide()">
            <iu-when-field
              labelled
              unit="month"
              i18n-label
              label="From"
              [order]="order()"
              [value]="chosen.first"
              (changed)="first.set($event ?? unread)"
            />
            <iu-when-field
              labelled
              unit="month"
              i18n-label
              label="to"
              [order]="order()"
              [value]="chosen.last"
              (changed)="last.set($event ?? unread)"
            />
            <button i18n class="button small">Show</button>
          </form>
          @if (wrong()) {
            <p i18n class="wrong" role="alert">Choose a first month that is not after the last.</p>
          }
        </div>
      </div>
    }
  `,
  styles: `
    .button {
      white-space: nowrap;
    }
    .panel {
      display: grid;
      gap: 2px;
      width: min(390px, calc(100vw - 40px));
    }
    .choice {
      display: flex;
      justify-content: space-between;
      gap: 12px;
      padding: 7px 9px;
      border: 0;
      border-radius: 6px;
      background: none;
      color: var(--ink);
      font: 13px var(--sans);
      cursor: pointer;
    }
    .choice:hover,
    .choice[aria-current] {
      background: var(--plum-wash);
    }
    small {
      color: var(--ink-2);
      font-size: 12px;
    }
    form {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
      align-items: start;
      gap: 8px;
      margin-top: 8px;
      padding-top: 10px;
      border-top: 1px solid var(--rule);
    }
    .field {
      font-size: 12px;
    }
    form .small {
      margin-top: 21px;
    }
    .wrong {
      color: var(--bad);
      font-weight: 600;
    }
  `,
})
export class PeriodChoiceComponent {
  private readonly store = inject(Store);
  protected readonly period = this.store.selectSignal(workspaceFeature.selectPeriod);
  private readonly client = this.store.selectSignal(workspaceFeature.selectClient);
  protected readonly first = signal<string | null>(null);
  protected readonly last = signal<string | null>(null);
  /** What stands for a month that cannot be read. */
  protected readonly unread = '';
  protected readonly wrong = signal(false);

  protected readonly order = inject(ProposedChart).dateOrder;

  protected readonly words = computed(() => {
    const period = this.period();
    return period === null ? '' : shortPeriod(period);
  });

  protected readonly choices = computed(() =>
    PERIOD_NAMES.map((name) => {
      const period = this.named(name);
      return { name, period, words: PERIOD_WORDS[name], dates: shortPeriod(period) };
    }),
  );

  protected choose(name: PeriodName): void {
    this.store.dispatch(WorkspaceActions.periodChosen({ period: this.named(name) }));
  }

  protected chooseMonths(): boolean {
    const first = this.first() ?? this.period()?.first ?? '';
    const last = this.last() ?? this.period()?.last ?? '';
    const fits = isMonth(first) && isMonth(last) && first <= last;
    this.wrong.set(!fits);
    if (fits) this.store.dispatch(WorkspaceActions.periodChosen({ period: { first, last } }));
    return fits;
  }

  private named(name: PeriodName) {
    const client = this.client();
    const latest = client?.latestMonth ?? this.period()?.last ?? '2000-12';
    return namedPeriod(name, latest, client?.fiscalYearStart ?? 1);
  }
}
