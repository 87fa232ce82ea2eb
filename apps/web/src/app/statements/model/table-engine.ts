import { computed, DestroyRef, effect, inject, Injectable, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Actions, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import { dimensionsNeeded, monthOf, type PeriodContext } from '@iunctus/core';
import { forkJoin, scan } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { reading } from '../../shared/api/reading';
import { today } from '../../shared/dates/today';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { WorkspaceActions } from '../../workspace/state/workspace.actions';
import { feedChart } from '../../workspace/model/feed-chart';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import type { TableMessage, TableResult, TableWish } from '../workers/table-messages';
import { createTableWorker } from '../workers/table-worker.factory';

/** The worker that computes tables, kept up to date with the store; what it computed last as a signal. */
@Injectable()
export class TableEngine {
  private readonly store = inject(Store);
  private readonly api = inject(ApiService);
  private readonly proposed = inject(ProposedChart);
  private readonly adopted = this.store.selectSignal(workspaceFeature.selectAdopted);
  private readonly openings = this.store.selectSignal(workspaceFeature.selectOpenings);
  private readonly period = this.store.selectSignal(workspaceFeature.selectPeriod);
  private readonly client = this.store.selectSignal(workspaceFeature.selectClient);
  private readonly worker = createTableWorker();

  readonly wish = signal<TableWish | null>(null);

  /** How often the books changed while this was open. */
  private readonly changed = toSignal(
    inject(Actions).pipe(
      ofType(WorkspaceActions.booksChanged),
      scan((count) => count + 1, 0),
    ),
    { initialValue: 0 },
  );
  /** Whose books are read, and as of which change. */
  private readonly ofBooks = computed(() => {
    const [client, adopted] = [this.client(), this.adopted()];
    if (client === null || adopted === null) return undefined;
    return { clientId: client.id, revision: adopted.revision, changed: this.changed() };
  });
  /** What was posted month by month; read anew when something was posted or adopted. */
  readonly monthly = reading(this.ofBooks, ({ clientId }) => this.api.ask('monthly', { clientId }));
  /** The dimensions whose values have columns, joined; empty for none. */
  private readonly dimensions = computed(() => {
    const { dimensions } = this.proposed.chart().settings;
    return dimensionsNeeded(this.wish()?.columns ?? [], dimensions).join(' ');
  });
  /** What was posted with each of their values. */
  readonly byValue = reading(
    () => {
      const [of, dimensions] = [this.ofBooks(), this.dimensions()];
      return of === undefined || dimensions === '' ? undefined : { ...of, dimensions };
    },
    ({ clientId, dimensions }) =>
      forkJoin(
        dimensions
          .split(' ')
          .map((dimension) => this.api.ask('monthlyByValue', { clientId, query: { dimension } })),
      ),
  );
  /** Where periods in words are seen from; `null` while no client is open. */
  readonly context = computed<PeriodContext | null>(() => {
    const [main, client] = [this.period(), this.client()];
    if (main === null || client === null) return null;
    return { main, startsIn: client.fiscalYearStart, now: monthOf(today()) };
  });
  readonly result = signal<TableResult | null>(null);

  constructor() {
    this.worker.addEventListener('message', ({ data }: MessageEvent<TableResult>) =>
      this.result.set(data),
    );
    inject(DestroyRef).onDestroy(() => this.worker.terminate());
    feedChart((message) => this.send(message));
    effect(() => this.send({ type: 'openings', openings: this.openings() }));
    effect(() => {
      const read = this.monthly.value();
      if (read === null) return;
      const rows = [...read.amounts, ...read.splits];
      this.send({ type: 'monthly', monthly: { first: read.first, rows } });
    });
    effect(() => {
      const read = this.byValue.value();
      if (read === null) return;
      const values = read
        .flatMap(({ values }) => values)
        .map(
          ({ valueId, first, amounts, splits }) =>
            [valueId, { first, rows: [...amounts, ...splits] }] as const,
        );
      this.send({ type: 'byValue', values });
    });
    effect(() => {
      const context = this.context();
      if (context !== null) this.send({ type: 'context', context });
    });
    effect(() => {
      const wish = this.wish();
      if (wish !== null) this.send({ type: 'wish', wish });
    });
  }

  private send(message: TableMessage): void {
    this.worker.postMessage(message);
  }
}
