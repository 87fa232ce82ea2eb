import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { KeptChartComponent } from '../components/kept-chart.component';
import { UserMenuComponent } from '../../session/pages/user-menu.component';
import { ApiService } from '../../shared/api/api.service';
import { readingOnce } from '../../shared/api/reading';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';

/** The practice's own starting charts: their versions, who began from them, and how far they have moved. */
@Component({
  selector: 'iu-kept-charts-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [KeptChartComponent, ReadingNoteComponent, RouterLink, UserMenuComponent],
  template: `
    <div class="page-head"><iu-user-menu /></div>
    <main class="page">
      <header>
        <div>
          <h1 i18n>The practice’s starting charts</h1>
          <p i18n class="muted">
            Any client’s chart can be kept as one, under Exchange. Clients begin from it; a newer
            version is brought to them as a proposal.
          </p>
        </div>
        <a i18n class="button end" routerLink="/clients">All clients</a>
      </header>
      <iu-reading-note [of]="charts" />
      @if (charts.value(); as listed) {
        @for (chart of listed; track chart.id) {
          <iu-kept-chart [chart]="chart" (changed)="charts.again()" />
        } @empty {
          <p i18n>
            None is kept yet. Open a client whose chart is as you like it, go to Exchange, and keep
            it.
          </p>
        }
      }
    </main>
  `,
})
export class KeptChartsPage {
  private readonly api = inject(ApiService);
  protected readonly charts = readingOnce(() => this.api.ask('keptCharts', {}));
}
