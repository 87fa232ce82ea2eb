import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  output,
} from '@angular/core';
import { formatTenths, type RowKey, type Strand } from '@iunctus/core';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { terms } from '../../shared/words/terms';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { FrontResults } from '../model/front-results';
import type { FrontOpening } from '../model/front-opening';
import { TableEngine } from '../model/table-engine';
import { FrontCardComponent } from './front-card.component';
import { KeyFiguresComponent } from './key-figures.component';
import type { PicturePoint } from '../../shared/components/picture.component';

/** The results on the client’s front page: figures at the head, then pictures. */
@Component({
  selector: 'iu-front-results',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FrontCardComponent, KeyFiguresComponent, ReadingNoteComponent],
  providers: [TableEngine, FrontResults],
  template: `
    <iu-reading-note [of]="engine.monthly" />
    @if (front.ready()) {
      <iu-key-figures
        class="wide"
        [figures]="front.figures()"
        [currency]="currency()"
        (chosen)="opened.emit({ of: $event, month: null })"
      />
      <iu-front-card
        title="Revenue and profit by month"
        i18n-title
        [sort]="'columns'"
        [series]="front.course()"
        [labels]="front.labels()"
        [currency]="currency()"
        (chosen)="openMonth(front.course(), $event)"
      />
      <iu-front-card
        title="Expenses by main account"
        i18n-title
        [sort]="'stacked'"
        [series]="front.expenses()"
        [labels]="front.labels()"
        [currency]="currency()"
        (chosen)="openMonth(front.expenses(), $event)"
      />
      <iu-front-card
        [title]="againstTitle()"
        [sort]="'bars'"
        [series]="front.against()"
        [labels]="front.againstLabels()"
        [currency]="currency()"
        (chosen)="openKey(front.againstKeys, $event)"
      />
      @if (front.byValue(); as by) {
        <iu-front-card
          [title]="byTitle(by.name)"
          [sort]="'bars'"
          [series]="[{ name: revenue(), amounts: by.amounts }]"
          [labels]="by.labels"
          [currency]="currency()"
          (chosen)="opened.emit({ of: 'sum/revenue', month: null })"
        />
      }
      @if (front.catchAll().length > 0) {
        <iu-front-card
          title="Miscellaneous and the like"
          i18n-title
          [says]="catchAllSays()"
          [sort]="'stacked'"
          [series]="front.catchAll()"
          [labels]="front.labels()"
          [currency]="currency()"
          (chosen)="openMonth(front.catchAll(), $event)"
        />
      }
      @if (front.pinned().length > 0) {
        <iu-front-card
          title="Pinned, by month"
          i18n-title
          [sort]="'lines'"
          [series]="front.pinned()"
          [labels]="front.labels()"
          [currency]="currency()"
          (chosen)="openMonth(front.pinned(), $event)"
        />
      }
    }
  `,
  styles: `
    :host {
      display: contents;
    }
    .wide {
      grid-column: span 8;
    }
    iu-front-card {
      order: 1;
      grid-column: span 5;
    }
  `,
})
export class FrontResultsComponent {
  protected readonly engine = inject(TableEngine);
  protected readonly front = inject(FrontResults);
  private readonly proposed = inject(ProposedChart);
  readonly opened = output<FrontOpening>();

  protected readonly revenue = computed(() => terms().sectionTotals.revenue);
  protected readonly currency = computed(() => this.proposed.client()?.currency ?? 'USD');
  protected readonly againstTitle = computed(() =>
    this.front.hasBudgets() ? $localize`Against the budget` : $localize`Against the year before`,
  );
  protected readonly catchAllSays = computed(() => {
    const part = formatTenths(this.front.catchAllPart(), 'sign');
    return $localize`${part}:part: % of what was spent in these months.`;
  });

  constructor() {
    effect(() => {
      const columns = this.front.columns();
      if (this.front.period() === null) return;
      this.engine.wish.set({
        sheet: 'profitAndLoss',
        columns,
        depth: Infinity,
        zeroLines: false,
        open: [],
        proposed: false,
      });
    });
  }

  protected byTitle(dimension: string): string {
    return $localize`Revenue by ${dimension}:dimension:`;
  }

  protected openMonth(strands: readonly Strand[], { series, at }: PicturePoint): void {
    const of = strands[series]?.key ?? null;
    const month = this.front.months()[at] ?? null;
    if (of !== null) this.opened.emit({ of, month });
  }

  protected openKey(keys: readonly RowKey[], { at }: PicturePoint): void {
    const of = keys[at];
    if (of !== undefined) this.opened.emit({ of, month: null });
  }
}
