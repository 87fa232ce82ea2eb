import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { ProofNotesComponent } from '../../workspace/components/proof-notes.component';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import { OpeningNoteComponent } from '../../shared/components/opening-note.component';
import { MovedTotalsComponent } from '../../shared/components/moved-totals.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { callerIn } from '../../shared/words/opening-words';
import { longPeriod, momentWords } from '../../shared/words/period-words';
import { proposalStateWords } from '../../shared/words/review-words';
import { ReviewStore } from '../state/review.store';
import type { ProposalLine } from '../model/proposal-reader';

/**
 * A proposal as a page in plain words: for the client, on paper; and for the colleague who was asked,
 * with remarks on every change and a word at the end.
 */
@Component({
  selector: 'iu-proposal-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    MovedTotalsComponent,
    OpeningNoteComponent,
    ProblemNoteComponent,
    ProofNotesComponent,
    RouterLink,
  ],
  providers: [ReviewStore],
  templateUrl: './proposal.page.html',
  styleUrls: ['../../shared/components/paper.css', './proposal.page.css'],
})
export class ProposalPage {
  protected readonly review = inject(ReviewStore);
  private readonly proposed = inject(ProposedChart);
  private readonly router = inject(Router);
  private readonly store = inject(Store);
  private readonly balances = this.store.selectSignal(workspaceFeature.selectBalances);

  /** Whose proposal it is; the viewer's own without it. */
  readonly authorId = input<string>();
  protected readonly client = this.proposed.client;
  protected readonly today = momentWords(new Date().toISOString()).replace(/,.*$/, '');

  protected readonly period = computed(() => {
    const balances = this.balances();
    return balances === null ? '' : longPeriod(balances);
  });
  protected readonly stateWords = computed(() => {
    const proposal = this.review.proposal();
    return proposal === null ? '' : proposalStateWords(proposal);
  });
  protected readonly moves = computed(() => {
    const impact = this.review.read()?.impact;
    return impact !== undefined && impact.sections.length + impact.totals.length > 0;
  });
  protected readonly called = computed(() =>
    callerIn(this.review.read()?.chart ?? this.proposed.base()),
  );
  protected readonly profitStays = computed(
    () => !(this.review.read()?.impact.totals.some(({ code }) => code === 'netProfit') ?? false),
  );

  constructor() {
    this.review.follow(this.authorId);
  }

  protected when(moment: string): string {
    return momentWords(moment);
  }

  protected print(): void {
    window.print();
  }

  protected remark(line: ProposalLine, field: HTMLInputElement): void {
    const words = field.value.trim();
    if (words === '') return;
    this.review.remark(line, words);
    field.value = '';
  }

  protected judge(verdict: 'approved' | 'sentBack'): void {
    this.review.judge(verdict, () => void this.router.navigate(['/clients']));
  }
}
