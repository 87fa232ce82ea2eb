import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { KeptChartsAnswer } from '@iunctus/contract';
import { KeptChartComponent } from '../components/kept-chart.component';
import { UserMenuComponent } from '../../session/pages/user-menu.component';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';

/** The practice's own starting charts: their versions, who began from them, and how far they have moved. */
@Component({
  selector: 'iu-kept-charts-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [KeptChartComponent, ProblemNoteComponent, RouterLink, UserMenuComponent],
  template: `
    <div class="page-head"><iu-user-menu /></div>
    <main class="page">
      <header>
        <div>
          <h1>The practice’s starting charts</h1>
          <p class="muted">
            Any client’s chart can be kept as one, under Exchange. Clients begin from it; a newer
            version is brought to them as a proposal.
          </p>
        </div>
        <a class="button end" routerLink="/clients">All clients</a>
      </header>
      @if (problem(); as found) {
        <iu-problem-note [problem]="found" />
      } @else if (charts(); as listed) {
        @for (chart of listed; track chart.id) {
          <iu-kept-chart [chart]="chart" (changed)="load()" />
        } @empty {
          <p>
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
  protected readonly charts = signal<KeptChartsAnswer | null>(null);
  protected readonly problem = signal<ApiProblem | null>(null);

  constructor() {
    this.load();
  }

  protected load(): void {
    this.api.ask('keptCharts', {}).subscribe({
      next: (charts) => this.charts.set(charts),
      error: (error: unknown) => this.problem.set(problemOf(error)),
    });
  }
}
