import { DestroyRef, effect, inject, Injectable, signal } from '@angular/core';
import { Store } from '@ngrx/store';
import type { Impact, PlannedOpening, ShownSheet } from '@iunctus/core';
import { ClientRoutes } from './client-routes';
import { feedChart } from './feed-chart';
import { workspaceFeature } from '../state/workspace.feature';
import { createStatementWorker } from '../workers/statement-worker.factory';
import type {
  ProofReport,
  StatementMessage,
  StatementResult,
  Shown,
} from '../workers/statement-messages';

const NO_IMPACT: Impact = { lines: {}, sections: [], totals: [], nodes: {} };
const NO_STATEMENT: ShownSheet = { code: 'profitAndLoss', rows: [] };

/** The worker, kept up to date with the store; its results as signals. */
@Injectable()
export class StatementEngine {
  private readonly store = inject(Store);
  private readonly amounts = this.store.selectSignal(workspaceFeature.selectAmounts);
  private readonly pending = this.store.selectSignal(workspaceFeature.selectOpenings);
  private readonly balances = this.store.selectSignal(workspaceFeature.selectBalances);
  private readonly client = this.store.selectSignal(workspaceFeature.selectClient);
  private readonly routes = inject(ClientRoutes);
  private readonly worker = createStatementWorker();

  /** Which statement is shown, and how. */
  readonly shown = signal<Shown>({
    code: 'profitAndLoss',
    depth: Infinity,
    zeroLines: true,
    proposed: true,
  });
  readonly impact = signal<Impact>(NO_IMPACT);
  readonly statement = signal<ShownSheet>(NO_STATEMENT);
  /** By how much the rows of that sheet move. */
  readonly moved = signal<StatementResult['moved']>({});
  readonly totals = signal<NonNullable<StatementResult['totals']>>({});
  /** The entries that the balances of the proposal will be posted as. */
  readonly openings = signal<readonly PlannedOpening[]>([]);
  readonly balanced = signal(true);
  readonly proofs = signal<ProofReport>({ all: 0, broken: [], lost: [] });
  /** Whether anything was computed yet. */
  readonly ready = signal(false);

  constructor() {
    this.worker.addEventListener('message', ({ data }: MessageEvent<StatementResult>) =>
      this.take(data),
    );
    inject(DestroyRef).onDestroy(() => this.worker.terminate());
    feedChart((message) => this.send(message));
    effect(() => this.send({ type: 'amounts', amounts: this.amounts() }));
    effect(() => this.sendOpenings());
    effect(() => this.sendRoutes());
    effect(() => this.send({ type: 'shown', shown: this.shown() }));
  }

  private sendOpenings(): void {
    const [openings, period, client] = [this.pending(), this.balances(), this.client()];
    if (period === null || client === null) return;
    const { first, last } = period;
    const { fiscalYearStart } = client;
    this.send({
      type: 'openings',
      pending: { openings, period: { first, last }, fiscalYearStart },
    });
  }

  private sendRoutes(): void {
    const [items, filer] = [this.routes.items(), this.routes.filer()];
    if (filer !== null) this.send({ type: 'routes', items, filer });
  }

  private send(message: StatementMessage): void {
    this.worker.postMessage(message);
  }

  private take(result: StatementResult): void {
    this.impact.set(result.impact);
    this.statement.set(result.statement);
    this.moved.set(result.moved);
    this.openings.set(result.openings);
    this.balanced.set(result.balances);
    this.proofs.set(result.proofs);
    if (result.totals !== null) this.totals.set(result.totals);
    this.ready.set(true);
  }
}
