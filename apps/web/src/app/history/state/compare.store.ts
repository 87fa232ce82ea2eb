import { computed, inject, Injectable, signal } from '@angular/core';
import {
  buildStatement,
  chartOf,
  differencesBetween,
  emptyChart,
  rollUpOver,
  sideBySide,
  type Chart,
  type StatementCode,
  ledgerOf,
} from '@iunctus/core';
import { Store } from '@ngrx/store';
import { forkJoin, type Subscription } from 'rxjs';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';

/** Two revisions of one chart, and what differs between them; what the compare page shows. */
@Injectable()
export class CompareStore {
  private readonly api = inject(ApiService);
  private readonly amounts = inject(Store).selectSignal(workspaceFeature.selectAmounts);
  private asking: Subscription | null = null;

  readonly before = signal<Chart>(emptyChart());
  readonly after = signal<Chart>(emptyChart());
  readonly problem = signal<ApiProblem | null>(null);
  readonly ready = signal(false);
  readonly statement = signal<StatementCode>('profitAndLoss');

  /** Whether the lines that are equal are left out. */
  readonly onlyMoved = signal(true);

  readonly differences = computed(() => differencesBetween(this.before(), this.after()));
  private readonly rollUp = computed(() => rollUpOver(ledgerOf(this.amounts())));
  readonly rows = computed(() => {
    const rollUp = this.rollUp();
    const options = { depth: Infinity, zeroLines: false };
    const build = (chart: Chart) => buildStatement(this.statement(), { chart, rollUp }, options);
    const rows = sideBySide(build(this.before()), build(this.after()));
    return this.onlyMoved() ? rows.filter(({ before, after }) => before !== after) : rows;
  });

  /** Fetches both charts; the newest question wins. */
  load(clientId: string, from: number, to: number): void {
    this.asking?.unsubscribe();
    this.ready.set(false);
    this.asking = forkJoin([
      this.api.ask('revisionChart', { clientId, number: from }),
      this.api.ask('revisionChart', { clientId, number: to }),
    ]).subscribe({
      next: ([before, after]) => {
        this.before.set(chartOf(before));
        this.after.set(chartOf(after));
        this.problem.set(null);
        this.ready.set(true);
      },
      error: (error: unknown) => this.problem.set(problemOf(error)),
    });
  }
}
