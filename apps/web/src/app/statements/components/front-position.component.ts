import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  output,
} from '@angular/core';
import { shortMonths } from '@iunctus/core';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { FrontPosition } from '../model/front-position';
import type { FrontOpening } from '../model/front-opening';
import { TableEngine } from '../model/table-engine';
import { FrontCardComponent } from './front-card.component';
import { KeyFiguresComponent } from './key-figures.component';
import type { PicturePoint } from '../../shared/components/picture.component';

/** Balances on the client’s front page: the cash, and the pinned accounts of the balance sheet. */
@Component({
  selector: 'iu-front-position',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FrontCardComponent, KeyFiguresComponent],
  providers: [TableEngine, FrontPosition],
  template: `
    @if (front.ready()) {
      <iu-key-figures
        class="wide"
        [figures]="[front.cash()]"
        [currency]="currency()"
        (chosen)="cashOpened.emit()"
      />
      @if (front.pinned().length > 0) {
        <iu-front-card
          title="Pinned balances"
          i18n-title
          [sort]="'lines'"
          [series]="front.pinned()"
          [labels]="labels()"
          [currency]="currency()"
          (chosen)="open($event)"
        />
      }
    }
  `,
  styles: `
    :host {
      display: contents;
    }
    .wide {
      grid-column: span 2;
    }
    iu-front-card {
      order: 1;
      grid-column: span 5;
    }
  `,
})
export class FrontPositionComponent {
  protected readonly front = inject(FrontPosition);
  private readonly engine = inject(TableEngine);
  private readonly proposed = inject(ProposedChart);
  readonly opened = output<FrontOpening>();
  readonly cashOpened = output();

  protected readonly currency = computed(() => this.proposed.client()?.currency ?? 'USD');
  protected readonly labels = computed(() =>
    this.front
      .months()
      .map((month) => shortMonths({ first: month, last: month }).replace(/ 20/, ' ’')),
  );

  constructor() {
    effect(() => {
      const columns = this.front.columns();
      if (columns.length < 2) return;
      this.engine.wish.set({
        sheet: 'balanceSheet',
        columns,
        depth: Infinity,
        zeroLines: false,
        open: [],
        proposed: false,
      });
    });
  }

  protected open({ series, at }: PicturePoint): void {
    const of = this.front.pinned()[series]?.key ?? null;
    if (of !== null) this.opened.emit({ of, month: this.front.months()[at] ?? null });
  }
}
