import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { firstDayOf, lastDayOf } from '@iunctus/core';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import { FrontPositionComponent } from '../components/front-position.component';
import { FrontResultsComponent } from '../components/front-results.component';
import type { FrontOpening } from '../model/front-opening';

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
          <iu-front-position (opened)="open($event)" (cashOpened)="openCashFlow()" />
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
  private readonly router = inject(Router);
  private readonly period = inject(Store).selectSignal(workspaceFeature.selectPeriod);
  readonly clientId = input.required<string>();

  /** Reads the entries behind a figure; a total that is reckoned opens its statement. */
  protected open({ of, month }: FrontOpening): void {
    const period = month === null ? this.period() : { first: month, last: month };
    if (period === null) return;
    if (of.startsWith('total/'))
      return void this.router.navigate([
        '/clients',
        this.clientId(),
        'statements',
        'profitAndLoss',
      ]);
    const [first, last] = [firstDayOf(period.first), lastDayOf(period.last)];
    void this.router.navigate(['/clients', this.clientId(), 'ledger', 'register'], {
      queryParams: { of, first, last },
    });
  }

  protected openCashFlow(): void {
    void this.router.navigate(['/clients', this.clientId(), 'statements', 'cashFlow']);
  }
}
