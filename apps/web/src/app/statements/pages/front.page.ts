import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { FrontPositionComponent } from '../components/front-position.component';
import { FrontResultsComponent } from '../components/front-results.component';
import type { FrontOpening } from '../model/front-opening';
import { LineOpenings } from '../model/line-openings';

/** The client’s front page: what matters, in figures and pictures, as adopted; the same numbers as the statements. */
@Component({
  selector: 'iu-front-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FrontPositionComponent, FrontResultsComponent, RouterLink],
  template: `
    <main>
      <h1 i18n class="visually-hidden">Front page</h1>
      @if (proposed.ready()) {
        <div class="cards">
          <iu-front-results (opened)="open($event)" />
          <iu-front-position
            (opened)="open($event)"
            (cashOpened)="openings.statement('cashFlow')"
          />
          <p i18n class="muted wide">
            As adopted. Accounts are pinned on the chart, with Space, under Statements.
          </p>
        </div>
      } @else if (proposed.client(); as client) {
        <p i18n class="none">
          {{ client.name }} has no chart yet; there is nothing to show.
          <a class="button small" routerLink="../start">Start a chart</a>
        </p>
      }
    </main>
  `,
  styles: `
    :host {
      display: block;
      overflow: auto;
      min-height: 0;
    }
    .cards {
      display: grid;
      grid-template-columns: repeat(10, minmax(0, 1fr));
      align-items: start;
      gap: 14px;
      padding: 16px 18px;
    }
    .wide {
      order: 2;
      grid-column: 1 / -1;
    }
    .none {
      margin: 60px auto;
      text-align: center;
    }
    @media screen and (max-width: 860px) {
      .cards {
        display: flex;
        flex-direction: column;
        align-items: stretch;
        padding: 10px;
      }
    }
  `,
})
export class FrontPage {
  protected readonly proposed = inject(ProposedChart);
  protected readonly openings = inject(LineOpenings);

  /** Reads the entries behind a figure; a total that is reckoned opens its statement. */
  protected open({ of, month }: FrontOpening): void {
    if (of.startsWith('total/')) return this.openings.statement('profitAndLoss');
    if (month === null) this.openings.register(of);
    else this.openings.register(of, { first: month, last: month });
  }
}
