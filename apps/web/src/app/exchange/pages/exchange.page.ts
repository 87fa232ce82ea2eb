import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { BenchModel } from '../../bench/model/bench-model';
import { benchFeature } from '../../bench/state/bench.feature';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { longPeriod } from '../../shared/words/period-words';

const FORMATS = [
  {
    format: 'xlsx',
    name: 'Workbook',
    sentence:
      'The tree indented and folded, headings in bold, filters, the kinds as a list to choose from, and a sheet with every crosswalk.',
  },
  {
    format: 'csv',
    name: 'Table',
    sentence: 'One line an account, with parent, level and kind: for any spreadsheet or program.',
  },
  {
    format: 'json',
    name: 'Everything',
    sentence:
      'The chart with every setting, merges, splits and its whole history, in an open format.',
  },
] as const;

/** Taking the chart out, in open formats. */
@Component({
  selector: 'iu-exchange-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FocusFirstDirective, RouterLink],
  templateUrl: './exchange.page.html',
  styleUrl: './exchange.page.css',
})
export class ExchangePage {
  private readonly model = inject(BenchModel);
  private readonly store = inject(Store);
  private readonly balances = this.store.selectSignal(benchFeature.selectBalances);
  protected readonly adopted = this.store.selectSignal(benchFeature.selectAdopted);
  protected readonly load = this.store.selectSignal(benchFeature.selectLoad);
  protected readonly formats = FORMATS;
  protected readonly client = this.model.client;
  protected readonly pending = this.model.changes;
  /** Whether files bear amounts. */
  protected readonly amounts = signal(true);

  protected readonly period = computed(() => {
    const balances = this.balances();
    return balances === null ? '' : longPeriod(balances);
  });

  protected address(format: string): string {
    const balances = this.balances();
    const months =
      this.amounts() && balances !== null && format !== 'json'
        ? `?first=${balances.first}&last=${balances.last}`
        : '';
    return `/api/clients/${this.client()?.id ?? ''}/exports/${format}${months}`;
  }
}
