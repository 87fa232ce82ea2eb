import { computed, DestroyRef, effect, inject, Injectable, signal } from '@angular/core';
import { Store } from '@ngrx/store';
import { openItemSums, sortFindings } from '@iunctus/core';
import { ApiService } from '../../shared/api/api.service';
import { reading } from '../../shared/api/reading';
import { today } from '../../shared/dates/today';
import { ClientRoutes } from './client-routes';
import { feedChart } from './feed-chart';
import { workspaceFeature } from '../state/workspace.feature';
import type {
  FindingsMessage,
  FindingsResult,
  PastChart,
  Trial,
} from '../workers/findings-messages';
import { createFindingsWorker } from '../workers/findings-worker.factory';

/** The worker that looks the chart through, kept up to date with the store; what it found last as a signal. */
@Injectable()
export class FindingsEngine {
  private readonly store = inject(Store);
  private readonly api = inject(ApiService);
  private readonly adopted = this.store.selectSignal(workspaceFeature.selectAdopted);
  private readonly period = this.store.selectSignal(workspaceFeature.selectPeriod);
  private readonly client = this.store.selectSignal(workspaceFeature.selectClient);
  private readonly routes = inject(ClientRoutes);
  private readonly worker = createFindingsWorker();

  /** Whose books are read, and as of which revision. */
  private readonly ofBooks = computed(() => {
    const [client, adopted] = [this.client(), this.adopted()];
    if (client === null || adopted === null) return undefined;
    return { clientId: client.id, revision: adopted.revision };
  });
  readonly monthly = reading(this.ofBooks, ({ clientId }) => this.api.ask('monthly', { clientId }));
  readonly posted = reading(this.ofBooks, ({ clientId }) =>
    this.api.ask('postedWords', { clientId }),
  );
  readonly layouts = reading(this.ofBooks, ({ clientId }) => this.api.ask('layouts', { clientId }));
  readonly openItems = reading(this.ofBooks, ({ clientId }) =>
    this.api.ask('openItems', { clientId }),
  );
  readonly notes = reading(this.ofBooks, ({ clientId }) =>
    this.api.ask('findingNotes', { clientId }),
  );
  readonly rules = reading(this.ofBooks, ({ clientId }) =>
    this.api.ask('findingRules', { clientId }),
  );
  /** The revision since which the chart was tidied, for the report; `null` for none. */
  readonly sinceRevision = signal<number | null>(null);
  /** The chart as it was then. */
  readonly before = reading(
    () => {
      const [of, number] = [this.ofBooks(), this.sinceRevision()];
      return of === undefined || number === null ? undefined : { ...of, number };
    },
    ({ clientId, number }) => this.api.ask('revisionChart', { clientId, number }),
  );
  /** The fix whose effect is looked at; the same one again, as each answer of the worker has it anew, is no other. */
  readonly trial = signal<Trial | null>(null, {
    equal: (one, other) => one?.key === other?.key && one?.fix === other?.fix,
  });
  readonly result = signal<FindingsResult | null>(null);
  private readonly told = signal(0);
  /** Whether the chart went on since what was found last: that is of the chart before. */
  readonly isBehind = computed(() => (this.result()?.heard ?? 0) < this.told());
  private readonly sent = signal(0);
  private readonly readings = [
    this.monthly,
    this.posted,
    this.layouts,
    this.openItems,
    this.notes,
    this.rules,
  ];
  /** Whether there is more to come: the chart went on, or something of the books is not looked at yet. */
  readonly isGathering = computed(() => {
    const result = this.result();
    if (result === null || this.isBehind() || !result.isSpelled) return true;
    return result.takenIn < this.sent() || this.readings.some(({ loading }) => loading());
  });
  /** The months in which the chart is to be looked at as it was then. */
  readonly months = signal<readonly PastChart[]>([]);
  /** Notes by what they are about. */
  readonly noted = computed(
    () => new Map((this.notes.value() ?? []).map((note) => [note.key, note] as const)),
  );
  /** What is to be seen of what was found, and what was put off or set aside. */
  readonly sorted = computed(() =>
    sortFindings(this.result()?.findings ?? [], this.noted(), today()),
  );

  constructor() {
    this.worker.addEventListener('message', ({ data }: MessageEvent<FindingsResult>) =>
      this.result.set(data),
    );
    inject(DestroyRef).onDestroy(() => this.worker.terminate());
    feedChart((message) => {
      this.told.update((count) => count + 1);
      this.send(message);
    });
    effect(() => {
      const read = this.monthly.value();
      if (read === null) return;
      const rows = [...read.amounts, ...read.splits];
      this.send({ type: 'monthly', monthly: { first: read.first, rows } });
    });
    effect(() => {
      const posted = this.posted.value();
      if (posted !== null) this.send({ type: 'posted', posted });
    });
    effect(() => {
      const read = this.layouts.value();
      if (read !== null) this.send({ type: 'layouts', layouts: read.map(({ layout }) => layout) });
    });
    effect(() => {
      const lists = this.openItems.value();
      if (lists !== null) this.send({ type: 'openItems', openItems: openItemSums(lists) });
    });
    effect(() => {
      const read = this.rules.value();
      if (read === null) return;
      this.send({
        type: 'rules',
        practice: read.practice.wishes,
        client: read.client.wishes,
      });
    });
    effect(() => {
      const notes = this.notes.value();
      if (notes !== null) this.send({ type: 'notes', notes, today: today() });
    });
    effect(() => this.send({ type: 'months', months: this.months() }));
    effect(() => {
      this.send({ type: 'routed', routed: [...this.routes.named()] });
    });
    effect(() => this.sendClient());
    effect(() => this.send({ type: 'trial', trial: this.trial() }));
    effect(() => {
      const [record, adopted] = [this.before.value(), this.adopted()];
      const isWanted = this.sinceRevision() !== null && record !== null && adopted !== null;
      // What was posted meanwhile tells as much of the accounts as they were.
      const chart = isWanted ? { ...adopted.chart, ...record } : null;
      this.send({ type: 'since', chart });
    });
  }

  private sendClient(): void {
    const [client, period] = [this.client(), this.period()];
    if (client === null || period === null) return;
    const { legalForm, country, industry, fiscalYearStart: startsIn } = client;
    this.send({ type: 'client', filer: { legalForm, country, industry }, startsIn, period });
  }

  private send(message: FindingsMessage): void {
    this.sent.update((count) => count + 1);
    this.worker.postMessage(message);
  }
}
