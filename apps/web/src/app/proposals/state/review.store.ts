import { type AmountsTuple, type PendingOpening, pendingSplits } from '@iunctus/core';
import { computed, effect, inject, Injectable, signal, type Signal } from '@angular/core';
import { Store } from '@ngrx/store';
import type { Subscription } from 'rxjs';
import type { ProposalAnswer, Remark, ReviewAnswer } from '@iunctus/contract';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import { listedIn, withBooks } from '../../workspace/state/listed-openings';
import { sessionFeature } from '../../session/state/session.feature';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { readProposal, type ProposalLine } from '../model/proposal-reader';

type Shown = Pick<
  ProposalAnswer,
  'name' | 'comment' | 'state' | 'reviewer' | 'remarks' | 'steps' | 'version'
>;

/** The proposal that is read: the viewer's own, or a colleague's that was handed over. */
@Injectable()
export class ReviewStore {
  private readonly api = inject(ApiService);
  private readonly proposed = inject(ProposedChart);
  private readonly store = inject(Store);
  private readonly session = this.store.selectSignal(sessionFeature.selectSession);
  private readonly own = this.store.selectSignal(workspaceFeature.selectProposal);
  private readonly adopted = this.store.selectSignal(workspaceFeature.selectAdopted);
  private readonly balances = this.store.selectSignal(workspaceFeature.selectBalances);
  private readonly amounts = this.store.selectSignal(workspaceFeature.selectAmounts);

  private readonly theirs = signal<ReviewAnswer | null>(null);
  /** What the splits of a colleague's proposal come to. */
  private readonly theirSplits = signal<readonly AmountsTuple[]>([]);
  private readonly ownOpenings = this.store.selectSignal(workspaceFeature.selectOpenings);
  private readonly theirOpenings = signal<readonly PendingOpening[]>([]);
  /** Remarks that the viewer wrote on the own proposal since it was opened. */
  private readonly ownRemarks = signal<readonly Remark[]>([]);
  private readonly authorId = signal<string | undefined>(undefined);
  readonly problem = signal<ApiProblem | null>(null);
  private asking: Subscription | null = null;

  readonly proposal = computed<Shown | null>(() => {
    if (this.adopted() === null) return null;
    if (this.authorId() !== undefined) return this.theirs()?.proposal ?? null;
    const own = this.own();
    return { ...own, steps: [...own.steps], remarks: [...own.remarks, ...this.ownRemarks()] };
  });
  readonly authorName = computed(() =>
    this.authorId() === undefined
      ? (this.session()?.user.name ?? '')
      : (this.theirs()?.author.name ?? ''),
  );
  /** Whether the viewer's word is waited for. */
  readonly asked = computed(() => {
    const theirs = this.theirs();
    return theirs !== null && theirs.asked && theirs.proposal.state === 'handedOver';
  });
  readonly mayRemark = computed(() => {
    const state = this.proposal()?.state;
    return this.authorId() === undefined
      ? state !== undefined && state !== 'draft'
      : (this.theirs()?.asked ?? false);
  });

  readonly read = computed(() => {
    const proposal = this.proposal();
    if (proposal === null) return null;
    return readProposal(this.proposed.base(), proposal.steps, {
      amounts: [...this.amounts(), ...this.theirSplits()],
      period: this.balances(),
      fiscalYearStart: this.proposed.client()?.fiscalYearStart ?? 1,
      pending: this.authorId() === undefined ? this.ownOpenings() : this.theirOpenings(),
      remarks: proposal.remarks,
    });
  });

  constructor() {
    effect((onCleanup) => {
      const asking = this.loadSplits();
      onCleanup(() => asking?.unsubscribe());
    });
    effect((onCleanup) => {
      const asking = this.loadOpenings();
      onCleanup(() => asking?.unsubscribe());
    });
  }

  /** Shows the proposal of whoever the signal names; the viewer's own for nobody. */
  follow(authorId: Signal<string | undefined>): void {
    effect(() => {
      this.authorId.set(authorId());
      this.load();
    });
  }

  /** Writes a remark on a change. */
  remark({ stepId, index }: ProposalLine, words: string): void {
    const [clientId, authorId] = [this.clientId(), this.authorId() ?? this.session()?.user.id];
    if (clientId === undefined || authorId === undefined) return;
    this.api.ask('remark', { clientId, authorId, body: { stepId, index, words } }).subscribe({
      next: (remark) => this.keepRemark(remark),
      error: (error: unknown) => this.problem.set(problemOf(error)),
    });
  }

  /** Approves the proposal or sends it back, as it was read. */
  judge(verdict: 'approved' | 'sentBack', done: () => void): void {
    const [clientId, theirs] = [this.clientId(), this.theirs()];
    if (clientId === undefined || theirs === null) return;
    const { version } = theirs.proposal;
    this.api
      .ask('judge', { clientId, authorId: theirs.author.id, body: { verdict, version } })
      .subscribe({
        next: done,
        error: (error: unknown) => {
          this.problem.set(problemOf(error));
          this.load();
        },
      });
  }

  private clientId(): string | undefined {
    return this.proposed.client()?.id;
  }

  private load(): void {
    const [clientId, authorId] = [this.clientId(), this.authorId()];
    this.asking?.unsubscribe();
    if (clientId === undefined || authorId === undefined) return;
    this.asking = this.api.ask('review', { clientId, authorId }).subscribe({
      next: (answer) => this.theirs.set(answer),
      error: (error: unknown) => this.problem.set(problemOf(error)),
    });
  }

  private keepRemark(remark: Remark): void {
    const theirs = this.theirs();
    if (theirs === null) return this.ownRemarks.update((known) => [...known, remark]);
    const { proposal } = theirs;
    this.theirs.set({
      ...theirs,
      proposal: { ...proposal, remarks: [...proposal.remarks, remark] },
    });
  }

  private loadOpenings(): Subscription | undefined {
    const [theirs, client] = [this.theirs(), this.proposed.client()];
    if (theirs === null || client === null) return undefined;
    return withBooks(this.api, client, listedIn(theirs.proposal.steps)).subscribe({
      next: (openings) => this.theirOpenings.set(openings),
      error: (error: unknown) => this.problem.set(problemOf(error)),
    });
  }

  private loadSplits(): Subscription | undefined {
    const [theirs, period, clientId] = [this.theirs(), this.balances(), this.clientId()];
    const { splits, without } = pendingSplits(theirs?.proposal.steps ?? []);
    if (period === null || clientId === undefined || splits.length === 0) return undefined;
    const { first, last } = period;
    const request = { first, last, splits: [...splits], without: [...without] };
    return this.api.ask('splits', { clientId, body: request }).subscribe({
      next: (seen) => this.theirSplits.set(seen.map(({ amounts }) => amounts)),
      error: (error: unknown) => this.problem.set(problemOf(error)),
    });
  }
}
