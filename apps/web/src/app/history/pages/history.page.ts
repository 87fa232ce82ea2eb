import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { RevisionAnswer } from '@iunctus/contract';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { WorkspaceActions } from '../../workspace/state/workspace.actions';
import { crosswalkFile, saveAs } from '../../shared/files/crosswalk-file';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { operationWords } from '../../shared/words/operation-words';
import { momentWords } from '../../shared/words/period-words';
import { HistoryPageActions } from '../../workspace/state/history.actions';
import { historyFeature } from '../../workspace/state/history.feature';

/** At most so many operations of one revision are listed. */
const LISTED = 60;

/** The chart's revisions, newest first: who, when, what; each can be taken back. */
@Component({
  selector: 'iu-history-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ProblemNoteComponent, RouterLink],
  templateUrl: './history.page.html',
  styleUrl: './history.page.css',
})
export class HistoryPage {
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly proposed = inject(ProposedChart);
  readonly clientId = input.required<string>();
  protected readonly load = this.store.selectSignal(historyFeature.selectLoad);
  protected readonly revisions = this.store.selectSignal(historyFeature.selectRevisions);

  constructor() {
    effect(() => this.store.dispatch(HistoryPageActions.opened({ clientId: this.clientId() })));
  }

  protected when(revision: RevisionAnswer): string {
    return momentWords(revision.adoptedAt);
  }

  protected lines({ operations }: RevisionAnswer): readonly string[] {
    return operations
      .slice(0, LISTED)
      .map((operation) => operationWords(operation, this.proposed.base(), this.proposed.chart()));
  }

  protected unlisted({ operations }: RevisionAnswer): number {
    return Math.max(operations.length - LISTED, 0);
  }

  protected readonly newest = computed(() => this.revisions()[0]?.number ?? 0);

  /** The crosswalk of a revision, for whoever still has the old numbers. */
  protected download({ number, crosswalk }: RevisionAnswer): void {
    const client = this.proposed.client()?.name ?? 'Chart';
    saveAs(
      `${client} crosswalk of revision ${number}.csv`,
      crosswalkFile(crosswalk, this.proposed.chart(), () => null),
    );
  }

  protected restore({ number }: RevisionAnswer): void {
    this.store.dispatch(WorkspaceActions.restoreRequested({ revision: number }));
    void this.router.navigate(['/clients', this.clientId(), 'chart']);
  }

  protected takeBack({ number }: RevisionAnswer): void {
    this.store.dispatch(WorkspaceActions.takeBackRequested({ revision: number }));
    void this.router.navigate(['/clients', this.clientId(), 'chart']);
  }
}
