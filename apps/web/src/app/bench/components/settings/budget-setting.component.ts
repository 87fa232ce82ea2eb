import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import {
  formatAmount,
  parseAmount,
  spreadEvenly,
  sum,
  withBudgetOfEvery,
  type Budget,
  type Minor,
  type YearBudget,
} from '@iunctus/core';
import { MONTH_NAMES } from '../../../shared/words/period-words';
import { ProposedChart } from '../../../workspace/model/proposed-chart';

/** What is expected of an account: one amount for the year, or twelve by month in the order of the fiscal year. */
@Component({
  selector: 'iu-budget-setting',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="year">
      <label class="field">
        <span i18n>For every year</span>
        <input
          class="text amount"
          inputmode="decimal"
          autocomplete="off"
          [value]="words(yearly())"
          [readonly]="monthly() !== null"
          (change)="setYear($event)"
        />
      </label>
      <button
        i18n
        class="button small"
        type="button"
        [disabled]="yearly() === null"
        (click)="toggle()"
      >
        @if (monthly() === null) {
          By month
        } @else {
          As one amount
        }
      </button>
    </div>
    @if (ownYears() !== '') {
      <p i18n class="muted">Of their own: {{ ownYears() }}, set under Statements, Budget.</p>
    }
    @if (monthly(); as amounts) {
      <div class="months">
        @for (amount of amounts; track $index) {
          <label>
            <span>{{ months()[$index] }}</span>
            <input
              class="text amount"
              inputmode="decimal"
              autocomplete="off"
              [value]="words(amount)"
              (change)="setMonth($index, $event)"
            />
          </label>
        }
      </div>
    }
    @if (wrong() !== '') {
      <p i18n class="wrong" role="alert">
        “{{ wrong() }}” is no amount in {{ currency() }}. Type it as 1,250.00; nothing was changed.
      </p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
    .year {
      display: flex;
      align-items: end;
      gap: 10px;
    }
    .months {
      display: grid;
      grid-template-columns: repeat(3, 1fr);
      gap: 8px 10px;
    }
    .months span {
      color: var(--ink-2);
      font-size: 12px;
    }
    .amount {
      text-align: right;
    }
    .wrong {
      color: var(--bad);
      font-weight: 600;
    }
  `,
})
export class BudgetSettingComponent {
  private readonly proposed = inject(ProposedChart);
  readonly budget = input.required<Budget | null>();
  readonly currency = input.required<string>();
  readonly changed = output<Budget | null>();
  protected readonly wrong = signal('');

  /** What is expected in years that have no budget of their own. */
  private readonly every = computed<YearBudget | null>(() => {
    const budget = this.budget();
    return budget?.per === 'years' ? budget.every : budget;
  });
  /** The years that have one. */
  protected readonly ownYears = computed(() => {
    const budget = this.budget();
    return budget?.per === 'years' ? Object.keys(budget.years).sort().join(', ') : '';
  });
  protected readonly monthly = computed(() => {
    const budget = this.every();
    return budget?.per === 'month' ? budget.amounts : null;
  });
  protected readonly yearly = computed<Minor | null>(() => {
    const budget = this.every();
    if (budget === null) return null;
    return budget.per === 'year' ? budget.amount : sum(budget.amounts);
  });
  protected readonly months = computed(() => {
    const start = (this.proposed.client()?.fiscalYearStart ?? 1) - 1;
    return Array.from({ length: 12 }, (_month, index) => MONTH_NAMES[(start + index) % 12] ?? '');
  });

  protected words(amount: Minor | null): string {
    return amount === null ? '' : formatAmount(amount, { currency: this.currency(), zero: '0.00' });
  }

  protected setYear(typed: Event): void {
    const text = (typed.target as HTMLInputElement).value.trim();
    if (text === '') return this.give(null);
    const amount = this.read(text);
    if (amount !== null) this.give({ per: 'year', amount });
  }

  protected setMonth(index: number, typed: Event): void {
    const amount = this.read((typed.target as HTMLInputElement).value.trim() || '0');
    const amounts = this.monthly();
    if (amount === null || amounts === null) return;
    this.give({
      per: 'month',
      amounts: amounts.map((one, at) => (at === index ? amount : one)),
    });
  }

  protected toggle(): void {
    const amount = this.yearly() ?? 0;
    if (this.monthly() === null) this.give({ per: 'month', amounts: spreadEvenly(amount, 12) });
    else this.give({ per: 'year', amount });
  }

  private give(every: YearBudget | null): void {
    this.changed.emit(withBudgetOfEvery(this.budget() ?? undefined, every));
  }

  private read(text: string): Minor | null {
    const amount = parseAmount(text, this.currency());
    this.wrong.set(amount === null ? text : '');
    return amount;
  }
}
